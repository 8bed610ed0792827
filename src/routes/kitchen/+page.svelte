<!-- Kitchen: what there is to cook with, drawn from above; change it, and the plan follows. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { withBurner, withCooks, withoutStation, withStation, withVesselCount } from '$lib/core/model/edit-kitchen';
	import { boilingPoint } from '$lib/core/heat/water';
	import { getApp } from '$lib/state/app.svelte';
	import FloorDrawing from '$lib/ui/kitchen/FloorDrawing.svelte';
	import PlanSummary from '$lib/ui/PlanSummary.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';

	const app = getApp();
	const { planning } = app;
	const kitchen = $derived(app.kitchen);
	const placeWords = { board: 'Places to work', cold: 'Places', fryer: 'Baskets', warm: 'Places' } as const;
</script>

<PlanSummary
	{planning}
	kitchen={app.kitchen}
	oncure={(cure) => {
		app.apply(cure);
	}}
/>
<section class="floor">
	<h2>{kitchen.name}</h2>
	<FloorDrawing {kitchen} plan={planning.plan} />
</section>

<div class="columns">
	<section aria-label="Stations">
		<h2>Stations</h2>
		<ul>
			{#each kitchen.stations as station (station.id)}
				<li>
					<strong>{station.name}</strong>
					{#if station.kind === 'burner'}
						<Stepper
							label="{station.name}, power"
							isLabelled={false}
							value={station.power}
							least={200}
							most={20000}
							step={100}
							unit="W"
							onchange={(power) => {
								app.changeKitchen(withStation(kitchen, { ...station, power }));
							}}
						/>
						<button
							type="button"
							aria-label="Take out {station.name}"
							onclick={() => {
								app.changeKitchen(withoutStation(kitchen, station.id));
							}}
						>
							<Trash2 size={16} />
						</button>
					{:else if station.kind === 'oven'}
						<Stepper
							label="Racks"
							value={station.racks}
							least={1}
							most={10}
							onchange={(racks) => {
								app.changeKitchen(withStation(kitchen, { ...station, racks }));
							}}
						/>
						<span class="soft"
							>{station.lowest}–{station.highest} °C, {station.fan ? 'fan' : 'no fan'}, climbs 1 °C in {station.rise} s</span
						>
					{:else}
						<Stepper
							label={placeWords[station.kind]}
							value={station.places}
							least={1}
							most={20}
							onchange={(places) => {
								app.changeKitchen(withStation(kitchen, { ...station, places }));
							}}
						/>
					{/if}
				</li>
			{/each}
		</ul>
		<button
			type="button"
			onclick={() => {
				app.changeKitchen(withBurner(kitchen));
			}}><Plus size={16} /> One more burner</button
		>
	</section>
	<section aria-label="Vessels">
		<h2>Pans, pots and trays</h2>
		<ul>
			{#each kitchen.vessels as vessel (vessel.id)}
				<li>
					<strong>{vessel.name}</strong> <span class="soft">{vessel.size}</span>
					<Stepper
						label="{vessel.name}, {vessel.size}: how many"
						isLabelled={false}
						value={vessel.count}
						least={0}
						most={60}
						onchange={(count) => {
							app.changeKitchen(withVesselCount(kitchen, vessel.id, count));
						}}
					/>
				</li>
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
		<p class="soft">Water boils at {boilingPoint(kitchen.altitude).toFixed(1)} °C here.</p>
	</section>
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
			{#each kitchen.cooks as cook (cook.id)}<li><strong>{cook.name}</strong></li>{/each}
		</ul>
	</section>
</div>

<style>
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
	ul {
		display: grid;
		gap: 3px;
		margin-bottom: var(--space-2);
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-3);
		min-height: var(--touch);
		padding: var(--space-1) var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	strong {
		flex: 1 0 6rem;
		font-weight: 600;
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	li button {
		border-color: transparent;
		padding: 0;
	}
</style>
