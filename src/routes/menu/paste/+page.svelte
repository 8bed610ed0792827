<!-- Paste a recipe: the text and what is read in it, side by side; kept as techniques, and on the menu at once. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { withPart } from '$lib/core/model/edit-meal';
	import { readTechnique } from '$lib/core/model/technique';
	import { comparedTimes } from '$lib/core/recipe/compared';
	import { techniquesFrom } from '$lib/core/recipe/technique';
	import { wordIssue } from '$lib/core/words/issues';
	import { getApp } from '$lib/state/app.svelte';
	import { withTechniqueKept } from '$lib/state/table';
	import RecipeSteps from '$lib/ui/menu/RecipeSteps.svelte';

	const app = getApp();
	const { pasting } = app;
	let area: HTMLTextAreaElement | undefined = $state();
	let chosen: string | undefined = $state();
	const recipe = $derived(pasting.recipe);
	const why = $derived(pasting.read && !pasting.read.ok ? pasting.read.why : undefined);
	const made = $derived(
		recipe
			? techniquesFrom(
					recipe,
					pasting.text,
					app.kitchen,
					app.history.now.techniques.map((t) => t.id).concat([...app.techniques.keys()])
				)
			: []
	);
	/** Only of the techniques that ship: they carry the models. */
	const compared = $derived(recipe ? comparedTimes(recipe, app.techniques, app.kitchen, pasting.sizes) : []);
	const issues = $derived(
		made.flatMap((t) => {
			const read = readTechnique(t);
			return read.ok ? [] : read.issues.map(wordIssue);
		})
	);
	const serves = $derived(
		recipe?.serves === null || recipe === undefined
			? ''
			: typeof recipe.serves === 'number'
				? `for ${recipe.serves}`
				: `for ${recipe.serves[0]} to ${recipe.serves[1]}`
	);

	/** The words of a step are marked in the text beside it. */
	function choose(id: string): void {
		chosen = chosen === id ? undefined : id;
		const words = recipe?.steps.find((s) => s.id === chosen)?.text.replace(/[.\s]+$/, '');
		const at = words === undefined ? -1 : pasting.text.indexOf(words.slice(0, 60));
		if (!area || at < 0 || words === undefined) return;
		area.setSelectionRange(at, at + words.length);
		// A browser shows what is marked only where the field has the focus.
		const line = pasting.text.slice(0, at).split('\n').length;
		area.scrollTop = Math.max(0, (line - 4) * 22);
	}

	function keep(): void {
		const course = app.meal.courses.at(-1);
		const [dish] = made;
		if (!course || !dish || issues.length > 0) return;
		app.changeTable((table) => {
			const kept = made.reduce(withTechniqueKept, table);
			const meal = made.reduce((m, t) => withPart(m, t, course.id), app.meal);
			return { ...kept, meals: kept.meals.map((m) => (m.id === meal.id ? meal : m)) };
		});
		app.notices.say(
			`“${dish.name}” is on the menu${
				made.length > 1
					? `, with ${made
							.slice(1)
							.map((t) => t.name.toLowerCase())
							.join(' and ')}`
					: ''
			}. Undo takes it out again.`
		);
		pasting.take('');
		void goto('/menu');
	}

	async function open(files: FileList | null | undefined): Promise<void> {
		const file = files?.[0];
		if (!file) return;
		if (file.size > 2_000_000) {
			app.notices.warn(`“${file.name}” is too large for a recipe: ${Math.round(file.size / 1e6)} MB of 2 at the most.`);
			return;
		}
		pasting.take(await file.text());
	}
</script>

<h1>Paste a recipe</h1>
<p class="soft">Text, Markdown, a saved web page or a recipe file. It is read on this device, and stays here.</p>
<div
	class="columns"
	role="group"
	aria-label="Recipe and reading"
	ondragover={(event) => {
		event.preventDefault();
	}}
	ondrop={(event) => {
		event.preventDefault();
		const text = event.dataTransfer?.getData('text/plain');
		if (text) pasting.take(text);
		else void open(event.dataTransfer?.files);
	}}
