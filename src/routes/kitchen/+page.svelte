<!-- Kitchen: what there is to cook with, drawn from above; change it, measure it, and the plan follows. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import {
		withCook,
		withCooks,
		withGrillHalved,
		withNewStation,
		withNewVessel,
		withoutStation,
		withoutVessel,
		withStation,
		withVessel
	} from '$lib/core/model/edit-kitchen';
	import { boilingPoint } from '$lib/core/heat/water';
	import { presets } from '$lib/core/library/kitchens';
	import { vesselKinds, type StationKind } from '$lib/core/model/kitchen';
	import { stationKinds, stationTable } from '$lib/core/model/stations';
	import { getApp } from '$lib/state/app.svelte';
	import { getUnits } from '$lib/ui/units';
	import { inKitchen, withKitchenArchived, withKitchenBack, withNewKitchen } from '$lib/state/table';
	import CookForm from '$lib/ui/kitchen/CookForm.svelte';
	import FloorDrawing from '$lib/ui/kitchen/FloorDrawing.svelte';
	import StationForm from '$lib/ui/kitchen/StationForm.svelte';
	import VesselRow from '$lib/ui/kitchen/VesselRow.svelte';
	import KeptBar from '$lib/ui/KeptBar.svelte';
	import PlanSummary from '$lib/ui/PlanSummary.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';

	const app = getApp();
	const units = getUnits();
	const { planning } = app;
	const kitchen = $derived(app.kitchen);
	let chosen: string | undefined = $state();
	const station = $derived(kitchen.stations.find((s) => s.id === chosen));
	function add(kind: StationKind): void {
		const next = withNewStation(kitchen, kind);
		if (next === kitchen) {
			app.notices.warn('A griddle lies over two burners that no other one covers. Add two burners first.');
			return;
		}
		const before = new Set(kitchen.stations.map((s) => s.id));
		chosen = next.stations.find((s) => !before.has(s.id))?.id;
		app.changeKitchen(next);
	}
</script>

<KeptBar
	what="kitchen"
	all={app.history.now.kitchens}
	open={kitchen.id}
	onopen={(id) => {
		app.changeTable((table) => inKitchen(table, id));
	}}
	oncopy={() => {
		app.changeTable((table) => withNewKitchen(table, kitchen, `${kitchen.name}, a copy`.slice(0, 78)));
	}}
	onname={(name) => {
		app.changeKitchen({ ...kitchen, name });
	}}
	onarchive={() => {
		app.changeTable(withKitchenArchived);
		app.notices.say(`“${kitchen.name}” is put away. Undo brings it back.`);
	}}
	onback={(id) => {
		app.changeTable((table) => withKitchenBack(table, id));
	}}
/>
<div class="presets">
	<span>Begin a new kitchen like</span>
	{#each presets as preset (preset.id)}
		<button
			type="button"
			title={preset.about}
			onclick={() => {
				app.changeTable((table) => withNewKitchen(table, preset.kitchen, preset.name));
			}}><Plus size={16} /> {preset.name}</button
		>
	{/each}
</div>
<PlanSummary
	{planning}
	meal={app.meal}
	{kitchen}
	oncure={(cure) => {
		app.apply(cure);
	}}
	isCooked={(id) => app.isCooked(id)}
/>
<section class="floor" aria-label="The floor">
	<FloorDrawing
		{kitchen}
		plan={planning.spoken}
		{chosen}
		onchoose={(id) => {
			chosen = id;
		}}
		onmove={(id, at) => {
			const moving = kitchen.stations.find((s) => s.id === id);
			if (moving) app.changeKitchen(withStation(kitchen, { ...moving, at }));
		}}
		onremove={(id) => {
			app.changeKitchen(withoutStation(kitchen, id));
		}}
	/>
	<p class="hint">Choose a station to change it. Drag it, or move it with the arrow keys; Delete takes it out.</p>
	{#if station}
		<StationForm
			{kitchen}
			{station}
			onchange={(s) => {
				app.changeKitchen(withStation(kitchen, s));
			}}
			onremove={() => {
				app.changeKitchen(withoutStation(kitchen, station.id));
			}}
			onhalve={() => {
				app.changeKitchen(withGrillHalved(kitchen, station.id));
			}}
		/>
	{/if}
	<div class="add" role="group" aria-label="Add a station">
		{#each stationKinds as kind (kind)}
			<button
				type="button"
				onclick={() => {
					add(kind);
				}}><Plus size={16} /> {stationTable[kind].name.toLowerCase()}</button
			>
		{/each}
	</div>
</section>

<div class="columns">
	<section aria-label="Vessels">
		<h2>Pans, pots and trays</h2>
		<ul>
			{#each kitchen.vessels as vessel (vessel.id)}
				<VesselRow
					{vessel}
					onchange={(v) => {
						app.changeKitchen(withVessel(kitchen, v));
					}}
					onremove={() => {
						app.changeKitchen(withoutVessel(kitchen, vessel.id));
					}}
				/>
			{/each}
		</ul>
		<div class="add" role="group" aria-label="Add a vessel">
			{#each vesselKinds as kind (kind)}
				<button
					type="button"
					onclick={() => {
						app.changeKitchen(withNewVessel(kitchen, kind));
					}}><Plus size={16} /> {kind}</button
				>
			{/each}
		</div>
	</section>
	<div>
		<section aria-label="Cooks">
			<h2>Cooks</h2>
			<Stepper
				label="Pairs of hands"
				value={kitchen.cooks.length}
				least={1}
				most={12}
				onchange={(n) => {
					app.changeKitchen(withCooks(kitchen, n));
				}}
			/>
			<ul>
				{#each kitchen.cooks as cook (cook.id)}
					<CookForm
						{cook}
						onchange={(c) => {
							app.changeKitchen(withCook(kitchen, c));
						}}
					/>
				{/each}
			</ul>
		</section>
		<section aria-label="The place">
			<h2>The place</h2>
			<Stepper
				label="Above the sea"
				value={kitchen.altitude}
				least={-400}
				most={5000}
				step={50}
				unit="m"
				onchange={(altitude) => {
					app.changeKitchen({ ...kitchen, altitude });
				}}
			/>
			<p class="hint">Water boils at {units.say(`${boilingPoint(kitchen.altitude).toFixed(1)} °C`)} here.</p>
		</section>
	</div>
</div>

<style>
	.presets,
	.add {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2);
		margin: var(--space-2) 0;
		font-size: var(--text-s);
	}
	.floor {
		margin: var(--space-3) 0 var(--space-4);
	}
	h2 {
		margin-bottom: var(--space-2);
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
		align-items: start;
		gap: var(--space-5);
	}
	.columns section {
		margin-bottom: var(--space-4);
	}
	ul {
		display: grid;
		gap: 3px;
		margin: var(--space-2) 0;
	}
	.hint {
		margin: var(--space-1) 0 var(--space-2);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
