<!-- What is assumed and what was measured in one line; opened, how to measure it and how to forget it. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		known: Snippet;
		children: Snippet;
		isMeasured: boolean;
		/** Words of the two buttons. */
		use: string;
		forget: string;
		isPossible?: boolean;
		onuse: () => void;
		onforget: () => void;
	}
	const { known, children, isMeasured, use, forget, isPossible = true, onuse, onforget }: Props = $props();
</script>

<details>
	<summary>{@render known()}</summary>
	<div class="row">
		{@render children()}
		<button type="button" disabled={!isPossible} onclick={onuse}>{use}</button>
		{#if isMeasured}<button type="button" onclick={onforget}>{forget}</button>{/if}
	</div>
</details>

<style>
	details {
		flex-basis: 100%;
	}
	summary {
		min-height: 28px;
		cursor: pointer;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-3);
	}
</style>
