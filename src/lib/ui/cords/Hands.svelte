<!-- The strip of hands: one row for each cook; hairlines from the beads, hatched pieces, the crush before service. -->
<script lang="ts">
	import { fitted, marginLetters } from './fitted';
	import type { Drawing } from './layout';
	import type { Frame } from './place';

	interface Props {
		drawing: Drawing;
		frame: Frame;
		prefix: string;
		forward: string | undefined;
	}
	const { drawing, frame, prefix, forward }: Props = $props();

	const row = 26;
	const isBack = (part: string | undefined) => forward !== undefined && part !== forward;
</script>

{#each drawing.beads as b, i (i)}
	<path
		class="hair"
		data-state={isBack(b.part) ? 'back' : 'calm'}
		d="M{frame.point(b.u, b.v)}L{frame.point(b.u, drawing.lanesEnd + 10)}"
	/>
{/each}
{#each drawing.handRows as { name, v }, i (i)}
	{#if !frame.isStanding}
		<text class="name" x={frame.x(-12, 0)} y={frame.y(0, v + row / 2) + 4} text-anchor="end"
			><title>{name}</title>{fitted([`Hands · ${name}`, name], marginLetters)}</text
		>
	{/if}
{/each}
{#each drawing.hands as h, i (i)}
	<rect
		class="hand"
		data-state={isBack(h.part) ? 'back' : 'calm'}
		{...frame.box(h.u0, h.u1, h.v + 3, h.v + row - 3)}
		rx="2"
		style:--tone={h.tone === undefined ? 'var(--ink)' : `var(--tone-${h.tone})`}
	/>
	{#if h.isWhole}
		<rect {...frame.box(h.u0, h.u1, h.v + 3, h.v + row - 3)} rx="2" fill="url(#{prefix}-hatch)" pointer-events="none" />
	{/if}
{/each}
{#each drawing.tight as t, i (i)}
	<rect class="tight" {...frame.box(t.u0 - 4, t.u1 + 4, drawing.lanesEnd + 5, drawing.height + 1)} rx="6" />
	{#if !frame.isStanding}
		<text class="tight-words" x={frame.x((t.u0 + t.u1) / 2, 0)} y={frame.y(0, drawing.height + 16)} text-anchor="middle"
			>{t.say}</text
		>
	{/if}
{/each}
{#each drawing.idle as t, i (i)}
	{#if !frame.isStanding && t.u1 - t.u0 > t.say.length * 6.2}
		<text class="idle" x={frame.x((t.u0 + t.u1) / 2, 0)} y={frame.y(0, t.v + row / 2) + 4} text-anchor="middle"
			>{t.say}</text
		>
	{/if}
{/each}

<style>
	.hair {
		stroke: var(--ink);
		stroke-width: 0.7;
		stroke-opacity: 0.22;
	}
	.name {
		fill: var(--saffron-ink);
		font-size: 13px;
		font-weight: 600;
	}
	.hand {
		fill: var(--tone);
	}
	[data-state='back'] {
		opacity: 0.22;
	}
	.tight {
		fill: none;
		stroke: var(--alarm);
		stroke-width: 1.6;
	}
	.tight-words {
		fill: var(--alarm);
		font-size: 12px;
		font-weight: 600;
	}
	.idle {
		fill: var(--saffron-ink);
		font-size: 11px;
	}
</style>
