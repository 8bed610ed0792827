<!-- Techniques: the library to read in, and the cook's own to change. -->
<script lang="ts">
	import Archive from '@lucide/svelte/icons/archive';
	import Copy from '@lucide/svelte/icons/copy';
	import Download from '@lucide/svelte/icons/download';
	import { browser } from '$app/environment';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { copyOf } from '$lib/core/model/edit-technique';
	import { partKinds, type Technique } from '$lib/core/model/technique';
	import { techniqueRecipe } from '$lib/core/formats/recipe/recipe-out';
	import { getApp } from '$lib/state/app.svelte';
	import { shown, withTechniqueKept } from '$lib/state/table';
	import { download } from '$lib/ui/download';
	import FileButton from '$lib/ui/FileButton.svelte';
	import TechniqueEditor from '$lib/ui/menu/TechniqueEditor.svelte';
	import TechniqueView from '$lib/ui/menu/TechniqueView.svelte';

	const app = getApp();
	let text = $state('');
	// The search of a page built ahead is empty.
	const wanted = $derived(browser ? page.url.searchParams.get('t') : null);
	const every = $derived([...app.techniques.values()]);
	const all = $derived(shown(every));
	const away = $derived(every.filter((t) => t.archived === true));
	const mine = $derived(new Set(app.history.now.techniques.map((t) => t.id)));
	const found = $derived(
		all.filter((t) =>
			[t.name, t.kind, t.makes ?? '', ...(t.words ?? [])].join(' ').toLowerCase().includes(text.trim().toLowerCase())
		)
	);
	const chosen = $derived(all.find((t) => t.id === wanted) ?? all.find((t) => mine.has(t.id)) ?? all[0]);

	function keep(technique: Technique): void {
		app.changeTable((table) => withTechniqueKept(table, technique));
	}

	function copy(): void {
		if (!chosen) return;
		const own = copyOf(
			chosen,
			every.map((t) => t.id)
		);
		app.changeTable((table) => withTechniqueKept(table, own));
		app.notices.say(`“${own.name}” is yours now: change what you like. Undo takes it out again.`);
		void goto(`?t=${own.id}`, { keepFocus: true, noScroll: true });
	}
</script>

<div class="columns">
	<section aria-label="All techniques">
		<h1>{all.length} techniques</h1>
		<label for="find-technique">Find</label>
		<input id="find-technique" type="search" bind:value={text} placeholder="egg, braise, sauce …" />
		<div class="list" role="region" aria-label="What is found" tabindex="-1">
			{#each partKinds as kind (kind)}
				{@const here = found.filter((t) => t.kind === kind)}
				{#if here.length > 0}
					<h2>{kind}</h2>
					<ul>
						{#each here as t (t.id)}
							<li>
								<a href="?t={t.id}" aria-current={t.id === chosen?.id ? 'true' : undefined} data-sveltekit-noscroll
									>{t.name}{#if mine.has(t.id)}
										<span class="mine">yours</span>{/if}</a
								>
							</li>
						{/each}
					</ul>
				{/if}
			{/each}
			{#each away as t (t.id)}
				<button
					type="button"
					onclick={() => {
						keep({ ...t, archived: false });
					}}>Bring back {t.name}</button
				>
			{/each}
			{#if found.length === 0}<p>Nothing is called “{text}”.</p>{/if}
		</div>
		<FileButton
			label="Take in a technique from a file"
			what="Technique file to take in"
			onfile={(file) => void app.importFile(file)}
		/>
	</section>
	{#if chosen}
		<section class="one" aria-label={chosen.name}>
			<header>
				<h2>{chosen.name}</h2>
				{#if mine.has(chosen.id)}
					<button
						type="button"
						onclick={() => {
							keep({ ...chosen, archived: true });
							app.notices.say(`“${chosen.name}” is put away; meals that have it keep it. Undo brings it back.`);
						}}><Archive size={16} /> Put it away</button
					>
				{/if}
				<button
					type="button"
					onclick={() => {
						const { name, text: content } = app.exportTechnique(chosen);
						download(name, content);
					}}><Download size={16} /> Save it as a file</button
				>
				<button
					type="button"
					onclick={() => {
						download(`${chosen.id}.recipe.jsonld`, techniqueRecipe(chosen, app.meal.covers), 'application/ld+json');
					}}><Download size={16} /> As a recipe (JSON-LD)</button
				>
				{#if chosen.recipe}
					{@const { text: source } = chosen.recipe}
					<button
						type="button"
						onclick={() => {
							app.pasting.take(source);
							void goto('/menu/paste');
						}}>Read its recipe again</button
					>
				{/if}
				<button type="button" onclick={copy}
					><Copy size={16} /> {mine.has(chosen.id) ? 'Copy it' : 'Copy it and make it mine'}</button
				>
			</header>
			{#if mine.has(chosen.id)}
				<TechniqueEditor technique={chosen} onkeep={keep} />
			{:else}
				<TechniqueView technique={chosen} />
			{/if}
		</section>
	{/if}
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(15rem, 1fr) minmax(0, 2.2fr);
		align-items: start;
		gap: var(--space-5);
	}
	input {
		width: 100%;
	}
	.list {
		max-height: 65vh;
		margin-top: var(--space-2);
		overflow-y: auto;
	}
	h1,
	.list h2 {
		font-size: var(--text-m);
	}
	.list h2 {
		margin: var(--space-2) 0 0;
		color: var(--copper);
	}
	a {
		display: block;
		padding: var(--space-2);
		border-radius: 7px;
		text-decoration: none;
	}
	a:hover {
		background: var(--enamel-2);
	}
	[aria-current] {
		background: var(--enamel);
		font-weight: 700;
	}
	.mine {
		color: var(--herb);
		font-size: var(--text-s);
	}
	.one {
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	header h2 {
		margin-right: auto;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2);
		margin-bottom: var(--space-2);
	}
	@media (max-width: 800px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
		.list {
			max-height: 16rem;
		}
	}
</style>
