<!-- Ahead: what can be made before the evening, since when, until when; what comes out of the cold. -->
<script lang="ts">
	import { withPartFacts } from '$lib/core/model/edit-meal';
	import { aheadOf, outOfCold } from '$lib/core/plan/advise/ahead';
	import { clock } from '$lib/core/safety/rules';
	import { formatClock, formatDuration, hour } from '$lib/core/units/time';
	import { getApp } from '$lib/state/app.svelte';

	const app = getApp();
	const meal = $derived(app.meal);
	const plan = $derived(app.planning.plan);
	const list = $derived(aheadOf(meal, plan, app.techniques));
	const out = $derived(outOfCold(plan));
	/** Since when: so long before service that it still keeps. */
	const since = (service: number, keeps: number) =>
		keeps >= 24 * hour
			? `Up to ${Math.round(keeps / (24 * hour))} days before`
			: `Not before ${formatClock(Math.max(0, service - keeps))}`;
</script>

<h1>{meal.name}: ahead</h1>
<div class="columns">
	<section aria-label="Made before">
		<h2>What can be made before</h2>
		{#each list as a (a.part.id)}
			<article>
				<p>
					<strong>{a.part.name}</strong>
					<span class="state" data-before={a.isBefore}
						>{a.isBefore ? 'made before, in this plan' : 'made in the evening, in this plan'}</span
					>
				</p>
				<p class="soft">{a.steps.join(' · ')}</p>
				<p>
					{since(a.service, a.keeps)}, until {formatClock(a.service)}; {a.how}.
				</p>
				<p class="soft">Keeps by {a.source}. Local codes rule.</p>
				<label>
					Made
					<select
						value={a.part.ahead ?? 'planner'}
						onchange={(event) => {
							const { value } = event.currentTarget;
							const ahead = value === 'evening' || value === 'before' ? value : undefined;
							app.changeMeal(withPartFacts(meal, a.part.id, { ahead }));
						}}
					>
						<option value="planner">as the plan needs it</option>
						<option value="evening">in the evening</option>
						<option value="before">before the evening</option>
					</select>
				</label>
			</article>
		{:else}
			<p class="soft">Nothing of this meal keeps: all of it is made in the evening.</p>
		{/each}
	</section>
	<section aria-label="Out of the cold">
		<h2>Out of the cold</h2>
		{#each out as o, i (i)}
			<article>
				<p><strong>{formatClock(o.at)}</strong> {o.say}</p>
				<p class="soft">
					On the heat by {formatClock(o.until)}; never later than {formatClock(o.limit)}: {formatDuration(
						clock.tempering
					)}
					out of the cold at the most. Local codes rule.
				</p>
			</article>
		{:else}
			<p class="soft">
				Nothing has to lose its chill: the plan counts from how cold each part starts. Leave it in the cold until its
				step.
			</p>
		{/each}
	</section>
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
		gap: var(--space-5);
		margin-top: var(--space-3);
	}
	h2 {
		margin-bottom: var(--space-2);
	}
	article {
		display: grid;
		gap: var(--space-1);
		margin-bottom: 3px;
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.state {
		margin-left: var(--space-2);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	[data-before='true'] {
		color: var(--herb);
		font-weight: 700;
	}
</style>
