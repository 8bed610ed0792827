<!-- Add a part: type an ingredient, a technique or a kind, and take one of what is found. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import MiniSearch from 'minisearch';
	import type { Technique } from '../../core/model/technique';

	interface Props {
		/** Name of the course it goes to. */
		course: string;
		techniques: readonly Technique[];
		onadd: (technique: Technique) => void;
	}
	const { course, techniques, onadd }: Props = $props();

	const id = $props.id();
	const most = 8;
	let text = $state('');
	let at = $state(0);
	let isOpen = $state(false);
	const index = $derived.by(() => {
		const search = new MiniSearch<{
			id: string;
			name: string;
			makes: string;
			kind: string;
			words: string;
			food: string;
		}>({
			fields: ['name', 'makes', 'kind', 'words', 'food'],
			searchOptions: { prefix: true, fuzzy: 0.2, boost: { name: 3, makes: 2 }, combineWith: 'AND' }
		});
		search.addAll(
			techniques.map((t) => ({
				id: t.id,
				name: t.name,
				makes: t.makes ?? '',
				kind: t.kind,
				words: (t.words ?? []).join(' '),
				food: (t.ingredients ?? []).map((i) => i.name).join(' ')
			}))
		);
		return search;
	});
	const byId = $derived(new Map(techniques.map((t) => [t.id, t])));
	const hits = $derived(
		text.trim() === ''
			? []
			: index
					.search(text)
					.slice(0, most)
					.flatMap((hit) => byId.get(String(hit.id)) ?? [])
	);
	const current = $derived(hits[at]);
	const isListed = $derived(isOpen && text.trim() !== '');

	function take(technique: Technique | undefined): void {
		if (!technique) return;
		onadd(technique);
		text = '';
		at = 0;
		isOpen = false;
	}

	function key(event: KeyboardEvent): void {
		if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
			event.preventDefault();
			isOpen = true;
			const by = event.key === 'ArrowDown' ? 1 : -1;
			at = hits.length === 0 ? 0 : (at + by + hits.length) % hits.length;
		} else if (event.key === 'Enter' && isListed) {
			event.preventDefault();
			take(hits[at]);
		} else if (event.key === 'Escape') {
			isOpen = false;
		}
	}
</script>

<div class="add">
	<label for={id}><Plus size={16} aria-hidden="true" /> Add a part to {course.toLowerCase()}</label>
	<input
		{id}
		type="text"
		role="combobox"
		autocomplete="off"
		spellcheck="false"
		placeholder="leeks, poached, sauce, fish …"
		aria-expanded={isListed}
		aria-controls="{id}-list"
		aria-autocomplete="list"
		aria-activedescendant={isListed && current ? `${id}-${current.id}` : undefined}
		bind:value={text}
		oninput={() => {
			at = 0;
			isOpen = true;
		}}
		onkeydown={key}
		onblur={() => {
			isOpen = false;
		}}
	/>
	<ul id="{id}-list" role="listbox" aria-label="What can be added" hidden={!isListed}>
		{#each hits as technique, i (technique.id)}
			<li
				id="{id}-{technique.id}"
				role="option"
				aria-selected={i === at}
				onpointerdown={(event) => {
					event.preventDefault();
					take(technique);
				}}
			>
				<strong>{technique.name}</strong>
				<span>{technique.kind}{technique.about ? ` · ${technique.about}` : ''}</span>
			</li>
		{:else}
			<li class="none" role="option" aria-selected="false" aria-disabled="true">
				Nothing is called “{text}”. Try an ingredient, a way of cooking, or a kind: egg, sauce, bread …
			</li>
		{/each}
	</ul>
</div>

<style>
	.add {
		position: relative;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
		margin-top: var(--space-2);
	}
	label {
		display: flex;
		align-items: center;
		gap: var(--space-1);
		font-size: var(--text-s);
		font-weight: 600;
	}
	input {
		flex: 1 1 16rem;
		min-width: 0;
	}
	ul {
		position: absolute;
		z-index: 5;
		top: 100%;
		right: 0;
		left: 0;
		max-height: 24rem;
		overflow-y: auto;
		padding: var(--space-1);
		border: 1.5px solid var(--ink);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	li {
		display: grid;
		min-height: var(--touch);
		align-content: center;
		padding: var(--space-1) var(--space-2);
		border-radius: 7px;
		cursor: pointer;
	}
	li span {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	li[aria-selected='true'] {
		background: var(--herb-wash);
	}
	.none {
		cursor: default;
		color: var(--ink-soft);
	}
</style>
