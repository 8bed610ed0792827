<!-- Bench: single questions, answered as one types; each has a URL that carries its inputs. -->
<script lang="ts">
	import { browser } from '$app/environment';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { readInputs, type Answer } from '$lib/core/questions/question';
	import { questions } from '$lib/core/questions/questions';
	import { withStep } from '$lib/core/model/edit-meal';
	import { getApp } from '$lib/state/app.svelte';
	import AnswerView from '$lib/ui/questions/AnswerView.svelte';
	import QuestionForm from '$lib/ui/questions/QuestionForm.svelte';

	const app = getApp();
	const [usual] = questions;
	if (!usual) throw new RangeError('a bench without questions');
	// The search of a page built ahead is empty.
	const query = $derived(browser ? page.url.searchParams : new URLSearchParams());
	const question = $derived(questions.find((q) => q.id === query.get('q')) ?? usual);
	const read = $derived(readInputs(question, query, app.measure.now));
	const answer = $derived(question.answer(read.inputs));

	/** The same question with one input changed, in the address. */
	function change(id: string, value: string): void {
		const given = { ...Object.fromEntries(query), q: question.id, [id]: value };
		const next = Object.entries(given).map(([key, v]) => `${key}=${encodeURIComponent(v)}`);
		void goto(`?${next.join('&')}`, { replaceState: true, keepFocus: true, noScroll: true });
	}

	function add(step: NonNullable<Answer['step']>): void {
		const course = app.meal.courses.at(-1);
		if (!course) return;
		app.changeMeal(withStep(app.meal, step, course.id));
		app.notices.say(`“${step.say}” is in ${app.meal.name} now, as a part of its own. Undo takes it out again.`);
	}
</script>

<h1>Bench</h1>
<div class="columns">
	<nav aria-label="Questions">
		<ul>
			{#each questions as q (q.id)}
				<li><a href="/bench?q={q.id}" aria-current={q.id === question.id ? 'page' : undefined}>{q.name}</a></li>
			{/each}
		</ul>
	</nav>
	<div class="question">
		<h2>{question.name}</h2>
		<QuestionForm fields={question.fields} inputs={read.inputs} onchange={change} />
		{#if read.refused.length > 0}
			<ul class="refused" role="alert">
				{#each read.refused as word, i (i)}<li>{word} Taken as usual.</li>{/each}
			</ul>
		{/if}
		<AnswerView {answer} name={question.name} onadd={add} />
	</div>
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: 13rem minmax(0, 1fr);
		align-items: start;
		gap: var(--space-4);
		margin-top: var(--space-2);
	}
	nav ul {
		display: grid;
		gap: 3px;
	}
	li {
		list-style: none;
	}
	nav a {
		display: flex;
		align-items: center;
		min-height: var(--touch);
		padding: 0 var(--space-3);
		border-left: 6px solid transparent;
		border-radius: var(--corner);
		color: var(--ink);
		text-decoration: none;
	}
	nav a:hover {
		background: var(--enamel);
	}
	nav a[aria-current='page'] {
		border-left-color: var(--copper-fill);
		background: var(--enamel);
		font-weight: 700;
	}
	.question {
		display: grid;
		gap: var(--space-3);
	}
	.refused {
		padding: var(--space-2) var(--space-4);
		border-left: 6px solid var(--alarm);
		border-radius: var(--corner);
		background: var(--alarm-wash);
	}
	@media (max-width: 760px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
		nav ul {
			display: flex;
			overflow-x: auto;
		}
		nav a {
			white-space: nowrap;
		}
	}
</style>