>
	<div class="source">
		<label for="recipe-text">The recipe</label>
		<textarea
			id="recipe-text"
			bind:this={area}
			spellcheck="false"
			placeholder="Paste it here, or drop a file."
			value={pasting.text}
			oninput={(event) => {
				pasting.take(event.currentTarget.value);
			}}></textarea>
		<label class="button"
			>or open a file
			<input
				class="out-of-sight"
				type="file"
				accept=".txt,.md,.html,.htm,.json,.jsonld,text/plain,text/html,application/json"
				onchange={(event) => void open(event.currentTarget.files)}
			/></label
		>
	</div>
	<div class="reading" aria-live="polite">
		{#if recipe}
			<header>
				<h2>{recipe.title === '' ? 'A recipe' : recipe.title} <span class="soft">{serves}</span></h2>
				<button type="button" class="main" disabled={issues.length > 0} onclick={keep}>Put it on the menu</button>
				{#if pasting.isChanged}<button
						type="button"
						onclick={() => {
							pasting.again();
						}}>Read it again</button
					>{/if}
			</header>
			{#if made.length > 1}
				<p>
					Kept as {made.length} parts: {made.map((t) => t.name).join('; ')}.
				</p>
			{/if}
			{#each issues as words, i (i)}<p role="alert">{words}</p>{/each}
			<details open={recipe.ingredients.length > 0}>
				<summary>{recipe.ingredients.length} ingredients</summary>
				<ul class="list">
					{#each recipe.ingredients as i, k (k)}
						{@const doubt = recipe.doubts.find((d) => d.about === i.line)}
						<li>
							<span class="amount"
								>{i.amount === null
									? ''
									: `${i.amount[0] === i.amount[1] ? Number(i.amount[0].toFixed(2)) : `${i.amount[0]}–${i.amount[1]}`} ${i.unit === 'piece' ? '' : (i.unit ?? '')}`}</span
							>
							{i.name}{#if i.grams !== null && i.unit !== 'g'}<span class="soft">, {i.grams} g</span>{/if}
							{#if doubt}<span class="doubt">{doubt.question}</span>{/if}
						</li>
					{/each}
				</ul>
			</details>
			<RecipeSteps
				steps={recipe.steps}
				doubts={recipe.doubts}
				{chosen}
				onchoose={choose}
				onchange={(id, change) => {
					pasting.change(id, change);
				}}
				onwait={(id, before, waits) => {
					pasting.wait(id, before, waits);
				}}
				ondrop={(id) => {
					pasting.drop(id);
				}}
				onjoin={(id) => {
					pasting.join(id);
				}}
				onsplit={(id, at) => {
					pasting.split(id, at);
				}}
				{compared}
				onanswer={({ about, question }, { millimetres, change }) => {
					pasting.answer(about, question);
					if (millimetres !== undefined) pasting.size(about, millimetres);
					if (change) pasting.change(about, change);
				}}
			/>
		{:else if why !== undefined}
			<p role="alert">{why} A recipe has a list of what goes in, or steps that say what to do.</p>
		{:else}
			<p class="soft">What is read appears here as soon as there is something to read.</p>
		{/if}
	</div>
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
		align-items: start;
		gap: var(--space-4);
		margin-top: var(--space-2);
	}
	.source,
	.reading,
	header {
		display: grid;
		gap: var(--space-2);
	}
	.source {
		position: sticky;
		top: var(--space-2);
	}
	textarea {
		width: 100%;
		height: min(70dvh, 44rem);
		padding: var(--space-3);
		border: 1.5px solid var(--rim);
		border-radius: var(--corner);
		background: var(--enamel);
		color: var(--ink);
		font: inherit;
		font-size: var(--text-s);
		line-height: 22px;
		resize: vertical;
	}
	header {
		grid-template-columns: 1fr auto auto;
		align-items: center;
	}
	.main {
		border-color: var(--herb-fill);
		background: var(--herb-wash);
		font-weight: 700;
	}
	.soft {
		color: var(--ink-soft);
		font-weight: 400;
	}
	summary {
		min-height: 32px;
		cursor: pointer;
		font-weight: 600;
	}
	.list {
		columns: 2 15rem;
		font-size: var(--text-s);
	}
	.amount {
		display: inline-block;
		min-width: 3.6rem;
		color: var(--ink-soft);
	}
	.doubt {
		padding: 1px 6px;
		border-radius: 6px;
		background: var(--saffron-wash);
		color: var(--saffron-ink);
	}
	[role='alert'] {
		color: var(--alarm);
	}
	@media (max-width: 820px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
		.source {
			position: static;
		}
		textarea {
			height: 16rem;
		}
	}
</style>
