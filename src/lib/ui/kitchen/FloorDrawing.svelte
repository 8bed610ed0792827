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
	const racks = (count: number) => Array.from({ length: count }, (_, i) => i);
</script>

<svg viewBox="0 -2 {floor.width} {floor.depth + 22}" role="img" aria-label="{kitchen.name} from above">
	<rect class="top" x="0" y="-2" width={floor.width} height={floor.depth + 4} rx="3" />
	{#if floor.hob}<rect class="hob" {...floor.hob} rx="3" />{/if}
	{#each floor.placed as p (p.station.id)}
		{@const minutes = used(p.station.id)}
		<g data-kind={p.station.kind} data-used={minutes > 0}>
			{#if p.station.kind === 'burner'}
				<circle class="zone" cx={p.x} cy={p.y} r={p.rx} />
				<circle class="ring" cx={p.x} cy={p.y} r={p.rx * 0.62} />
			{:else}
				<rect class="box" x={p.x - p.rx} y={p.y - p.ry} width={2 * p.rx} height={2 * p.ry} rx="2.5" />
				{#if p.station.kind === 'oven'}
					{#each racks(p.station.racks) as i (i)}
						{@const y = p.y - p.ry + (2 * p.ry * (i + 1)) / (p.station.racks + 1)}
						<path class="rack" d="M{p.x - p.rx + 5} {y}H{p.x + p.rx - 5}" />
					{/each}
					<path class="handle" d="M{p.x - p.rx + 12} {p.y + p.ry - 3.5}H{p.x + p.rx - 12}" />
				{/if}
			{/if}
			<text class="name" x={p.x} y={p.y - (p.station.kind === 'burner' ? -1 : p.station.kind === 'oven' ? p.ry - 8 : 0)}
				>{p.station.kind === 'burner' ? note(p) : p.station.name}</text
			>
			{#if p.station.kind !== 'burner'}
				<text class="note" x={p.x} y={floor.depth + 10}
					>{minutes > 0 ? `used ${formatDuration(minutes)}` : 'not used'}</text
				>
			{:else}
				<text class="note inside" x={p.x} y={p.y + 6}>{minutes > 0 ? formatDuration(minutes) : 'free'}</text>
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
	.ring {
		fill: none;
		stroke: var(--on-iron-soft);
		stroke-width: 0.3;
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
	.note.inside {
		font-size: 4px;
	}
</style>
