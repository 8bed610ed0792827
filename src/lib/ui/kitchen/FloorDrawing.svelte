<!-- The kitchen drawn from above, true to proportion; each station says how long the plan uses it. -->
<script lang="ts">
	import type { Kitchen } from '../../core/model/kitchen';
	import type { Plan } from '../../core/model/plan';
	import { formatDuration } from '../../core/units/time';
	import { layoutFloor, type Placed } from './floor';

	interface Props {
		kitchen: Kitchen;
		plan: Plan;
	}
	const { kitchen, plan }: Props = $props();

	const floor = $derived(layoutFloor(kitchen));
	const used = (id: string) => plan.steps.filter((s) => s.lane === id).reduce((sum, s) => sum + s.to - s.from, 0);
	const note = ({ station }: Placed) => {
		if (station.kind === 'burner') return `${(station.power / 1000).toFixed(1)} kW`;
		if (station.kind === 'oven') return `${station.racks} ${station.racks === 1 ? 'rack' : 'racks'}`;
		return '';
	};
	const rack = ({ x, y, rx, ry }: Placed, share: number) => `M${x - rx + 5} ${y - ry + 2 * ry * share}H${x + rx - 5}`;
	const handle = ({ x, y, rx, ry }: Placed) => `M${x - rx + 12} ${y + ry - 3.5}H${x + rx - 12}`;
	/** Racks apart by the same share of the oven. */
	const shares = (racks: number) => Array.from({ length: racks }, (_, i) => (i + 1) / (racks + 1));
</script>

<svg viewBox="0 -2 {floor.width} {floor.depth + 22}" role="img" aria-label="{kitchen.name} from above">
	<rect class="top" x="0" y="-2" width={floor.width} height={floor.depth + 4} rx="3" />
	{#if floor.hob}<rect class="hob" {...floor.hob} rx="3" />{/if}
	{#each floor.placed as p (p.station.id)}
		{@const minutes = used(p.station.id)}
		<g data-kind={p.station.kind} data-used={minutes > 0}>
			{#if p.station.kind === 'burner'}
				<circle class="zone" cx={p.x} cy={p.y} r={p.rx} />
			{:else}
				<rect class="box" x={p.x - p.rx} y={p.y - p.ry} width={2 * p.rx} height={2 * p.ry} rx="2.5" />
				{#if p.station.kind === 'oven'}
					{#each shares(p.station.racks) as share (share)}
						<path class="rack" d={rack(p, share)} />
					{/each}
					<path class="handle" d={handle(p)} />
				{/if}
			{/if}
			<text class="name" x={p.x} y={p.station.kind === 'oven' ? p.y - p.ry + 8 : p.y}
				>{p.station.kind === 'burner' ? note(p) : p.station.name}</text
			>
			{#if p.station.kind !== 'burner'}
				<text class="note" x={p.x} y={floor.depth + 10}
					>{minutes > 0 ? `used ${formatDuration(minutes)}` : 'not used'}</text
				>
			{:else}
				<text class="note inside" x={p.x} y={p.y + 5}>{minutes > 0 ? formatDuration(minutes) : 'free'}</text>
			{/if}
		</g>
	{/each}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		max-height: 20rem;
	}
	.top {
		fill: var(--enamel);
		stroke: var(--rim);
	}
	.hob {
		fill: var(--iron);
	}
	.zone {
		fill: none;
		stroke: var(--on-iron-soft);
		stroke-width: 0.7;
	}
	[data-used='true'] .zone {
		fill: #c66a3033;
		stroke: #e59a6a;
		stroke-width: 1.1;
	}
	.box {
		fill: var(--enamel-2);
		stroke: var(--ink-soft);
		stroke-width: 0.6;
	}
	[data-kind='oven'][data-used='true'] .box,
	[data-kind='fryer'][data-used='true'] .box {
		stroke: var(--copper);
		stroke-width: 1.2;
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
	}
	.name {
		font-weight: 600;
	}
	.note {
		fill: var(--ink-soft);
		font-size: 4.4px;
	}
	[data-kind='burner'] text {
		fill: var(--on-iron);
	}
	[data-kind='burner'] .name {
		font-size: 4.2px;
	}
	.note.inside {
		font-size: 3.4px;
	}
</style>
