<!-- The cords themselves: pieces on heat, hollow rests, dotted waits, the ways between, beads and knots. -->
<script lang="ts">
	import type { SVGAttributes } from 'svelte/elements';
	import { transitPath, type Drawing, type Segment } from './layout';
	import type { Frame } from './place';

	interface Props {
		drawing: Drawing;
		frame: Frame;
		prefix: string;
		isSmall: boolean;
		/** Only to be looked at: nothing of it is touched. */
		isStill?: boolean;
		/** Part to bring forward. */
		forward: string | undefined;
		/** Step that is chosen. */
		chosen: string | undefined;
		/** What a step says to those who cannot see it. */
		describe: (segment: Segment) => string;
		onpoint: (step: string | undefined) => void;
		onchoose: (step: string) => void;
		onkey: (event: KeyboardEvent, step: string) => void;
	}
	const {
		drawing,
		frame,
		prefix,
		isSmall,
		isStill = isSmall,
		forward,
		chosen,
		describe,
		onpoint,
		onchoose,
		onkey
	}: Props = $props();

	const half = $derived(isSmall ? 3.5 : 6.5);
	const tabStop = $derived(drawing.segments.some((s) => s.step.id === chosen) ? chosen : drawing.segments[0]?.step.id);
	const stateOf = (part: string | undefined) =>
		forward === undefined ? 'calm' : part === forward ? 'forward' : 'back';
	/** A group in a drawing cannot be a <button>: what makes it one. */
	const control = (s: Segment): SVGAttributes<SVGGElement> => ({
		role: 'button',
		tabindex: s.step.id === tabStop ? 0 : -1,
		'aria-label': describe(s),
		'aria-pressed': s.step.id === chosen,
		onpointerenter: () => {
			onpoint(s.step.id);
		},
		onpointerleave: () => {
			onpoint(undefined);
		},
		onclick: () => {
			onchoose(s.step.id);
		},
		onfocus: () => {
			onchoose(s.step.id);
		},
		onkeydown: (event) => {
			onkey(event, s.step.id);
		}
	});
	/** Slack is a line after the piece; where there is none, a line beneath all of it. */
	const slackFrom = (s: Segment) => ((s.slack ?? 0) > s.u1 ? s.u1 : s.u0);
	const fadeBox = (s: Segment) => frame.box(s.u1, Math.max(s.u1, s.fade), s.v - half * 0.8, s.v + half * 0.8);
</script>

