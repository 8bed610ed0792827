<!-- The kitchen drawn from above, true to proportion: choose a station, drag it or move it by the arrows, take it out. -->
<script lang="ts">
	import type { Kitchen } from '../../core/model/kitchen';
	import { usualStation } from '../../core/model/stations';
	import type { SpokenPlan } from '../../core/words/speak';
	import { formatDuration } from '../../core/units/time';
	import { getUnits } from '../units';
	import { layoutFloor, type Placed } from './floor';

	interface Props {
		kitchen: Kitchen;
		plan: SpokenPlan;
		/** Id of the station that is being changed. */
		chosen: string | undefined;
		onchoose: (station: string) => void;
		/** Moved so that its top left corner is here, cm. */
		onmove: (station: string, at: { readonly x: number; readonly y: number }) => void;
		onremove: (station: string) => void;
	}
	const { kitchen, plan, chosen, onchoose, onmove, onremove }: Props = $props();
	const units = getUnits();

	/** One press of an arrow, cm; what a drag snaps to. */
	const nudge = 5;
	/** Of an oven, for its name and for its use, cm. */
	const head = 14;
	const foot = 13;
	const narrow = 640;
	const shortest = 210;
	let svg: SVGSVGElement | undefined = $state();
	let held: { readonly id: string; readonly from: DOMPoint; readonly by: { x: number; y: number } } | undefined =
		$state.raw();

	/** On a narrow screen worktops are shorter, so that they can be touched. */
	let wide = $state(1200);
	const floor = $derived(layoutFloor(kitchen, wide < narrow ? shortest : undefined));
	const used = (id: string) => plan.steps.filter((s) => s.lane === id).reduce((sum, s) => sum + s.to - s.from, 0);
	const note = ({ station: s }: Placed) => {
		if (s.kind === 'burner') return `${(s.power / 1000).toFixed(1)} kW`;
		if (s.kind === 'oven') return `${s.racks} ${s.racks === 1 ? 'rack' : 'racks'}${s.fan ? ', fan' : ''}`;
		if (s.kind === 'wood oven') return units.say(`${s.temperature ?? usualStation['wood oven'].temperature} °C`);
		if (s.kind === 'griddle') return 'griddle';
		return s.places > 1 ? `${s.places} places` : '';
	};
	const says = (p: Placed) => {
		const seconds = used(p.station.id);
		return `${p.station.name}, ${note(p)}, ${seconds > 0 ? `used ${formatDuration(seconds)}` : 'not used'}`;
	};
	const rack = ({ x, y, rx, ry }: Placed, share: number) =>
		`M${x - rx + 5} ${y - ry + head + (2 * ry - head - foot) * share}H${x + rx - 5}`;
	const handle = ({ x, y, rx, ry }: Placed) => `M${x - rx + 12} ${y + ry - 3.5}H${x + rx - 12}`;
	/** Racks apart by the same share of the oven. */
	const shares = (racks: number) => Array.from({ length: racks }, (_, i) => (i + 0.5) / racks);
	const moved = (p: Placed) => (held?.id === p.station.id ? `translate(${held.by.x} ${held.by.y})` : undefined);

	function point(event: PointerEvent): DOMPoint | undefined {
		const matrix = svg?.getScreenCTM()?.inverse();
		return matrix && new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
	}
	function to(p: Placed, dx: number, dy: number): void {
		if (p.station.kind === 'griddle') return;
		const snap = (v: number) => Math.max(0, Math.round(v / nudge) * nudge);
		onmove(p.station.id, { x: snap(p.x - p.rx + dx), y: snap(p.y - p.ry + dy) });
	}
	function down(event: PointerEvent & { currentTarget: SVGGElement }, p: Placed): void {
		const from = point(event);
		if (!from) return;
		onchoose(p.station.id);
		event.currentTarget.setPointerCapture(event.pointerId);
		held = { id: p.station.id, from, by: { x: 0, y: 0 } };
	}
	function drag(event: PointerEvent): void {
		const now = point(event);
		if (held && now) held = { ...held, by: { x: now.x - held.from.x, y: now.y - held.from.y } };
	}
	function up(p: Placed): void {
		if (held && Math.hypot(held.by.x, held.by.y) >= nudge / 2) to(p, held.by.x, held.by.y);
		held = undefined;
	}
	function key(event: KeyboardEvent, p: Placed): void {
		const arrows: Record<string, readonly [number, number]> = {
			ArrowLeft: [-nudge, 0],
			ArrowRight: [nudge, 0],
			ArrowUp: [0, -nudge],
			ArrowDown: [0, nudge]
		};
		const by = arrows[event.key];
		if (by) {
			event.preventDefault();
			to(p, ...by);
		} else if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			onchoose(p.station.id);
		} else if (event.key === 'Delete' || event.key === 'Backspace') {
			event.preventDefault();
			onremove(p.station.id);
		}
	}
