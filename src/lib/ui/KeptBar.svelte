<!-- The meals that are kept: open one, begin another, copy, rename, put away, bring back. -->
<script lang="ts">
	import Archive from '@lucide/svelte/icons/archive';
	import Copy from '@lucide/svelte/icons/copy';
	import Plus from '@lucide/svelte/icons/plus';

	interface Kept {
		readonly id: string;
		readonly name: string;
		readonly archived?: boolean | undefined;
	}
	interface Props {
		/** What they are: "meal", "kitchen". */
		what: string;
		all: readonly Kept[];
		open: string;
		onopen: (id: string) => void;
		onnew?: (() => void) | undefined;
		oncopy: () => void;
		onname: (name: string) => void;
		onarchive: () => void;
		onback: (id: string) => void;
	}
	const { what, all, open, onopen, onnew, oncopy, onname, onarchive, onback }: Props = $props();

	const id = $props.id();
	const list = $derived(all.filter((x) => x.archived !== true));
	const away = $derived(all.filter((x) => x.archived === true));
	const name = $derived(all.find((x) => x.id === open)?.name ?? '');
</script>

<nav aria-label="Your {what}s">
	{#each list as one (one.id)}
		<button
			type="button"
			aria-pressed={one.id === open}
			onclick={() => {
				onopen(one.id);
			}}>{one.name}</button
		>
	{/each}
	{#if onnew}<button type="button" onclick={onnew}><Plus size={16} /> New {what}</button>{/if}
	<details>
		<summary>Rename, copy, put away</summary>
		<div class="row">
			<label for={id}>This {what} is called</label>
			<input
				{id}
				type="text"
				maxlength="80"
				value={name}
				onchange={(event) => {
					const next = event.currentTarget.value.trim();
					if (next === '') event.currentTarget.value = name;
					else onname(next);
				}}
			/>
			<button type="button" onclick={oncopy}><Copy size={16} /> Copy this {what}</button>
			<button type="button" onclick={onarchive} disabled={list.length < 2 && what !== 'meal'}
				><Archive size={16} /> Put it away</button
			>
			{#each away as one (one.id)}
				<button
					type="button"
					onclick={() => {
						onback(one.id);
					}}>Bring back {one.name}</button
				>
			{/each}
		</div>
	</details>
</nav>

<style>
	nav,
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2);
	}
	[aria-pressed='true'] {
		border-color: var(--ink);
		background: var(--ink);
		color: var(--enamel);
		font-weight: 700;
	}
	[aria-pressed='true']:hover {
		background: var(--ink);
	}
	button {
		overflow-wrap: anywhere;
	}
	details[open] {
		flex-basis: 100%;
	}
	summary {
		min-height: var(--touch);
		padding-top: 11px;
		cursor: pointer;
		font-size: var(--text-s);
	}
</style>
