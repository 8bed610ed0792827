<!-- The weaves of the eight food tones and the hatch of hands, as SVG patterns: colour never stands alone. -->
<script lang="ts">
	interface Props {
		/** Makes the ids of this drawing its own. */
		prefix: string;
		/** Time runs down. */
		isStanding?: boolean;
	}
	const { prefix, isStanding = false }: Props = $props();

	/** Strokes of a weave on a tile of 8 × 8. */
	const weaves = [
		'M2 0V8M6 0V8',
		'',
		'M0 2H3M4 6H7',
		'M1 4H3M5 0H7M5 8H7',
		'M0 4H8',
		'M0 0L4 4L0 8M4 0L8 4L4 8',
		'M4 2.5V5.5M2.5 4H5.5',
		'M0 5Q2 1 4 5T8 5'
	];
</script>

<defs>
	{#each weaves as d, tone (tone)}
		<pattern id="{prefix}-weave-{tone}" width="8" height="8" patternUnits="userSpaceOnUse">
			<rect width="8" height="8" style:fill="var(--tone-{tone})" />
			<path {d} class="thread" />
		</pattern>
		<linearGradient id="{prefix}-fade-{tone}" x2={isStanding ? 0 : 1} y2={isStanding ? 1 : 0}>
			<stop offset="0" style:stop-color="var(--tone-{tone})" stop-opacity="0.55" />
			<stop offset="1" style:stop-color="var(--tone-{tone})" stop-opacity="0.04" />
		</linearGradient>
	{/each}
	<pattern id="{prefix}-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
		<rect width="2.6" height="7" class="hatch" />
	</pattern>
</defs>

<style>
	.thread {
		fill: none;
		stroke: var(--enamel);
		stroke-width: 1.2;
		stroke-opacity: 0.5;
	}
	.hatch {
		fill: var(--enamel);
		fill-opacity: 0.72;
	}
</style>