</script>

<div bind:clientWidth={wide}>
	<svg
		bind:this={svg}
		viewBox="0 -2 {floor.width} {floor.depth + 12}"
		role="group"
		aria-label="{kitchen.name} from above"
	>
		<rect class="top" x="0" y="-2" width={floor.width} height={floor.depth + 4} rx="3" />
		{#if floor.hob}<rect class="hob" {...floor.hob} rx="3" />{/if}
		{#each floor.placed as p (p.station.id)}
			{@const minutes = used(p.station.id)}
			<g
				data-kind={p.station.kind}
				data-used={minutes > 0}
				data-chosen={chosen === p.station.id}
				role="button"
				tabindex="0"
				aria-label={says(p)}
				aria-pressed={chosen === p.station.id}
				transform={moved(p)}
				onpointerdown={(event) => {
					down(event, p);
				}}
				onpointermove={drag}
				onpointerup={() => {
					up(p);
				}}
				onpointercancel={() => {
					held = undefined;
				}}
				onkeydown={(event) => {
					key(event, p);
				}}
			>
				{#if p.station.kind === 'burner'}
					<circle class="zone" cx={p.x} cy={p.y} r={p.rx} />
					<text class="name" x={p.x} y={p.y}>{note(p)}</text>
					<text class="note inside" x={p.x} y={p.y + 5}>{minutes > 0 ? `${Math.round(minutes / 60)} min` : 'free'}</text
					>
				{:else if p.station.kind === 'griddle'}
					<rect class="plate" x={p.x - p.rx} y={p.y - p.ry} width={2 * p.rx} height={2 * p.ry} rx="4" />
					<text class="note inside" x={p.x} y={p.y + 1}>{p.station.name}</text>
				{:else}
					<rect class="box" x={p.x - p.rx} y={p.y - p.ry} width={2 * p.rx} height={2 * p.ry} rx="2.5" />
					{#if p.station.kind === 'oven'}
						{#each shares(p.station.racks) as share (share)}<path class="rack" d={rack(p, share)} />{/each}
						<path class="handle" d={handle(p)} />
					{/if}
					<text class="name" x={p.x} y={p.station.kind === 'oven' ? p.y - p.ry + 8 : p.y - 3}>{p.station.name}</text>
					<text class="note" x={p.x} y={p.y + (p.station.kind === 'oven' ? 12.5 - p.ry : 3.5)}>{note(p)}</text>
					<text class="note" x={p.x} y={p.y + (p.station.kind === 'oven' ? p.ry - 7 : 9)}
						>{minutes > 0 ? `used ${formatDuration(minutes)}` : 'not used'}</text
					>
				{/if}
			</g>
		{/each}
	</svg>
</div>

<style>
	svg {
		display: block;
		width: 100%;
		max-height: 27rem;
	}
	.top {
		fill: var(--enamel);
		stroke: var(--rim);
	}
	.hob {
		fill: var(--iron);
	}
	g {
		cursor: grab;
		touch-action: none;
	}
	g:focus {
		outline: none;
	}
	.zone {
		fill: #ffffff08;
		stroke: var(--on-iron-soft);
		stroke-width: 0.7;
	}
	[data-used='true'] .zone {
		fill: #c66a3033;
		stroke: #e59a6a;
		stroke-width: 1.1;
	}
	.plate {
		fill: #8a969466;
		stroke: var(--on-iron-soft);
		stroke-width: 0.7;
		stroke-dasharray: 3 1.5;
	}
	.box {
		fill: var(--enamel-2);
		stroke: var(--ink-soft);
		stroke-width: 0.6;
	}
	:is([data-kind='oven'], [data-kind='fryer'], [data-kind='grill'], [data-kind='wood oven'])[data-used='true'] .box {
		stroke: var(--copper);
		stroke-width: 1.2;
	}
	:is([data-chosen='true'], g:focus-visible) :is(.box, .zone, .plate) {
		stroke: var(--herb-fill);
		stroke-width: 2;
	}
	.rack {
		stroke: var(--ink-soft);
		stroke-width: 0.5;
		stroke-dasharray: 2 1;
	}
	.handle {
		stroke: var(--ink-soft);
		stroke-width: 1.6;
		stroke-linecap: round;
	}
	text {
		fill: var(--ink);
		font-size: 5px;
		text-anchor: middle;
		pointer-events: none;
	}
	.name {
		font-weight: 600;
	}
	.note {
		fill: var(--ink-soft);
		font-size: 4.4px;
	}
	:is([data-kind='burner'], [data-kind='griddle']) text {
		fill: var(--on-iron);
	}
	[data-kind='burner'] .name {
		font-size: 4.2px;
	}
	.note.inside {
		font-size: 3.4px;
	}
</style>
