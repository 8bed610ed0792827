<!-- What the evenings of this kitchen taught, as proposals with their evidence; and how good our own predictions were. -->
<script lang="ts">
	import { calibrationOf, missedOver } from '$lib/core/record/honesty';
	import { lessonsOf, pointsOf, withHeldBack, withLesson, withoutLesson, type Lesson } from '$lib/core/record/lessons';
	import { yieldingOf } from '$lib/core/model/quantities';
	import { countedIn } from '$lib/core/record/taught';
	import { effectsOf } from '$lib/core/record/usual-in';
	import { dateAt } from '$lib/core/units/zoned';
	import { wordCalibration, wordEvidence, wordLesson, wordLessonEffect, wordOffBy } from '$lib/core/words/record';
	import { getApp } from '$lib/state/app.svelte';
	import { clocks, zone } from '$lib/state/clocks';
	import CalibrationBars from '$lib/ui/record/CalibrationBars.svelte';
	import LessonList from '$lib/ui/record/LessonList.svelte';
	import CurveChart from '$lib/ui/questions/CurveChart.svelte';

	const app = getApp();
	const { record } = app;
	const kitchen = $derived(app.kitchen);
	const counted = $derived(countedIn(record.evenings, kitchen));
	const leftOf = (id: string) => {
		const technique = app.techniques.get(id);
		return technique && yieldingOf(technique)?.left;
	};
	const lessons = $derived(lessonsOf(record.evenings, kitchen, dateAt(clocks().wall, zone()), leftOf));
	const proposed = $derived(lessons.filter((l) => l.isNew && !l.isHeld));
	const held = $derived(lessons.filter((l) => l.isNew && l.isHeld));
	const inForce = $derived(lessons.filter((l) => !l.isNew && l.isTaken));
	const asAssumed = $derived(lessons.filter((l) => !l.isNew && l.isEnough && !l.isTaken));
	const few = $derived(lessons.filter((l) => !l.isEnough && !l.isTaken));

	/** What each changes in the open meal. */
	const effects = $derived(
		app.meal.kitchen === kitchen.id && app.planning.isCurrent
			? effectsOf(app.meal, kitchen, app.techniques, app.planning.plan, proposed)
			: undefined
	);
	const effectOf = (lesson: Lesson) => {
		const found = effects?.get(lesson.id);
		return found && wordLessonEffect(found, lesson);
	};

	/** Plans that become shorter by more lose room that they had by mistake, s. */
	const worthKeeping = 120;
	function accept(list: readonly Lesson[]): void {
		const won = -list.reduce((sum, l) => sum + (effects?.get(l.id)?.seconds ?? 0), 0);
		const kept =
			won > worthKeeping
				? ' They are shorter now, with less to spare: Plan shows how likely they are, and what room costs.'
				: '';
		app.changeKitchen(list.reduce(withLesson, app.kitchen));
		app.notices.say(
			(list.length === 1
				? 'Plans go by it from now on. Undo takes it back.'
				: `Plans go by ${list.length} things more. Undo takes them back.`) + kept
		);
	}

	let looked: string | undefined = $state();
	const shown = $derived(lessons.find((l) => l.id === looked));
	const points = $derived(shown ? pointsOf(record.evenings, kitchen, shown, lessons, leftOf) : []);
	const unit = {
		pace: 'of a home cook’s time',
		burner: 'watts',
		oven: 'K hotter than the knob',
		film: 'times the film of most ovens',
		'heat-up': 'seconds for each °C',
		step: 'times the model',
		yield: 'of the raw weight'
	} as const;
	const drift = $derived({
		x: 'evenings, the oldest first',
		y: shown ? unit[shown.about] : '',
		curves: [
			{
				name: 'by each evening alone',
				tone: 'hot' as const,
				x: points.map((_, i) => i + 1),
				y: points.map((p) => p.value)
			},
			{
				name: 'as it is believed now',
				tone: 'core' as const,
				x: [1, Math.max(2, points.length)],
				y: shown ? [shown.value, shown.value] : []
			},
			{
				name: 'as plans take it',
				tone: 'faint' as const,
				x: [1, Math.max(2, points.length)],
				y: shown ? [shown.now, shown.now] : []
			}
		],
		marks: []
	});
	const calibration = $derived(calibrationOf(counted));
	const missed = $derived(missedOver(counted));
	const misses = $derived({
		x: 'evenings, the oldest first',
		y: '% off',
		curves: [
			{
				name: 'half of all times were off by less',
				tone: 'hot' as const,
				x: missed.map((_, i) => i + 1),
				y: missed.map((m) => 100 * m.median)
			},
			{
				name: 'longer than thought, in the middle',
				tone: 'cold' as const,
				x: missed.map((_, i) => i + 1),
				y: missed.map((m) => 100 * m.bias)
			}
		],
		marks: []
	});
	const item = (l: Lesson) => ({
		id: l.id,
		say: wordLesson(l, kitchen, counted),
		evidence: wordEvidence(l),
		isShown: l.id === looked,
		onlook: () => {
			looked = looked === l.id ? undefined : l.id;
		}
	});
