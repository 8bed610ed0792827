<!-- Plan: the schedule as cords. -->
<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { browser } from '$app/environment';
	import { page } from '$app/state';
	import { bowlsOf } from '$lib/core/model/bowls';
	import { asPlanned } from '$lib/core/plan/describe/as-planned';
	import { getApp } from '$lib/state/app.svelte';
	import Cords from '$lib/ui/cords/Cords.svelte';
	import DaysAxis from '$lib/ui/cords/DaysAxis.svelte';
	import Legend from '$lib/ui/cords/Legend.svelte';
	import LensChoice from '$lib/ui/cords/LensChoice.svelte';
	import PartList from '$lib/ui/cords/PartList.svelte';
	import WhatIfs from '$lib/ui/cords/WhatIfs.svelte';
	import Rehearsal from '$lib/ui/cords/Rehearsal.svelte';
	import StepCard from '$lib/ui/cords/StepCard.svelte';
	import HalfHour from '$lib/ui/cords/HalfHour.svelte';
	import { formatDuration, timeOfDay } from '$lib/core/units/time';
	import { writeCalendar } from '$lib/core/formats/calendar/calendar';
	import { runSheetOf, sheetRows } from '$lib/core/formats/sheet/run-sheet';
	import { dateAt } from '$lib/core/units/zoned';
	import { zone } from '$lib/state/clocks';
	import { download } from '$lib/ui/download';
	import { csvOf } from '$lib/ui/menu/lists';
	import TakeAlong from '$lib/ui/cords/TakeAlong.svelte';
	import { eatenAfter } from '$lib/core/rehearse/eaten';
	import { Rehearsing } from '$lib/state/rehearsing.svelte';
	import { wordChance, wordPlaying } from '$lib/core/words/odds';
	import { wordWaves } from '$lib/core/words/evening';
	import { lenses, usualLens } from '$lib/ui/cords/time-axis';
	import PlanSummary from '$lib/ui/PlanSummary.svelte';

	const app = getApp();
	const { planning } = app;
	const rehearsing = new Rehearsing(planning);
	let lens = $state(usualLens);
	let chosen: string | undefined = $state();
	let pointed: string | undefined = $state();
	// The search of a page built ahead is empty.
	const wanted = $derived(browser ? (page.url.searchParams.get('step') ?? undefined) : undefined);

	/** The step that the card is about. */
	const shown = $derived(pointed ?? chosen ?? wanted);
	const slack = $derived(wordSlack(shown));
	let card: HTMLElement | undefined = $state();
	/** By the clock on the wall; a page built ahead has none. */
	let now: number | undefined = $state();
	onMount(() => {
		now = timeOfDay(new Date());
	});

	/** The step that the card is about; where it lies below the screen it comes into view. */
	function choose(step: string | undefined): void {
		chosen = step;
		if (step !== undefined) void tick().then(() => card?.scrollIntoView({ block: 'nearest' }));
	}

	const bowls = $derived(bowlsOf(asPlanned(app.meal, planning.plan), app.techniques, app.kitchen.learnt));
	const waves = $derived(wordWaves(planning.plan));

	function wordSlack(step: string | undefined): string | undefined {
		const found = planning.slack[step ?? ''];
		if (!found) return undefined;
		const much = found.seconds < 15 ? 'no slack' : `slack ${formatDuration(found.seconds)}`;
		return `${much}${found.isProven ? '' : ', perhaps more'}, with all else free to move`;
	}

	// Once a plan stands, how much later each of its steps may be is worked out in the background.
	$effect(() => {
		if (app.isReady && planning.isCurrent && !planning.isWorking && !planning.isTrying)
			untrack(() => void planning.measureSlack(app.situation(), chosen === undefined ? [] : [chosen]));
	});

	// So is how likely it is on time.
	$effect(() => {
		const { plan } = planning;
		if (!app.isReady || !planning.isCurrent || planning.isWorking || planning.isTrying) return;
		if (plan.meal === app.meal.id) untrack(() => void rehearsing.ask(app.situation()));
	});
	const chance = $derived(
		rehearsing.isOf === planning.plan && rehearsing.odds
			? wordChance(rehearsing.odds.onTime, rehearsing.blame, planning.spoken)
			: wordPlaying
	);
	const fans = $derived(rehearsing.isOf === planning.plan ? rehearsing.odds?.tasks : undefined);

	/** The next day on which it can still be served. */
	const day = $derived(
		now === undefined ? '' : dateAt(Date.now() + (now > planning.plan.from ? 86_400_000 : 0), zone())
	);
	const lines = () => runSheetOf(planning.plan, app.measure.now);

	function saveCalendar(date: string): void {
		const { id, name } = app.meal;
		const text = writeCalendar({ id, name, date, zone: zone(), lines: lines() }, Date.now());
		download(`${id}-${date}.ics`, text, 'text/calendar');
	}

	async function saveTable(): Promise<void> {
		download(`${app.meal.id}-run-sheet.csv`, await csvOf(sheetRows(lines())), 'text/csv');
	}

	async function savePicture(): Promise<void> {
		const { cordsSvg } = await import('$lib/ui/cords/svg-file');
		download(`${app.meal.id}-cords.svg`, await cordsSvg(planning.spoken), 'image/svg+xml');
	}

	function key(event: KeyboardEvent): void {
		const by = event.key === ']' ? 1 : event.key === '[' ? -1 : 0;
		const at = lenses.findIndex((l) => l.lens === lens) + by;
		if (by !== 0) lens = lenses[at]?.lens ?? lens;
	}
