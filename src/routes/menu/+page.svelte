<!-- Menu: the parts with how they are made; beside them the plan that follows. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import {
		movedPart,
		placedPart,
		basesFor,
		finishedBy,
		trayMates,
		withBase,
		withFinishing,
		withVesselFound,
		vesselLink,
		vesselOf,
		withCourse,
		withCourseName,
		withoutCourse,
		withoutPart,
		withoutWish,
		withPart,
		withPartFacts,
		withService,
		withSetting,
		withTechnique,
		withTrayOf,
		withVesselOf,
		withWish
	} from '$lib/core/model/edit-meal';
	import { goto } from '$app/navigation';
	import { mealRecipe } from '$lib/core/formats/recipe/recipe-out';
	import { asPlanned } from '$lib/core/plan/describe/as-planned';
	import type { Part } from '$lib/core/model/meal';
	import type { Technique } from '$lib/core/model/technique';
	import { traysOf } from '$lib/core/plan/compile/trays';
	import { wordTies } from '$lib/core/words/ties';
	import { getApp } from '$lib/state/app.svelte';
	import { shown } from '$lib/state/table';
	import Cords from '$lib/ui/cords/Cords.svelte';
	import AddPart from '$lib/ui/menu/AddPart.svelte';
	import CourseHeader from '$lib/ui/menu/CourseHeader.svelte';
	import Files from '$lib/ui/menu/Files.svelte';
	import PartRow from '$lib/ui/menu/PartRow.svelte';
	import PlatingList from '$lib/ui/menu/PlatingList.svelte';
	import PlanSummary from '$lib/ui/PlanSummary.svelte';
	import { getUnits } from '$lib/ui/units';

	const app = getApp();
	const { planning } = app;
	const techniques = $derived(app.techniques);
	const meal = $derived(app.meal);
	const isOf = $derived(planning.plan.meal === meal.id);
	const alike = (t: Technique) =>
		t.makes === undefined ? [t] : shown([...techniques.values()]).filter((o) => o.makes === t.makes || o.id === t.id);
	const vesselsFor = (part: Part) =>
		meal.parts.filter((p) => p.id !== part.id && vesselLink(meal, p.id, part.id, techniques) !== undefined);
	const trays = $derived(traysOf(meal, app.kitchen, techniques));
	const units = getUnits();
	/** How a part belongs to others: its tray, its pan, what it finishes; and what is amiss with that. */
	const tiesOf = (part: Part) =>
		wordTies(meal, part, trays, techniques).map((t) => ({ ...t, text: units.say(t.text) }));

	const asRecipe = () => ({
		name: `${meal.id}.recipe.jsonld`,
		text: mealRecipe(asPlanned(meal, planning.plan), planning.plan, techniques)
	});

	async function copyLink(): Promise<void> {
		const link = await app.link();
		if (link === undefined) {
			app.notices.warn('This meal is too large for a link: export it, and send the file.', [], 'link');
			return;
		}
		const whole = `${location.origin}/menu${link}`;
		try {
			await navigator.clipboard.writeText(whole);
			app.notices.say(
				`A link of ${whole.length} characters is copied: the meal and its kitchen are in it, nothing was sent.`
			);
		} catch {
			app.notices.warn('The browser does not let it be copied. This is the link:', [whole], 'link');
		}
	}

	/** A backup is looked at on its own page. */
	async function take(file: File): Promise<void> {
		await app.importFile(file);
		if (app.backups.looked || app.backups.why.length > 0) await goto('/menu/backup');
	}
</script>

<div class="columns">
	<div class="courses">
		{#each meal.courses as course (`${meal.id} ${course.id}`)}
			<section aria-label={course.name}>
				<CourseHeader
					{course}
					onname={(name) => {
						app.changeMeal(withCourseName(meal, course.id, name));
					}}
					ontime={(t) => {
						app.changeMeal(withService(meal, course.id, t));
					}}
					onremove={meal.courses.length > 1
						? () => {
								app.changeMeal(withoutCourse(meal, course.id, techniques));
							}
						: undefined}
				/>
				<PlatingList
					name={course.name}
					parts={meal.parts.filter((p) => p.course === course.id)}
					onplace={(part, at) => {
						app.changeMeal(placedPart(meal, part, course.id, at));
					}}
				>
					{#snippet row(part, handle)}
						{@const technique = techniques.get(part.technique)}
						{#if technique}
							<PartRow
								{part}
								{technique}
								{handle}
								others={alike(technique)}
								covers={meal.covers}
								measure={app.measure.now}
								plan={planning.spoken}
								vessels={vesselsFor(part)}
								vesselOf={vesselOf(meal, part)}
								mates={trayMates(meal, part, techniques)}
								ties={tiesOf(part)}
								bases={basesFor(meal, part)}
								onbase={(other) => {
									app.changeMeal(withBase(meal, part.id, other));
								}}
								finishable={finishedBy(meal, part, techniques)}
								onfinish={(other) => {
									app.changeMeal(withFinishing(meal, part.id, other));
								}}
								onsetting={(parameter, value, usual) => {
									app.changeMeal(withSetting(meal, part.id, parameter, value, usual));
								}}
								onfacts={(facts) => {
									app.changeMeal(withPartFacts(meal, part.id, facts));
								}}
								onvessel={(other) => {
									app.changeMeal(withVesselOf(meal, part.id, other, techniques));
								}}
								ontray={(other) => {
									app.changeMeal(withTrayOf(meal, part.id, other));
								}}
								onwish={(wish) => {
									app.changeMeal(withWish(meal, part.id, wish));
								}}
								onunwish={(wish) => {
									app.changeMeal(withoutWish(meal, part.id, wish));
								}}
								onpreview={(t) => planning.preview(app.situationOf(withTechnique(meal, part.id, t, techniques)))}
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
					{/snippet}
				</PlatingList>
				{#if !meal.parts.some((p) => p.course === course.id)}
					<p class="empty">
						Nothing yet. Type below what is to be on the plate: a protein, a side, a sauce. Its steps come with it,
						timed and planned.
					</p>
				{/if}
				<AddPart
					course={course.name}
					techniques={shown([...techniques.values()])}
					onadd={(t) => {
						const next = withPart(meal, t, course.id);
						const added = next.parts.at(-1);
						app.changeMeal(added ? withVesselFound(next, added, techniques) : next);
					}}
				/>
			</section>
		{/each}
		<button
			type="button"
			onclick={() => {
				app.changeMeal(withCourse(meal, `Course ${meal.courses.length + 1}`));
			}}><Plus size={16} /> Another course</button
		>
		<Files
			kept={app.kept}
			onexport={() => app.exportFile()}
			onrecipe={isOf && meal.parts.length > 0 ? asRecipe : undefined}
			onlink={() => void copyLink()}
			onimport={(file) => void take(file)}
			onreset={() => {
				app.resetDemo();
			}}
		/>
	</div>
	<aside aria-label="The plan that follows">
		<PlanSummary
			{planning}
			{meal}
			kitchen={app.kitchen}
			oncure={(cure) => {
				app.apply(cure);
			}}
			isCooked={(id) => app.isCooked(id)}
		/>
		{#if isOf && meal.parts.length > 0}
			<a href="/plan" aria-label="Open the plan"><Cords plan={planning.spoken} isSmall /></a>
		{/if}
	</aside>
</div>

<style>
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
	.empty {
		max-width: 34rem;
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
