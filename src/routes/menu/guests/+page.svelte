<!-- Guests who have to be cooked for with care: named once, and every part is held against them. -->
<script lang="ts">
	import UserPlus from '@lucide/svelte/icons/user-plus';
	import { newGuest, withGuest, withoutGuest } from '$lib/core/model/edit-meal';
	import { getApp } from '$lib/state/app.svelte';
	import GuestNotes from '$lib/ui/GuestNotes.svelte';
	import GuestRow from '$lib/ui/menu/GuestRow.svelte';

	const app = getApp();
	const meal = $derived(app.meal);
	const guests = $derived(meal.guests ?? []);
	const plan = $derived(app.planning.plan);
	const clashes = $derived(plan.meal === meal.id && app.planning.isCurrent ? plan.clashes : []);
</script>

<h1>{meal.name}: guests</h1>

<div class="columns">
	<section aria-label="Guests">
		<p class="soft">
			Of {meal.covers} people, those who must not have everything. What a part contains comes from its ingredients: labels
			are yours to check, local codes rule.
		</p>
		<ul>
			{#each guests as guest (guest.id)}
				<li>
					<GuestRow
						{guest}
						onchange={(changed) => {
							app.changeMeal(withGuest(meal, changed));
						}}
						onremove={() => {
							app.changeMeal(withoutGuest(meal, guest.id));
						}}
					/>
				</li>
			{/each}
		</ul>
		<button
			type="button"
			disabled={guests.length >= meal.covers}
			onclick={() => {
				app.changeMeal(withGuest(meal, newGuest(meal)));
			}}><UserPlus size={16} /> A guest to take care of</button
		>
	</section>
	<section aria-label="Not for everybody">
		<h2>Not for everybody</h2>
		{#if clashes.length > 0}
			<GuestNotes
				{clashes}
				{meal}
				techniques={app.techniques}
				measure={app.measure.now}
				onapply={(changed) => {
					app.changeMeal(changed);
				}}
			/>
		{:else if guests.length === 0}
			<p class="soft">Nobody is named yet.</p>
		{:else if app.planning.isCurrent}
			<p class="soft">As it is planned, everybody can eat what they get.</p>
		{:else}
			<p class="soft">Planning …</p>
		{/if}
	</section>
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(18rem, 2fr);
		align-items: start;
		gap: var(--space-5);
		margin-top: var(--space-3);
	}
	ul {
		display: grid;
		gap: var(--space-2);
		margin: var(--space-3) 0;
		padding: 0;
		list-style: none;
	}
	h2 {
		margin-bottom: var(--space-2);
	}
	.soft {
		max-width: 34rem;
		color: var(--ink-soft);
	}
	@media (max-width: 1000px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
