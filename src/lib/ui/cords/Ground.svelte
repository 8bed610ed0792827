<!-- The ground of the drawing: lanes with their names, the oven's terrain, the hours and the pass. -->
<script lang="ts">
	import { fitted, marginLetters } from './fitted';
	import type { Drawing } from './layout';
	import type { Frame } from './place';
	import type { Tick } from './time-axis';

	interface Props {
		drawing: Drawing;
		frame: Frame;
		ticks: readonly Tick[];
		/** A small drawing has no words. */
		isSmall: boolean;
	}
	const { drawing, frame, ticks, isSmall }: Props = $props();

	const edge = $derived(frame.isStanding ? 4 : 0);
	const end = $derived(isSmall ? drawing.lanesEnd : drawing.height);

	const corners = $derived(
		drawing.terrain.map(({ lane, points }) => {
			const floor = lane.v + lane.height;
			const [first, last] = [points[0], points.at(-1)];
			const line = points.map((p) => frame.point(p.u, p.v)).join('L');
			return {
				id: lane.lane.id,
				line: `M${line}`,
				area: `M${frame.point(first?.u ?? 0, floor)}L${line}L${frame.point(last?.u ?? 0, floor)}Z`
			};
		})
	);
</script>

{#each drawing.lanes as { lane, v, height } (lane.id)}
	<rect class="lane" {...frame.box(-4, drawing.length, v, v + height)} rx="4" />
	{#if !isSmall}
		{#if frame.isStanding}
			<text class="name" transform="translate({frame.x(0, v + height / 2) + 4} {frame.y(-10, 0)}) rotate(-52)"
				>{lane.name}</text
			>
		{:else}
			<text class="name" x={frame.x(-12, 0)} y={frame.y(0, v + height / 2) + 4} text-anchor="end"
				><title>{lane.name}</title>{fitted([lane.name], marginLetters + 1)}</text
			>
		{/if}
	{/if}
{/each}
{#if !isSmall}
	{#each drawing.handRows as row, i (i)}
		<rect class="hands" {...frame.box(-4, drawing.length, row.v, row.v + 26)} rx="4" />
	{/each}
{/if}

{#each corners as { id, line, area } (id)}
	<path class="terrain" d={area} />
	<path class="setpoint" d={line} />
{/each}

{#each ticks as tick, i (i)}
	<path
		class="tick"
		data-state={tick.isMajor ? 'major' : 'minor'}
		d="M{frame.point(tick.u, -edge)}L{frame.point(tick.u, end)}"
	/>
	{#if !isSmall}
		{#if frame.isStanding}
			<text
				class="clock"
				data-state={tick.isMajor ? 'major' : 'minor'}
				x={frame.x(0, -10)}
				y={frame.y(tick.u, 0) + 4}
				text-anchor="end"
			>
				{tick.clock}
			</text>
		{:else}
			<text
				class="clock"
				data-state={tick.isMajor ? 'major' : 'minor'}
				x={frame.x(tick.u, 0)}
				y={frame.y(0, -24)}
				text-anchor="middle"
			>
				{tick.clock}
			</text>
			<text class="count" x={frame.x(tick.u, 0)} y={frame.y(0, -9)} text-anchor="middle"
				>{tick.toService === '0' ? 'pass' : tick.toService}</text
			>
		{/if}
	{/if}
{/each}
{#each drawing.setPoints as label, i (i)}
	{#if !isSmall && !frame.isStanding}
		<text
			class="degrees"
			x={frame.x(label.u, 0)}
			y={frame.y(0, label.v)}
			text-anchor={label.isBefore ? 'end' : 'start'}
		>
			{label.text}
		</text>
	{/if}
{/each}
{#each drawing.earlier as course, i (i)}
	<path class="pass early" d="M{frame.point(course.u, -4)}L{frame.point(course.u, drawing.lanesEnd)}" />
{/each}
<path class="pass" d="M{frame.point(drawing.length, -6)}L{frame.point(drawing.length, end)}" />

<style>
	.lane {
		fill: var(--enamel);
	}
	.hands {
		fill: var(--saffron-wash);
	}
	text {
		fill: var(--ink-soft);
		font-size: 12px;
	}
	.name {
		fill: var(--ink);
		font-size: 13px;
	}
	.tick {
		stroke: var(--rim);
		stroke-width: 1;
		stroke-opacity: 0.5;
	}
	.tick[data-state='major'] {
		stroke-opacity: 1;
	}
	.clock[data-state='major'] {
		fill: var(--ink);
		font-weight: 700;
	}
	.count {
		font-size: 11px;
	}
	.terrain {
		fill: var(--copper-fill);
		fill-opacity: 0.16;
	}
	.setpoint {
		fill: none;
		stroke: var(--copper);
		stroke-width: 1.5;
	}
	.degrees {
		fill: var(--copper);
		font-size: 11px;
		font-weight: 600;
	}
	.pass {
		stroke: var(--ink);
		stroke-width: 3.5;
		stroke-linecap: round;
	}
	.early {
		stroke-width: 2;
	}
</style>
