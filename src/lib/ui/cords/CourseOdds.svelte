<!-- How likely one course is on time, and its chance along the time after it is due. -->
<script lang="ts">
	import type { Odds } from '../../core/rehearse/rehearse';
	import { formatClock } from '../../core/units/time';
	import { inHundred, wordLate } from '../../core/words/odds';
	import { chanceLine } from './chance';

	interface Props {
		name: string;
		/** Clock time. */
		due: number;
		odds: Odds['services'][string];
		/** Seconds late at hundred quantiles. */
		late: readonly number[];
	}
	const { name, due, odds, late }: Props = $props();

	const [width, height] = [260, 64];
	const line = $derived(chanceLine(late, width, height));
</script>

<figure>
	<figcaption>
		<strong>{name}</strong>
		{inHundred(odds.onTime)} in 100 at {formatClock(due)}
		<span>{wordLate(odds.slip)}</span>
	</figcaption>
	<svg viewBox="0 0 {width} {height + 18}" aria-hidden="true">
		<path class="area" d="{line.path} L{width} {height} L0 {height} Z" />
		<path class="line" d={line.path} />
		<line class="ground" x1="0" x2={width} y1={height} y2={height} />
		{#each line.ticks as t (t.seconds)}
			<line class="tick" x1={t.x} x2={t.x} y1={height} y2={height + 4} />
			<text x={t.x} y={height + 16} text-anchor={t.x === 0 ? 'start' : t.x === width ? 'end' : 'middle'}
				>{formatClock(due + t.seconds)}</text
			>
		{/each}
	</svg>
</figure>

<style>
	figure {
		flex: 0 1 22rem;
		margin: 0;
	}
	figcaption span {
		display: block;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	svg {
		width: 100%;
		max-width: 26rem;
	}
	.area {
		fill: var(--herb-fill);
		opacity: 0.25;
	}
	.line {
		fill: none;
		stroke: var(--herb-fill);
		stroke-width: 2.5;
	}
	.ground,
	.tick {
		stroke: var(--ink-soft);
	}
	text {
		fill: var(--ink-soft);
		font-size: 11px;
	}
</style>
