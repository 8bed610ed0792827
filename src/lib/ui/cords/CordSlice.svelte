<!-- Where am I in the evening: half an hour back and half an hour ahead on the cords, and now as a line between. -->
<script lang="ts">
	import type { SpokenPlan } from '../../core/words/speak';
	import { formatClock } from '../../core/units/time';
	import { fitted } from './fitted';
	import Ground from './Ground.svelte';
	import { layoutCords, type Sizes } from './layout';
	import { frame } from './place';
	import { inSlice, reach } from './slice';
	import Threads from './Threads.svelte';
	import { timeAxis } from './time-axis';
	import Weaves from './Weaves.svelte';

	interface Props {
		plan: SpokenPlan;
		/** The plan's clock, seconds. */
		clock: number;
	}
	const { plan, clock }: Props = $props();

	const prefix = $props.id();
	const sizes: Sizes = { slot: 25, keepSlot: 6, pad: 2, gap: 3, hands: 0, letter: 0 };
	const letter = 6.6;
	const top = 24;
	let width = $state(1000);
	/** Where now is: two fifths from the left, what is to come has more room. */
	const nowAt = $derived(Math.round(0.4 * width));
	const shown = $derived(inSlice(plan, clock));
	const perSecond = $derived(width / (2 * reach));
	const axis = $derived(timeAxis(plan.from, plan.to, Math.max(1, perSecond * (plan.to - plan.from)), Infinity));
	const drawing = $derived(layoutCords(shown, axis, sizes));
	const place = frame(false, 0, top);
	const left = $derived(Math.round(axis.u(clock) - nowAt));
	const height = $derived(drawing.lanesEnd + top + 6);
	/** Room for the names of lanes; a narrow screen has none. */
	const names = $derived(width < 560 ? 0 : 104);
	/** Words over each cord, where what is seen of it begins. */
	const labels = $derived(
		drawing.segments.flatMap((s) => {
			const begin = Math.max(s.u0 + 2, left + names + 6);
			const next = Math.min(
				...drawing.segments.flatMap((o) => (o.v === s.v && o.u0 > s.u0 ? [o.u0] : [])),
				left + width
			);
			const letters = Math.floor((next - begin - 4) / letter);
			if (s.u1 < begin - 2 || letters < 4) return [];
			return [{ id: s.step.id, x: begin, y: s.v + top - 9, text: fitted([s.step.say, nameOf(s.step.part)], letters) }];
		})
	);
	const nameOf = (id: string) => plan.parts.find((p) => p.id === id)?.name ?? '';
</script>

<div bind:clientWidth={width}>
	<svg
		{width}
		{height}
		viewBox="{left} 0 {width} {height}"
		role="img"
		aria-label="The half hour before and after {formatClock(clock)} on the cords"
	>
		<Weaves {prefix} isStanding={false} />
		<Ground {drawing} frame={place} ticks={[]} isSmall={true} />
		{#each axis.ticks(perSecond * 300) as tick (tick.u)}
			<path class="tick" d="M{tick.u} {top - 4}V{height}" />
			<text class="hour" x={tick.u} y={14} text-anchor="middle">{tick.clock}</text>
		{/each}
		<Threads
			{drawing}
			frame={place}
			{prefix}
			isSmall={false}
			isStill
			forward={undefined}
			chosen={undefined}
			describe={({ step }) => step.say}
			onpoint={() => undefined}
			onchoose={() => undefined}
			onkey={() => undefined}
		/>
		{#each labels as l (l.id)}<text class="label" x={l.x} y={l.y}>{l.text}</text>{/each}
		{#if names > 0}
			<rect class="names" x={left} y={top - 2} width={names} {height} />
			{#each drawing.lanes as { lane, v, height: h } (lane.id)}
				<text class="lane" x={left + 8} y={top + v + h / 2 + 4}>{fitted([lane.name], 14)}</text>
			{/each}
		{/if}
		<path class="now" d="M{left + nowAt} 2V{height}" />
	</svg>
</div>

<style>
	div {
		overflow: hidden;
		border-radius: var(--corner);
		background: var(--enamel-2);
	}
	svg {
		display: block;
		font-family: var(--font);
		font-variant-numeric: tabular-nums;
	}
	.tick {
		stroke: var(--rim);
	}
	.hour {
		fill: var(--ink-soft);
		font-size: 13px;
	}
	.names {
		fill: var(--enamel-2);
		fill-opacity: 0.9;
	}
	.lane {
		fill: var(--ink);
		font-size: 13px;
		font-weight: 600;
	}
	.label {
		fill: var(--ink);
		font-size: 12.5px;
	}
	.now {
		stroke: var(--copper);
		stroke-width: 3;
	}
</style>
