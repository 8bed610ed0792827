<!-- Ahead: what can be made before the evening, since when, until when; what comes out of the cold. -->
<script lang="ts">
	import { withFree, withPartFacts } from '$lib/core/model/edit-meal';
	import { aheadOf, outOfCold } from '$lib/core/plan/advise/ahead';
	import { clock } from '$lib/core/safety/rules';
	import { formatClock, formatDuration, hour } from '$lib/core/units/time';
	import { wordDay } from '$lib/core/words/days';
	import { getApp } from '$lib/state/app.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import TimeField from '$lib/ui/TimeField.svelte';

	const app = getApp();
	const meal = $derived(app.meal);
	const plan = $derived(app.planning.plan);
	const list = $derived(aheadOf(meal, plan, app.techniques));
	const out = $derived(outOfCold(plan));
	const free = $derived(meal.free ?? []);
	type Free = (typeof free)[number];
	function put(list: readonly Free[]): void {
		app.changeMeal(withFree(meal, [...list]));
	}
	function change(at: number, to: Free): void {
		if (to.from >= to.to) {
			app.notices.say('Free hours end after they begin: put the earlier time first.');
			return;
		}
		put(free.map((f, k) => (k === at ? to : f)));
	}
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
	<section aria-label="Free hours">
		<h2>When you are free before</h2>
		<p class="soft">
			{#if meal.free?.length}What is made before is planned into these hours.{:else}Nothing is said: the evenings before
				from 18:00 to 21:00, and the day itself until the kitchen opens.{/if}
		</p>
		<ul class="hours">
			{#each free as f, i (i)}
				<li>
					<Stepper
						label="Days before"
						value={f.days}
						least={0}
						most={30}
						onchange={(days) => {
							change(i, { ...f, days });
						}}
					/>
					<TimeField
						label="from"
						value={f.from}
						onchange={(from) => {
							change(i, { ...f, from });
						}}
					/>
					<TimeField
						label="to"
						value={f.to}
						onchange={(to) => {
							change(i, { ...f, to });
						}}
					/>
					<button
						class="quiet"
						type="button"
						aria-label="Take out {wordDay(f.days).toLowerCase()}, {formatClock(f.from)} to {formatClock(f.to)}"
						onclick={() => {
							put(free.filter((_, k) => k !== i));
						}}>Take out</button
					>
				</li>
			{/each}
		</ul>
		<button
			type="button"
			onclick={() => {
				put([...free, { days: 1, from: 18 * hour, to: 21 * hour }]);
			}}>Add hours</button
		>
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
	.hours {
		display: grid;
		gap: var(--space-2);
		margin: var(--space-2) 0;
		padding: 0;
		list-style: none;
	}
	.hours li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-4);
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