</script>

<svelte:window onkeydown={key} />

<PlanSummary
	{planning}
	meal={app.meal}
	kitchen={app.kitchen}
	oncure={(cure) => {
		app.apply(cure);
	}}
	{chance}
	isCooked={(id) => app.isCooked(id)}
/>
{#if planning.plan.meal === app.meal.id}<p class="try">
		Try this: change a thickness or the service time in the <a href="/menu">Menu</a>, and watch the cords follow.
	</p>{/if}
{#if planning.plan.meal === app.meal.id}
	{#if planning.problems.length > 0}
		<p class="stale" role="status">
			What is drawn below is the plan before the last change. It is not a plan of the meal as it is now.
		</p>
	{/if}
	<HalfHour plan={planning.spoken} at={now ?? planning.plan.from} chosen={chosen ?? wanted} onchoose={choose} />
	<div class="axes" data-days={planning.plan.days !== undefined}>
		<DaysAxis plan={planning.spoken} />
		<figure data-state={planning.isCurrent ? 'current' : 'stale'}>
			<Cords
				plan={planning.spoken}
				{lens}
				chosen={chosen ?? wanted}
				slack={planning.slack}
				{fans}
				onchoose={choose}
				onpoint={(step) => {
					pointed = step;
				}}
			/>
		</figure>
	</div>
	{#if waves}<p class="waves">{waves}.</p>{/if}
	<div class="below">
		<Legend />
		<LensChoice
			{lens}
			onchoose={(l) => {
				lens = l;
			}}
		/>
	</div>
	<div class="one" bind:this={card}>
		<StepCard plan={planning.spoken} step={shown} {slack} {bowls} fan={fans?.[shown ?? '']?.end} />
	</div>
	<div id="odds">
		{#if rehearsing.isOf === planning.plan}<Rehearsal
				{rehearsing}
				plan={planning.spoken}
				onplay={(how) => void rehearsing.ask(app.situation(), how)}
				measure={app.measure.now}
				eaten={(part, wait) => eatenAfter(planning.plan, app.kitchen, [...app.techniques.values()], part, wait)}
				onchoose={choose}
				onapply={({ meal }) => {
					app.apply({ meal });
				}}
			/>{/if}
	</div>
	<WhatIfs
		found={planning.whatIfs}
		isTrying={planning.isTrying}
		canAsk={planning.isCurrent && !planning.isWorking}
		onask={() => void planning.tryOut(app.situation())}
		onapply={(change) => {
			app.apply(change);
		}}
	/>
	<TakeAlong
		date={day}
		zone={browser ? zone() : ''}
		oncalendar={saveCalendar}
		ontable={() => void saveTable()}
		onpicture={() => void savePicture()}
	/>
	<PartList
		plan={planning.spoken}
		onchoose={(step) => {
			chosen = step;
		}}
	/>
{:else}
	<p class="try">{app.meal.name} has no plan yet. Its parts are put together in the <a href="/menu">Menu</a>.</p>
{/if}

<style>
	.try {
		margin-bottom: var(--space-2);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.axes[data-days='true'] {
		display: grid;
		grid-template-columns: minmax(12rem, 17rem) minmax(0, 1fr);
		gap: var(--space-3);
	}
	@media (max-width: 60rem) {
		.axes[data-days='true'] {
			grid-template-columns: minmax(0, 1fr);
		}
		/* In the kitchen the evening comes first. */
		.axes :global(section) {
			order: 2;
		}
	}
	.waves {
		margin-bottom: var(--space-2);
		font-size: var(--text-s);
	}
	figure {
		transition: opacity var(--quick);
	}
	.stale {
		color: var(--alarm);
		font-weight: 700;
	}
	.one {
		scroll-margin-bottom: 76px;
	}
	figure[data-state='stale'] {
		opacity: 0.45;
	}
	.below {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: var(--space-2) var(--space-4);
		margin: var(--space-1) 0 var(--space-3);
	}
</style>
