<!-- A short piece of a part's cord: its tone and its weave. -->
<script lang="ts">
	import Weaves from './cords/Weaves.svelte';

	interface Props {
		tone: number;
	}
	const { tone }: Props = $props();
	const prefix = $props.id();
</script>

<svg width="30" height="16" viewBox="0 0 30 16" aria-hidden="true">
	<Weaves {prefix} />
	<rect
		x="1"
		y="2"
		width="28"
		height="12"
		rx="6"
		style:fill="url(#{prefix}-weave-{tone})"
		style:stroke="var(--tone-{tone})"
	/>
</svg>

<style>
	svg {
		flex: none;
	}
</style>
