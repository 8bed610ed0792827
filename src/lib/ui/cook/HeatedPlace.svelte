<!-- A place that is hot: what it is called and shall be, what else is to be known of it, and what is told of it. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		name: string;
		/** What it shall be, and is. */
		heat: string;
		/** Since when, until when. */
		soft: string;
		/** What stands beside these words; and below them. */
		beside?: Snippet;
		children: Snippet;
	}
	const { name, heat, soft, beside, children }: Props = $props();
</script>

<li>
	<div class="row">
		<p>
			<strong>{name}</strong>
			{heat} <span>{soft}</span>
		</p>
		{@render beside?.()}
	</div>
	<div class="row">{@render children()}</div>
</li>

<style>
	li {
		display: grid;
		gap: var(--space-2);
		padding: var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	li + :global(li) {
		margin-top: var(--space-2);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-3);
	}
	p {
		flex: 1;
	}
	span {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
