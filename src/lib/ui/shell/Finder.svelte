<!-- Find anything by typing: places, meals, parts, steps. -->
<script lang="ts" module>
	export interface Found {
		readonly id: string;
		/** What it is called, and what it is. */
		readonly name: string;
		readonly kind: string;
		readonly go: () => void;
	}
</script>

<script lang="ts">
	import MiniSearch from 'minisearch';

	interface Props {
		things: readonly Found[];
		onclose: () => void;
	}
	const { things, onclose }: Props = $props();

	const most = 9;
	let text = $state('');
	let at = $state(0);
	const index = $derived.by(() => {
		const search = new MiniSearch<Found>({
			fields: ['name', 'kind'],
			searchOptions: { prefix: true, fuzzy: 0.2, boost: { name: 2 } }
		});
		search.addAll(things);
		return search;
	});
	const byId = $derived(new Map(things.map((t) => [t.id, t])));
	const hits = $derived(
		text.trim() === ''
			? things.slice(0, most)
			: index
					.search(text)
					.slice(0, most)
					.flatMap((hit) => byId.get(String(hit.id)) ?? [])
	);

	const open = (dialog: HTMLDialogElement) => {
		dialog.showModal();
	};

	function key(event: KeyboardEvent): void {
		if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
			event.preventDefault();
			const by = event.key === 'ArrowDown' ? 1 : -1;
			at = hits.length === 0 ? 0 : (at + by + hits.length) % hits.length;
		} else if (event.key === 'Enter') {
			event.preventDefault();
			choose(hits[at]);
		}
	}

	function choose(thing: Found | undefined): void {
		if (!thing) return;
		onclose();
		thing.go();
	}
</script>

<dialog {@attach open} {onclose} aria-label="Find anything">
	<input
		type="text"
		role="combobox"
		aria-expanded="true"
		aria-controls="found"
		aria-activedescendant={hits[at] ? `found-${at}` : undefined}
		aria-label="Find a place, a meal, a part or a step"
		placeholder="A place, a meal, a part, a step"
		bind:value={text}
		oninput={() => {
			at = 0;
		}}
		onkeydown={key}
	/>
	<ul id="found" role="listbox" aria-label="Found">
		{#each hits as hit, i (hit.id)}
			<li id="found-{i}" role="option" aria-selected={i === at}>
				<button
					type="button"
					tabindex="-1"
					onclick={() => {
						choose(hit);
					}}>{hit.name} <span>{hit.kind}</span></button
				>
			</li>
		{/each}
	</ul>
	{#if hits.length === 0}<p>Nothing is called that here.</p>{/if}
</dialog>

<style>
	dialog {
		width: min(34rem, calc(100vw - 2rem));
		margin-top: 12vh;
		padding: var(--space-3);
		border: 1.5px solid var(--rim);
		border-radius: var(--corner);
		background: var(--enamel);
		color: var(--ink);
	}
	dialog::backdrop {
		background: var(--veil);
	}
	input {
		width: 100%;
	}
	li button {
		width: 100%;
		justify-content: space-between;
		border-color: transparent;
	}
	li[aria-selected='true'] button {
		background: var(--herb-wash);
	}
	span {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	p {
		padding: var(--space-3);
		color: var(--ink-soft);
	}
</style>
