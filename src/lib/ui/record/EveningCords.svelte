<!-- An evening on its cords: each part twice, pale as it was planned and full as it went, both to the pass. -->
<script lang="ts">
	import { tookOf, type CookedEvening, type CookedStep } from '../../core/record/evening';
	import { formatClock, formatDuration } from '../../core/units/time';
	import { timeAxis } from '../cords/time-axis';

	interface Props {
		evening: CookedEvening;
		/** The step that is looked at. */
		chosen: string | undefined;
		onchoose: (id: string) => void;
	}
	const { evening, chosen, onchoose }: Props = $props();

	const rowHeight = 40;
	const top = 26;
	const pass = 30;
	let width = $state(1000);
	const names = $derived(width < 640 ? 0 : 172);
	const steps = $derived(evening.steps.filter((s) => s.part !== undefined && !s.id.includes('/wash-')));
	const from = $derived(Math.min(...steps.flatMap((s) => [s.from, s.began ?? s.from]), Infinity));
	const to = $derived(
		Math.max(...evening.courses.flatMap((c) => [c.planned, c.out ?? c.planned]), ...steps.map((s) => s.ended ?? s.to))
	);
	const axis = $derived(
		timeAxis(Number.isFinite(from) ? from : to - 3600, to, Math.max(200, width - names - pass), 60)
	);
	const x = (time: number) => names + axis.u(time);
	const ticks = $derived(axis.ticks(64));
	const rows = $derived(
		evening.parts
			.map((part) => ({ part, steps: steps.filter((s) => s.part === part.id) }))
			.filter((r) => r.steps.length > 0)
	);
	const height = $derived(top + rows.length * rowHeight + 6);
	const isThick = (s: CookedStep) => s.kind === 'heat' && s.lane !== 'rest' && s.lane !== 'keep';
	/** The real one's stretch; what was not told is drawn where it was planned, thin. */
	const real = (s: CookedStep) => {
		const known = tookOf(s) !== undefined;
		return { from: s.began ?? s.from, to: known ? (s.ended ?? s.to) : (s.ended ?? s.to), known };
	};
	const told = (s: CookedStep) => {
		const took = tookOf(s);
		return `${s.say}: planned ${formatClock(s.from)} to ${formatClock(s.to)}${
			took === undefined
				? ''
				: `, was ${formatClock(s.began ?? 0)} to ${formatClock(s.ended ?? 0)}, ${formatDuration(took)}`
		}`;
	};
</script>

<div bind:clientWidth={width}>
	<svg {width} {height} role="group" aria-label="Planned and actual, part by part">
		{#each ticks as t (t.u)}
			<path class="tick" d="M{names + t.u} {top - 4}V{height}" />
			<text class="hour" x={names + t.u} y={15} text-anchor="middle">{t.clock}</text>
		{/each}
		{#each rows as { part, steps: own }, i (part.id)}
			{@const y = top + i * rowHeight + 12}
			{@const course = evening.courses.find((c) => c.id === part.course)}
			<g style:--own="var(--tone-{part.tone})">
				{#if names > 0}<text class="name" x="2" y={y + 9}
						>{part.name.length > 25 ? `${part.name.slice(0, 24)}…` : part.name}</text
					>{/if}
				<path class="ghost" d="M{x(Math.min(...own.map((s) => s.from)))} {y}H{x(course?.planned ?? to)}" />
				<path
					class="real"
					d="M{x(Math.min(...own.map((s) => real(s).from)))} {y + 15}H{x(part.served ?? course?.out ?? to)}"
				/>
				{#each own as s (s.id)}
					{@const r = real(s)}
					<path class="ghost step" d="M{x(s.from)} {y}H{Math.max(x(s.from) + 1, x(s.to))}" data-thick={isThick(s)} />
					<path
						class="real step"
						d="M{x(r.from)} {y + 15}H{Math.max(x(r.from) + 1, x(r.to))}"
						data-thick={isThick(s)}
						data-known={r.known}
					/>
					{#if r.known && Math.abs(r.to - s.to) >= 60}
						<path class="off" data-late={r.to > s.to} d="M{x(s.to)} {y}L{x(r.to)} {y + 15}" />
					{/if}
					<rect
						class="target"
						role="button"
						tabindex="0"
						aria-label={told(s)}
						aria-pressed={chosen === s.id}
						x={Math.min(x(s.from), x(r.from))}
						y={y - 8}
						width={Math.max(8, Math.max(x(s.to), x(r.to)) - Math.min(x(s.from), x(r.from)))}
						height={rowHeight - 8}
						onclick={() => {
							onchoose(s.id);
						}}
						onkeydown={(event) => {
							if (event.key === 'Enter' || event.key === ' ') {
								event.preventDefault();
								onchoose(s.id);
							}
						}}><title>{told(s)}</title></rect
					>
				{/each}
				<circle class="knot" cx={x(part.served ?? course?.out ?? to)} cy={y + 15} r="5" />
			</g>
		{/each}
		{#each evening.courses as c (c.id)}
			<path class="due" d="M{x(c.planned)} {top - 4}V{height}" />
			{#if c.out !== undefined && Math.abs(c.out - c.planned) >= 60}
				<path class="out" d="M{x(c.out)} {top - 4}V{height}" />
			{/if}
		{/each}
	</svg>
	<p class="legend">
		<span class="pale"></span> as planned <span class="full"></span> as it went
		<span class="late"></span> ended later <span class="soon"></span> ended sooner
	</p>
</div>

<style>
	div {
		overflow: hidden;
		border-radius: var(--corner);
		background: var(--enamel);
	}
	svg {
		display: block;
	}
	.tick {
		stroke: var(--rim);
	}
	.hour {
		fill: var(--ink-soft);
		font-size: 13px;
	}
	.name {
		fill: var(--ink);
		font-size: 13px;
		font-weight: 600;
	}
	.ghost {
		stroke: color-mix(in oklab, var(--own) 45%, var(--enamel));
		stroke-width: 1.5;
		stroke-dasharray: 1 5;
		fill: none;
	}
	.real {
		stroke: var(--own);
		stroke-width: 1.5;
		stroke-dasharray: 1 5;
		fill: none;
	}
	.step {
		stroke-width: 4;
		stroke-dasharray: none;
		stroke-linecap: round;
	}
	.step[data-thick='true'] {
		stroke-width: 9;
	}
	.real.step[data-known='false'] {
		stroke-dasharray: 3 4;
		stroke-linecap: butt;
		stroke-width: 3;
	}
	.off {
		stroke: var(--herb);
		stroke-width: 2.5;
	}
	.off[data-late='true'] {
		stroke: var(--alarm);
	}
	.target {
		fill: transparent;
		cursor: pointer;
	}
	.target:hover,
	.target[aria-pressed='true'] {
		fill: color-mix(in oklab, var(--copper-fill) 16%, transparent);
	}
	.knot {
		fill: var(--own);
	}
	.due {
		stroke: var(--ink);
		stroke-width: 2;
	}
	.out {
		stroke: var(--alarm);
		stroke-width: 2;
		stroke-dasharray: 6 4;
	}
	.legend {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-2);
		padding: var(--space-1) var(--space-3) var(--space-2);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.legend span {
		width: 26px;
		height: 8px;
		margin-left: var(--space-3);
		border-radius: 4px;
		background: var(--ink);
	}
	.legend .pale {
		background: color-mix(in oklab, var(--ink) 40%, var(--enamel));
	}
	.legend .late,
	.legend .soon {
		height: 3px;
		background: var(--alarm);
		transform: rotate(-18deg);
	}
	.legend .soon {
		background: var(--herb);
	}
</style>
