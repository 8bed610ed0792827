<!-- Trays and batches: how much goes in at once, drawn to scale, and what could share the oven. -->
<script lang="ts">
	import { groupsOf, type Group } from '$lib/core/plan/advise/grouping';
	import { traysOf } from '$lib/core/plan/compile/trays';
	import { loadsOf } from '$lib/core/plan/describe/loads';
	import { withSharedSetting } from '$lib/core/plan/advise/share-oven';
	import { formatDuration } from '$lib/core/units/time';
	import { getApp } from '$lib/state/app.svelte';
	import { getUnits } from '$lib/ui/units';
	import LoadView from '$lib/ui/menu/LoadView.svelte';
	import SharedTrayView from '$lib/ui/menu/SharedTrayView.svelte';
	import { withTrayOf } from '$lib/core/model/edit-meal';
	import { wordApart } from '$lib/core/words/loads';

	const app = getApp();
	const units = getUnits();
	const meal = $derived(app.meal);
	const loads = $derived(loadsOf(meal, app.kitchen, app.techniques));
	const trays = $derived(traysOf(meal, app.kitchen, app.techniques));
	const groups = $derived(groupsOf(meal, app.kitchen, app.techniques));
	const partsOf = (group: Group) => [...new Set(group.members.map((m) => m.part))];
	const onOneTray = (group: Group) => {
		const [host, ...others] = partsOf(group);
		return others.reduce((m, id) => withTrayOf(m, id, host), meal);
	};
	/** Whether all of them could, on the trays there are, and do not yet. */
	const canShare = (group: Group) => {
		const next = traysOf(onOneTray(group), app.kitchen, app.techniques);
		const all = partsOf(group);
		const isOn = (t: typeof trays) => t.shared.some((s) => all.every((id) => s.members.some((m) => m.part.id === id)));
		return isOn(next) && !isOn(trays);
	};
</script>

<h1>{meal.name}: trays and batches</h1>
<section aria-label="Shared oven">
	<h2>What could share the oven</h2>
	{#each groups as group, i (i)}
		<article>
			<p>
				<strong>{units.say(`${group.setting} °C`)} for {group.members.map((m) => m.name).join(', ')}</strong
				>{group.isOneTray ? ', and on one tray' : ''}: {group.cost < 30
					? 'costs nothing'
					: `${formatDuration(group.cost)} more in the oven, all together`}.
			</p>
			<ul>
				{#each group.members as m, i (i)}
					<li>
						{m.name}: {formatDuration(m.shared)}, at its own {units.say(`${m.own} °C`)}
						{formatDuration(m.alone)}
					</li>
				{/each}
			</ul>
			<button
				type="button"
				onclick={() => {
					app.changeMeal(withSharedSetting(meal, group, app.techniques));
				}}>Hold them all to {units.say(`${group.setting} °C`)}</button
			>
			{#if canShare(group)}
				<button
					type="button"
					onclick={() => {
						app.changeMeal(onOneTray(group));
					}}>Lay them on one tray, each at its own minute</button
				>
			{/if}
		</article>
	{:else}
		<p class="soft">No two parts of this meal could bake at one temperature. The plan orders them otherwise.</p>
	{/each}
</section>
<section aria-label="Loads">
	<h2>What goes in at once</h2>
	{#each trays.apart as apart, i (i)}<p class="warning">{units.say(wordApart(apart))}</p>{/each}
	<div class="loads">
		{#each trays.shared as shared (shared.members[0]?.part.id)}<SharedTrayView {shared} />{/each}
		{#each loads as { name, say, load }, i (i)}
			<LoadView {name} {say} {load} />
		{:else}
			{#if trays.shared.length === 0}<p class="soft">
					Nothing of this meal fills a tray, a pan, a pot or the fryer.
				</p>{/if}
		{/each}
	</div>
</section>

<style>
	section {
		margin-top: var(--space-3);
	}
	h2 {
		margin-bottom: var(--space-2);
	}
	article {
		margin-bottom: 3px;
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	article ul {
		margin: var(--space-1) 0 var(--space-2);
	}
	.loads {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(21rem, 100%), 1fr));
		gap: var(--space-3);
	}
	.warning {
		padding: var(--space-2) var(--space-3);
		border-left: 6px solid var(--saffron);
		background: var(--saffron-wash);
	}
	.soft,
	li {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
