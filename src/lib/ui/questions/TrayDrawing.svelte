<!-- A tray from above, to scale, with its pieces as they would lie in rows. -->
<script lang="ts">
	import type { Drawing } from '../../core/questions/question';

	interface Props {
		drawing: Extract<Drawing, { kind: 'tray' }>;
	}
	const { drawing }: Props = $props();

	const scale = $derived(420 / drawing.length);
	/** Rows and columns that spread the pieces evenly; where they do not fit they lie over one another. */
	const laid = $derived.by(() => {
		const { pieces, piece, length, width } = drawing;
		const ratio = length / piece.length / (width / piece.width);
		const columns = Math.max(1, Math.ceil(Math.sqrt(pieces * ratio)));
		const rows = Math.ceil(pieces / columns);
		return Array.from({ length: pieces }, (_, i) => ({
			x: ((i % columns) + 0.5) * (length / columns),
			y: (Math.floor(i / columns) + 0.5) * (width / rows)
		}));
	});
</script>

<figure>
	<svg
		viewBox="-8 -8 {drawing.length * scale + 16} {drawing.width * scale + 16}"
		role="img"
		aria-label="{drawing.say}: {drawing.pieces} pieces on a tray of {Math.round(drawing.length * 100)} × {Math.round(
			drawing.width * 100
		)} cm"
	>
		<rect class="tray" x="0" y="0" width={drawing.length * scale} height={drawing.width * scale} rx="8" />
		{#each laid as at, i (i)}
			<rect
				class="piece"
				x={(at.x - drawing.piece.length / 2) * scale}
				y={(at.y - drawing.piece.width / 2) * scale}
				width={drawing.piece.length * scale}
				height={drawing.piece.width * scale}
				rx={drawing.piece.isRound ? (drawing.piece.length * scale) / 2 : 3}
			/>
		{/each}
	</svg>
	<figcaption>{drawing.say}, to scale</figcaption>
</figure>

<style>
	svg {
		max-width: 30rem;
		width: 100%;
	}
	.tray {
		fill: var(--enamel);
		stroke: var(--ink);
		stroke-width: 5;
	}
	.piece {
		fill: var(--copper-fill);
		fill-opacity: 0.75;
		stroke: var(--copper);
		stroke-width: 1;
	}
	figcaption {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
