<!-- Beside the pass: each part's name, and how long it waited. -->
<script lang="ts">
	import type { Drawing } from './layout';
	import type { Frame } from './place';

	interface Props {
		drawing: Drawing;
		frame: Frame;
		forward: string | undefined;
	}
	const { drawing, frame, forward }: Props = $props();

	/** Longer names would run over the edge. */
	const most = 24;
	const shortened = (name: string) => (name.length > most ? `${name.slice(0, most - 1).trimEnd()}…` : name);
</script>

{#each drawing.knots.filter((k) => k.isLast) as k (k.part.id)}
	<g data-state={forward !== undefined && forward !== k.part.id ? 'back' : 'calm'}>
		<text class="part" x={frame.x(k.u, 0) + 14} y={frame.y(0, k.v) - 1}>{shortened(k.part.name)}</text>
		<text class="note" x={frame.x(k.u, 0) + 14} y={frame.y(0, k.v) + 13}>{k.note}</text>
	</g>
{/each}

<style>
	.part {
		fill: var(--ink);
		font-size: 13.5px;
		font-weight: 700;
	}
	.note {
		fill: var(--ink-soft);
		font-size: 12px;
	}
	[data-state='back'] {
		opacity: 0.35;
	}
</style>
