<!-- The days before, left of the evening: hours in which somebody is free, what is made in them, and until when it keeps. -->
<script lang="ts">
	import type { SpokenPlan } from '../../core/words/speak';
	import { clockOn, dayOf, handsIn, wordDay, wordKept } from '../../core/words/days';
	import { formatDuration, hour } from '../../core/units/time';

	interface Props {
		plan: SpokenPlan;
	}
	const { plan }: Props = $props();

	/** Hours that are drawn of each day. */
	const [first, last] = [7 * hour, 23 * hour];
	const marks = [9, 12, 15, 18, 21];
	const days = $derived(plan.days);
	const shown = $derived.by(() => {
		const instants = (days?.steps ?? []).map((s) => dayOf(s.from));
		const farthest = Math.max(0, ...instants);
		return Array.from({ length: farthest + 1 }, (_, k) => farthest - k);
	});
	const toneOf = (id: string) => plan.parts.find((p) => (p.of ?? p.id) === id)?.tone ?? 0;
	const nameOf = (id: string) => plan.parts.find((p) => (p.of ?? p.id) === id)?.name ?? id;
	/** Share of the drawn day, in hundredths. */
	function at(instant: number, n: number): number {
		const clock = instant + n * 24 * hour;
		return 100 * Math.min(1, Math.max(0, (clock - first) / (last - first)));
	}
	const on = <T extends { readonly from: number }>(list: readonly T[], n: number) =>
		list.filter((x) => dayOf(x.from) === n);
</script>

{#if days}
	<section aria-label="The days before">
		<h2>Before the evening</h2>
		{#if !days.fits}
			<p class="bad" role="status">
				What is made before does not fit into the hours that are free, or into the cold.
				<a href="/menu/ahead">Say when you are free</a>
			</p>
		{/if}
		<div class="axis" style:--days={shown.length} aria-hidden="true">
			<div class="clock">
				{#each marks as hours (hours)}<span style:top="{at(hours * hour, 0)}%">{hours}</span>{/each}
			</div>
			{#each shown as n (n)}
				<div class="day">
					<span class="name">{n === 0 ? 'same day' : n === 1 ? '1 day' : `${n} days`}</span>
					<div class="hours">
						{#each on(days.free, n) as f, i (i)}
							<span class="free" style:top="{at(f.from, n)}%" style:bottom="{100 - at(f.to, n)}%"></span>
						{/each}
						{#each on(days.steps, n) as s, i (i)}
							<span
								class="step"
								data-hands={s.hands.length > 0}
								style:--tone="var(--tone-{toneOf(s.part)})"
								style:top="{at(s.from, n)}%"
								style:bottom="{100 - at(s.to, n)}%"
							></span>
						{/each}
					</div>
				</div>
			{/each}
		</div>
		{#each shown.filter((n) => on(days.steps, n).length > 0) as n (n)}
			{@const own = on(days.steps, n)}
			<h3>{wordDay(n)} <span class="soft">hands {formatDuration(handsIn(own))}</span></h3>
			<ol>
				{#each own as s, i (i)}
					<li>
						<b>{clockOn(s.from)}</b>
						<span class="dot" style:--tone="var(--tone-{toneOf(s.part)})"></span>
						<span>{s.say}</span>
						<span class="soft">{[s.place, formatDuration(s.to - s.from)].filter(Boolean).join(' · ')}</span>
					</li>
				{/each}
			</ol>
		{/each}
		{#each days.kept as k (k.part)}
			<p class="soft"><strong>{nameOf(k.part)}</strong>: {wordKept(k)}.</p>
		{/each}
	</section>
{/if}

<style>
	section {
		display: grid;
		align-content: start;
		align-self: start;
		gap: var(--space-2);
		padding: var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	h2,
	h3 {
		font-size: var(--text-m);
	}
	.axis {
		display: grid;
		grid-template-columns: 1.4rem repeat(var(--days), minmax(2.5rem, 5rem));
		gap: 3px;
	}
	.clock {
		position: relative;
		height: 9rem;
		margin-top: 1.4rem;
		color: var(--ink-soft);
		font-size: var(--text-xs);
	}
	.clock span {
		position: absolute;
		right: 2px;
		transform: translateY(-50%);
	}
	.dot {
		flex: none;
		width: 0.6rem;
		height: 0.6rem;
		border-radius: 50%;
		background: var(--tone);
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0 var(--space-2);
	}
	.day {
		display: grid;
		gap: var(--space-1);
	}
	.name {
		color: var(--ink-soft);
		font-size: var(--text-xs);
	}
	.hours {
		position: relative;
		height: 9rem;
		border-radius: 4px;
		background: var(--ground);
	}
	.hours > span {
		position: absolute;
		min-height: 3px;
	}
	.free {
		right: 0;
		left: 0;
		background: var(--herb-wash);
	}
	.step {
		right: 35%;
		left: 35%;
		border-radius: 3px;
		background: var(--tone);
		opacity: 0.55;
	}
	.step[data-hands='true'] {
		right: 20%;
		left: 20%;
		opacity: 1;
	}
	ol {
		display: grid;
		gap: var(--space-1);
		padding: 0;
		list-style: none;
		font-size: var(--text-s);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
		font-weight: 400;
	}
	.bad {
		color: var(--alarm);
		font-size: var(--text-s);
	}
</style>
