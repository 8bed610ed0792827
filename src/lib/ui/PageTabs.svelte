<!-- The pages of a place, in the order of the work. -->
<script lang="ts">
	interface Props {
		label: string;
		pages: readonly { readonly path: string; readonly name: string }[];
		/** Path of the page that is open. */
		path: string;
	}
	const { label, pages, path: open }: Props = $props();
</script>

<nav aria-label={label}>
	{#each pages as { path, name } (path)}
		<a href={path} aria-current={open === path ? 'page' : undefined}>{name}</a>
	{/each}
</nav>

<style>
	nav {
		display: flex;
		flex-wrap: wrap;
		gap: 0 var(--space-4);
		margin: var(--space-3) 0;
		border-bottom: 1.5px solid var(--rim);
	}
	a {
		display: grid;
		align-content: center;
		min-height: var(--touch);
		margin-bottom: -1.5px;
		border-bottom: 3px solid transparent;
		color: var(--ink-soft);
		text-decoration: none;
	}
	[aria-current] {
		border-color: var(--copper-fill);
		color: var(--ink);
		font-weight: 700;
	}
</style>
