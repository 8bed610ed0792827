<!-- Around all pages of the Menu: which meal, for how many, from when; and the pages in the order of the work. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { withCovers, withEarliest, withEvening } from '$lib/core/model/edit-meal';
	import { evenings } from '$lib/core/model/meal';
	import { eveningOf } from '$lib/core/plan/compile/calm';
	import { measures } from '$lib/core/units/amount';
	import { isLink } from '$lib/data/link';
	import { getApp } from '$lib/state/app.svelte';
	import { inKitchen, shown, withMealArchived, withMealBack, withMealCopy, withNewMeal } from '$lib/state/table';
	import KeptBar from '$lib/ui/KeptBar.svelte';
	import PageTabs from '$lib/ui/PageTabs.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import TimeField from '$lib/ui/TimeField.svelte';

	interface Props {
		children: Snippet;
	}
	const { children }: Props = $props();

	const app = getApp();
	const meal = $derived(app.meal);
	const words = {
		metric: 'grams and millilitres',
		us: 'ounces, inches, °F',
		spoons: 'US spoons and cups'
	};
	const pages = [
		{ path: '/menu', name: 'Parts' },
		{ path: '/menu/guests', name: 'Guests' },
		{ path: '/menu/amounts', name: 'Shopping and bowls' },
		{ path: '/menu/loads', name: 'Trays and batches' },
		{ path: '/menu/ahead', name: 'Ahead' },
		{ path: '/menu/techniques', name: 'Techniques' },
		{ path: '/menu/paste', name: 'Paste a recipe' },
		{ path: '/menu/backup', name: 'Backup' }
	];
	// A meal that came in a link: taken in once, and out of the address.
	$effect(() => {
		const { hash } = page.url;
		if (!app.isReady || !isLink(hash)) return;
		void app.takeLink(hash).then(() => goto('/menu', { replaceState: true }));
	});

	/** Shorter is no recipe, characters. */
	const least = 80;

	/** A recipe that is pasted anywhere in the menu, where nobody is writing. */
	function paste(event: ClipboardEvent): void {
		const { target } = event;
		if (target instanceof HTMLElement && target.closest('input, textarea, [contenteditable]')) return;
		const text = event.clipboardData?.getData('text/plain') ?? '';
		if (text.length >= least) take(text);
	}

	function take(text: string): void {
		app.pasting.take(text);
		void goto('/menu/paste');
	}
</script>

<svelte:window onpaste={paste} />

<KeptBar
	what="meal"
	all={app.meals}
	open={meal.id}
	onopen={(id) => {
		app.openMeal(id);
	}}
	onnew={() => {
		app.changeTable(withNewMeal);
	}}
	oncopy={() => {
		app.changeTable(withMealCopy);
	}}
	onname={(name) => {
		app.changeMeal({ ...meal, name });
	}}
	onarchive={() => {
		app.changeTable(withMealArchived);
		app.notices.say(`“${meal.name}” is put away. Undo brings it back.`);
	}}
	onback={(id) => {
		app.changeTable((table) => withMealBack(table, id));
	}}
/>
<div class="head">
	<Stepper
		label="People"
		value={meal.covers}
		least={1}
		most={60}
		because="One plan is for up to 60 people: write more as a second meal."
		onchange={(n) => {
			app.changeMeal(withCovers(meal, n));
		}}
	/>
	<TimeField
		label="Begin from"
		value={meal.earliest}
		onchange={(earliest) => {
			app.changeMeal(withEarliest(meal, earliest));
		}}
	/>
	<span class="kitchen">
		<label for="evening">evening</label>
		<select
			id="evening"
			title="Calm: handwork that keeps is done early. Short: begin as late as can be."
			value={eveningOf(meal)}
			onchange={(event) => {
				const chosen = evenings.find((e) => e === event.currentTarget.value);
				if (chosen) app.changeMeal(withEvening(meal, chosen));
			}}
		>
			{#each evenings as e (e)}<option value={e}>{e}</option>{/each}
		</select>
	</span>
	<span class="kitchen">
		<label for="meal-kitchen">cooked in</label>
		<select
			id="meal-kitchen"
			value={meal.kitchen}
			onchange={(event) => {
				const { value } = event.currentTarget;
				app.changeTable((table) => inKitchen(table, value));
			}}
		>
			{#each shown(app.history.now.kitchens) as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
		</select>
	</span>
	<span class="kitchen">
		<label for="measure">measured in</label>
		<select
			id="measure"
			value={app.measure.now}
			onchange={(event) => {
				const chosen = measures.find((m) => m === event.currentTarget.value);
				if (chosen) app.measure.choose(chosen);
			}}
		>
			{#each measures as m (m)}<option value={m}>{words[m]}</option>{/each}
		</select>
	</span>
</div>
<PageTabs label="Pages of the menu" {pages} path={page.url.pathname} />
{@render children()}

<style>
	.head,
	.kitchen {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-5);
		margin-top: var(--space-2);
	}
	.kitchen {
		gap: var(--space-2);
		margin: 0;
		font-size: var(--text-s);
	}
</style>