</script>

<p class="soft">
	{kitchen.name}: {counted.length}
	{counted.length === 1 ? 'evening' : 'evenings'}. What is older counts less: half after 180 days.
</p>

<section aria-label="Proposals">
	<h2>Proposals</h2>
	{#if proposed.length === 0}
		<p class="soft">Nothing that would change plans by more than a twenty-fifth.</p>
	{:else}
		<LessonList
			items={proposed.map((l) => ({
				...item(l),
				effect: effectOf(l),
				onaccept: () => {
					accept([l]);
				},
				onhold: () => {
					app.changeKitchen(withHeldBack(kitchen, l));
				}
			}))}
		/>
		{#if proposed.length > 1}
			<button
				type="button"
				onclick={() => {
					accept(proposed);
				}}>Plan by all {proposed.length}</button
			>
		{/if}
	{/if}
</section>
{#if shown}
	<section class="chart" aria-label="Evening by evening">
		<h2>{wordLesson(shown, kitchen, counted)}</h2>
		<CurveChart
			chart={drift}
			label="What each evening alone says, and what is believed: {wordLesson(shown, kitchen, counted)}"
		/>
	</section>
{/if}
{#if inForce.length > 0}
	<section aria-label="Plans go by">
		<h2>Plans go by</h2>
		<LessonList
			items={inForce.map((l) => ({
				...item(l),
				onback: () => {
					app.changeKitchen(withoutLesson(kitchen, l));
				}
			}))}
		/>
	</section>
{/if}
{#if calibration.length > 0}
	<section aria-label="Our own predictions">
		<h2>Our own predictions</h2>
		<CalibrationBars items={calibration.map((c) => ({ ...c, say: wordCalibration(c) }))} />
		{#if missed.length > 1}
			<p class="soft">{wordOffBy(missed)}</p>
			<CurveChart chart={misses} label="How far predictions were off, evening by evening" />
		{/if}
	</section>
{/if}
{#if held.length > 0}
	<details>
		<summary>Held back: {held.length}</summary>
		<LessonList
			items={held.map((l) => ({
				...item(l),
				onaccept: () => {
					accept([l]);
				}
			}))}
		/>
	</details>
{/if}
{#if asAssumed.length > 0}
	<details>
		<summary>Just as plans take it: {asAssumed.length}</summary>
		<LessonList items={asAssumed.map(item)} />
	</details>
{/if}
{#if few.length > 0}
	<details>
		<summary>Not enough records: {few.length}</summary>
		<LessonList items={few.map(item)} />
	</details>
{/if}

<style>
	section {
		display: grid;
		justify-items: start;
		gap: var(--space-2);
		margin-top: var(--space-4);
	}
	section > :global(ul),
	section > :global(figure) {
		width: 100%;
	}
	.chart {
		padding: var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.soft {
		color: var(--ink-soft);
	}
	summary {
		min-height: var(--touch);
		padding-top: var(--space-2);
		cursor: pointer;
		font-weight: 600;
	}
</style>
