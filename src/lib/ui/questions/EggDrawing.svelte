<!-- An egg cut open: its white and yolk as far as they have set. -->
<script lang="ts">
	import type { Drawing } from '../../core/questions/question';

	interface Props {
		drawing: Extract<Drawing, { kind: 'egg' }>;
	}
	const { drawing }: Props = $props();

	const radius = 84;
	/** Outside in, so that each ring lies on the one before. */
	const rings = $derived(drawing.rings.toReversed());
	const states = $derived([...new Set(rings.map((r) => r.state))]);
	const lookOf = (state: string) => state.replace(/[^a-z]+/g, '-');
</script>

<figure>
	<svg
		viewBox="-110 -110 220 220"
		width="220"
		height="220"
		role="img"
		aria-label="The egg cut open: {states.join(', ')}"
	>
		<ellipse class="shell" rx={radius + 6} ry={radius + 9} />
		{#each rings as ring (ring.from)}
			<ellipse
				class="ring"
				data-look={lookOf(ring.state)}
				rx={Math.max(2, ring.from * radius)}
				ry={Math.max(2, ring.from * (radius + 3))}
			/>
		{/each}
	</svg>
	<figcaption>
		<strong>{drawing.say}</strong>
		<ul>
			{#each states as state (state)}
				<li><i data-look={lookOf(state)}></i>{state}</li>
			{/each}
		</ul>
	</figcaption>
</figure>

<style>
	figure {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-4);
	}
	.shell {
		fill: none;
		stroke: var(--rim);
		stroke-width: 3;
	}
	i {
		display: inline-block;
		width: 1.1em;
		height: 1.1em;
		margin-right: var(--space-2);
		border: 1px solid var(--ink-soft);
		border-radius: 50%;
		vertical-align: -0.15em;
	}
	[data-look='white-firm'] {
		fill: #fdfcf6;
		background: #fdfcf6;
	}
	[data-look='white-tender'] {
		fill: #eef0ea;
		background: #eef0ea;
	}
	[data-look='white-loose'] {
		fill: #d3dcd9;
		background: #d3dcd9;
	}
	[data-look='yolk-runny'] {
		fill: #e8820e;
		background: #e8820e;
	}
	[data-look='yolk-thick'] {
		fill: #efa021;
		background: #efa021;
	}
	[data-look='yolk-set'] {
		fill: #f3bd4a;
		background: #f3bd4a;
	}
	[data-look='yolk-crumbly'] {
		fill: #f2d488;
		background: #f2d488;
	}
	li {
		list-style: none;
	}
</style>
