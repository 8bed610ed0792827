<!-- A plan as cords that meet at the pass. Lying on a wide screen, standing on a narrow one. -->
<script lang="ts">
	import type { SpokenPlan } from '../../core/words/speak';
	import { formatClock, formatDuration } from '../../core/units/time';
	import Ground from './Ground.svelte';
	import Hands from './Hands.svelte';
	import { layoutCords, wide, type Segment, type FanOf, type Sizes, type SlackOf } from './layout';
	import { frame } from './place';
	import PassNames from './PassNames.svelte';
	import Threads from './Threads.svelte';
	import { timeAxis, usualLens, type Lens } from './time-axis';
	import Weaves from './Weaves.svelte';

	interface Props {
		plan: SpokenPlan;
		lens?: Lens;
		/** Small: no words, no keyboard; to be seen beside something else. */
		isSmall?: boolean;
		/** Chosen step, by id. */
		chosen?: string | undefined;
		/** How much later steps may be, as far as it is known. */
		slack?: SlackOf;
		/** When they end in evenings that were played, as far as it is known. */
		fans?: FanOf | undefined;
		onchoose?: (step: string) => void;
		/** The step pointed at, or `undefined`. */
		onpoint?: (step: string | undefined) => void;
	}
	const { plan, lens = usualLens, isSmall = false, chosen, slack, fans, onchoose, onpoint }: Props = $props();

	const prefix = $props.id();
	const narrow = 640;
	let width = $state(1200);
	let pointed: string | undefined = $state();

	const isStanding = $derived(!isSmall && width < narrow);
	const margins = $derived(
		isSmall
			? { left: 8, right: 14, top: 8, bottom: 8 }
			: isStanding
				? { left: 48, right: 8, top: 76, bottom: 34 }
				: { left: 116, right: 190, top: 44, bottom: 24 }
	);
	const length = $derived(isStanding ? 1100 : Math.max(200, width - margins.left - margins.right - 1));
	const axis = $derived(timeAxis(plan.from, plan.to, length, lens));
	const drawing = $derived(layoutCords(plan, axis, sizesFor(), slack, fans));
	const place = $derived(frame(isStanding, margins.left, margins.top));
	const ticks = $derived(axis.ticks(isStanding ? 30 : 54));
	const size = $derived.by(() => {
		const [along, across] = [length + 1, (isSmall ? drawing.height + 4 : drawing.height) + 1];
		const [w, h] = isStanding ? [across, along] : [along, across];
		return { width: Math.max(1, w + margins.left + margins.right), height: h + margins.top + margins.bottom };
	});
	const forward = $derived(plan.steps.find((s) => s.id === (pointed ?? chosen))?.part);
	const inTime = $derived(plan.steps.toSorted((a, b) => a.from - b.from || a.to - b.to));

	/** Standing, the lanes share the width that there is. */
	function sizesFor(): Sizes {
		if (isSmall) return { slot: 11, keepSlot: 4, pad: 2, gap: 2, hands: 8, letter: 0 };
		if (!isStanding) return wide;
		const thin: Sizes = { slot: 15, keepSlot: 6, pad: 2, gap: 3, hands: 22, letter: 0 };
		const { height } = layoutCords(plan, axis, thin);
		const room = width - margins.left - margins.right;
		const factor = Math.max(0.75, room / height);
		return { ...thin, slot: thin.slot * factor, keepSlot: thin.keepSlot * factor, gap: thin.gap * factor };
	}

	function describe({ step }: Segment): string {
		const part = plan.parts.find((p) => p.id === step.part)?.name ?? '';
		const lane = plan.lanes.find((l) => l.id === step.lane)?.name ?? '';
		const hands = step.hands.some((h) => h.whole)
			? 'hands all the time'
			: step.hands.length === 0
				? 'no hands'
				: `${step.hands.length} ${step.hands.length === 1 ? 'touch' : 'touches'}`;
		const long = formatDuration(step.to - step.from);
		return `${step.say}, ${part}: ${formatClock(step.from)} to ${formatClock(step.to)}, ${long}, ${lane}, ${hands}`;
	}

	/** Left and right go in time, up and down along the part. */
	function move(event: KeyboardEvent, id: string): void {
		const step = plan.steps.find((s) => s.id === id);
		const own = inTime.filter((s) => s.part === step?.part);
		const along = (list: typeof inTime, by: number) => list[list.findIndex((s) => s.id === id) + by];
		const moves: Record<string, () => (typeof inTime)[number] | undefined> = {
			ArrowRight: () => along(inTime, 1),
			ArrowLeft: () => along(inTime, -1),
			ArrowDown: () => along(own, 1),
			ArrowUp: () => along(own, -1),
			Home: () => inTime[0],
			End: () => inTime.at(-1)
		};
		const target = moves[event.key]?.();
		if (!target) return;
		event.preventDefault();
		const svg = (event.currentTarget as Element).closest('svg');
		svg?.querySelector<SVGGElement>(`[data-step="${CSS.escape(target.id)}"]`)?.focus();
	}

	function point(step: string | undefined): void {
		pointed = step;
		onpoint?.(step);
	}
</script>

<div class="cords" bind:clientWidth={width}>
	<svg
		width={size.width}
		height={size.height}
		viewBox="0 0 {size.width} {size.height}"
		role={isSmall ? 'img' : 'group'}
		aria-label="{plan.name}: the plan as cords, from {formatClock(plan.from)} to {formatClock(plan.to)}"
	>
		<Weaves {prefix} {isStanding} />
		<Ground {drawing} frame={place} {ticks} {isSmall} />
		{#if !isSmall}<Hands {drawing} frame={place} {prefix} {forward} />{/if}
		<Threads
			{drawing}
			frame={place}
			{prefix}
			{isSmall}
			{forward}
			{chosen}
			{describe}
			onpoint={point}
			onchoose={(step) => onchoose?.(step)}
			onkey={move}
		/>
		{#if !isSmall && !isStanding}<PassNames {drawing} frame={place} {forward} />{/if}
	</svg>
</div>

<style>
	.cords {
		overflow: hidden;
	}
	svg {
		display: block;
		font-family: var(--font);
		font-variant-numeric: tabular-nums;
	}
</style>
