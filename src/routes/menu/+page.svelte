<!-- Menu: the parts with how they are made, for how many and for when; beside it the plan that follows. -->
<script lang="ts">
	import {
		movedPart,
		withCovers,
		withoutPart,
		withPart,
		withService,
		withSetting,
		withTechnique
	} from '$lib/core/model/edit-meal';
	import { getApp } from '$lib/state/app.svelte';
	import Cords from '$lib/ui/cords/Cords.svelte';
	import AddPart from '$lib/ui/menu/AddPart.svelte';
	import Files from '$lib/ui/menu/Files.svelte';
	import PartRow from '$lib/ui/menu/PartRow.svelte';
	import PlanSummary from '$lib/ui/PlanSummary.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import TimeField from '$lib/ui/TimeField.svelte';

	const app = getApp();
	const { planning } = app;
	const techniques = $derived(app.techniques);
	const meal = $derived(app.meal);
	const alike = (kind: string) => [...techniques.values()].filter((t) => t.kind === kind);
</script>

<div class="head">
	<nav class="meals" aria-label="Meals">
		{#each app.meals as m (m.id)}
			<button
				type="button"
				aria-pressed={m.id === meal.id}
				onclick={() => {
					app.openMeal(m.id);
				}}>{m.name}</button
			>
		{/each}
	</nav>
	<Stepper
		label="People"
		value={meal.covers}
		least={1}
		most={60}
		onchange={(n) => {
			app.changeMeal(withCovers(meal, n));
		}}
	/>
	<TimeField
		label="Begin from"
		value={meal.earliest}
		onchange={(earliest) => {
			app.changeMeal({ ...meal, earliest });
		}}
	/>
</div>

<div class="columns">
	<div class="courses">
		{#each meal.courses as course (course.id)}
			<section aria-label={course.name}>
				<header>
					<h2>{course.name}</h2>
					<TimeField
						label="on the table at"
						value={course.service}
						onchange={(t) => {
							app.changeMeal(withService(meal, course.id, t));
						}}
					/>
				</header>
				{#each meal.parts.filter((p) => p.course === course.id) as part (part.id)}
					{@const technique = techniques.get(part.technique)}
					{#if technique}
						<PartRow
							{part}
							{technique}
							others={alike(technique.kind)}
							covers={part.covers ?? meal.covers}
							plan={planning.plan}
							onsetting={(parameter, value, usual) => {
								app.changeMeal(withSetting(meal, part.id, parameter, value, usual));
							}}
							ontechnique={(t) => {
								app.changeMeal(withTechnique(meal, part.id, t, techniques));
							}}
							onmove={(by) => {
								app.changeMeal(movedPart(meal, part.id, by));
							}}
							onremove={() => {
								app.changeMeal(withoutPart(meal, part.id, techniques));
							}}
						/>
					{/if}
				{:else}
					<p class="empty">Nothing yet: add the first part below.</p>
				{/each}
				<AddPart
					course={course.name}
					techniques={[...techniques.values()]}
					onadd={(t) => {
						app.changeMeal(withPart(meal, t, course.id));
					}}
				/>
			</section>
		{/each}
		<Files
			kept={app.kept}
			onexport={() => app.exportFile()}
			onimport={(name, text) => {
				app.importFile(name, text);
			}}
			onreset={() => {
				app.resetDemo();
			}}
		/>
	</div>
	<aside aria-label="The plan that follows">
		<PlanSummary
			{planning}
			kitchen={app.kitchen}
			oncure={(cure) => {
				app.apply(cure);
			}}
		/>
		<a href="/plan" aria-label="Open the plan"><Cords plan={planning.plan} isSmall /></a>
	</aside>
</div>

<style>
	.head,
	.meals,
	section header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-5);
	}
	.meals {
		gap: var(--space-2);
	}
	.meals [aria-pressed='true'] {
		border-color: var(--ink);
		background: var(--ink);
		color: var(--enamel);
		font-weight: 700;
	}
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(20rem, 2fr);
		align-items: start;
		gap: var(--space-5);
		margin-top: var(--space-3);
	}
	section {
		margin-bottom: var(--space-4);
	}
	section header {
		margin-bottom: var(--space-2);
	}
	section :global(article + article) {
		margin-top: 3px;
	}
	.empty {
		color: var(--ink-soft);
	}
	aside {
		position: sticky;
		top: var(--space-3);
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: var(--space-3);
	}
	@media (max-width: 1000px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
		aside {
			position: static;
			order: -1;
		}
	}
</style>