{#each drawing.transits as t, i (i)}
	<path
		class="transit"
		data-state={stateOf(t.part)}
		data-wait={t.isWait}
		d={transitPath(t, frame.point)}
		style:--tone="var(--tone-{t.tone})"
	/>
{/each}
{#each drawing.waits as w (w.part)}
	<path
		class="wait"
		data-state={stateOf(w.part)}
		d="M{frame.point(w.u0, w.v)}L{frame.point(w.u1, w.v)}"
		style:--tone="var(--tone-{w.tone})"
	/>
{/each}

{#each drawing.segments as s (s.step.id)}
	<g
		class="piece"
		{...isStill ? {} : control(s)}
		data-step={s.step.id}
		data-state={stateOf(s.step.part)}
		data-look={s.look}
		style:--tone="var(--tone-{s.tone})"
	>
		{#if !isStill}<rect class="reach" {...frame.box(s.u0, s.u1, s.v - 13, s.v + 11)} />{/if}
		{#if s.fade > s.u1 + 2}<rect {...fadeBox(s)} fill="url(#{prefix}-fade-{s.tone})" />{/if}
		<rect
			class="body"
			{...frame.box(s.u0, s.u1, s.v - half, s.v + half)}
			rx={half}
			style:--weave="url(#{prefix}-weave-{s.tone})"
		/>
		{#each s.hatched as h, i (i)}
			<rect
				class="hatched"
				data-bound={s.step.bound}
				{...frame.box(h.u0, h.u1, s.v - half, s.v + half)}
				rx={half}
				fill="url(#{prefix}-hatch)"
			/>
		{/each}
		{#if s.slack !== undefined && !isSmall}
			<rect
				class="slack"
				data-tight={s.slack <= s.u1}
				{...frame.box(slackFrom(s), Math.max(s.slack, s.u1), s.v + half + 1, s.v + half + 3)}
			/>
		{/if}
		{#if s.fan && !isSmall && stateOf(s.step.part) === 'forward'}
			<rect class="fan" {...frame.box(s.fan.u0, s.fan.u1, s.v - half - 1, s.v + half + 1)} rx={half} />
		{/if}
		{#if s.label !== ''}
			<text class="label" x={frame.x(s.u0, 0) + 2} y={frame.y(0, s.v) - 9}>{s.label}</text>
		{/if}
	</g>
{/each}

{#if !isSmall}
	{#each drawing.beads as b, i (i)}
		<circle class="bead" data-state={stateOf(b.part)} cx={frame.x(b.u, b.v)} cy={frame.y(b.u, b.v)} r="4.2" />
	{/each}
	{#each drawing.earlier as course, i (i)}
		{#if !frame.isStanding}
			<text class="out" x={frame.x(course.u, 0) + 6} y={frame.y(0, drawing.lanesEnd) - 6}>{course.label}</text>
		{/if}
	{/each}
{/if}
{#each drawing.knots as k (k.part.id)}
	<circle
		class="knot"
		data-state={stateOf(k.part.id)}
		cx={frame.x(k.u, k.v)}
		cy={frame.y(k.u, k.v)}
		r={isSmall ? 4 : 7}
		style:--tone="var(--tone-{k.part.tone})"
	/>
{/each}

<style>
	.transit,
	.wait {
		fill: none;
		stroke: var(--tone);
		stroke-width: 1.6;
		stroke-opacity: 0.5;
		transition: stroke-opacity var(--quick);
	}
	.wait,
	.transit[data-wait='true'] {
		stroke-width: 2.2;
		stroke-opacity: 0.75;
		stroke-dasharray: 0.1 5.5;
		stroke-linecap: round;
	}
	.transit[data-state='forward'] {
		stroke-opacity: 1;
		stroke-width: 3;
	}
	.piece {
		cursor: pointer;
		transition: opacity var(--quick);
	}
	[data-state='back'] {
		opacity: 0.22;
	}
	.piece:focus {
		outline: none;
	}
	.reach {
		fill: transparent;
	}
	.body {
		fill: var(--weave);
		stroke: var(--tone);
		stroke-width: 1.5;
	}
	[data-look='still'] .body {
		fill: var(--enamel);
		stroke-width: 2.4;
	}
	.fan {
		fill: var(--ink);
		fill-opacity: 0.16;
		stroke: var(--ink);
		stroke-dasharray: 2 3;
		pointer-events: none;
	}
	.slack {
		fill: var(--herb-fill);
	}
	.slack[data-tight='true'] {
		fill: var(--alarm);
	}
	.body,
	.hatched,
	.slack {
		transition:
			x var(--glide),
			y var(--glide),
			width var(--glide),
			height var(--glide);
	}
	.bead,
	.knot {
		transition:
			cx var(--glide),
			cy var(--glide);
	}
	.hatched {
		pointer-events: none;
	}
	.hatched[data-bound='true'] {
		stroke: var(--ink);
		stroke-width: 1.8;
	}
	.piece:focus-visible .body,
	.piece[aria-pressed='true'] .body {
		stroke: var(--ink);
		stroke-width: 3;
	}
	.label {
		fill: var(--ink);
		font-size: 11.5px;
		paint-order: stroke;
		stroke: var(--enamel);
		stroke-width: 3;
		stroke-linejoin: round;
	}
	.bead {
		fill: var(--saffron);
		stroke: light-dark(#14201d, #0a0f0e);
		stroke-width: 1.4;
		pointer-events: none;
	}
	.knot {
		fill: var(--tone);
		stroke: var(--enamel);
		stroke-width: 2;
	}
	.out {
		fill: var(--ink);
		font-size: 12px;
		font-weight: 700;
		paint-order: stroke;
		stroke: var(--enamel);
		stroke-width: 4;
	}
</style>
