<!-- One station by its numbers, and what was measured of it. -->
<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Kitchen, Station } from '../../core/model/kitchen';
	import { stationTable, usualStation } from '../../core/model/stations';
	import { without } from '../../core/model/edit-kitchen';
	import HandCount from '../HandCount.svelte';
	import Stepper from '../Stepper.svelte';
	import BoilTest from './BoilTest.svelte';
	import OvenFields from './OvenFields.svelte';

	interface Props {
		kitchen: Kitchen;
		station: Station;
		onchange: (station: Station) => void;
		onremove: () => void;
		/** Half of a grill hot, half of it gentle. */
		onhalve: () => void;
	}
	const { kitchen, station, onchange, onremove, onhalve }: Props = $props();

	const id = $props.id();
	/** Seconds that a hand is borne over the fire. */
	const burners = $derived(kitchen.stations.filter((s) => s.kind === 'burner'));
</script>

<section aria-label={station.name}>
	<div class="row">
		<label for="{id}-name">Called</label>
		<input
			id="{id}-name"
			type="text"
			maxlength="80"
			value={station.name}
			onchange={(event) => {
				const name = event.currentTarget.value.trim();
				if (name === '') event.currentTarget.value = station.name;
				else onchange({ ...station, name });
			}}
		/>
		<button type="button" onclick={onremove}><Trash2 size={16} /> Take out {station.name}</button>
		{#if station.at}
			<button
				type="button"
				onclick={() => {
					onchange(without(station, 'at'));
				}}>Back into the row</button
			>
		{/if}
	</div>
	<div class="row">
		{#if station.kind === 'burner'}
			<Stepper
				label="{station.name}, power"
				value={station.power}
				least={200}
				most={20000}
				step={100}
				unit="W"
				onchange={(power) => {
					onchange({ ...station, power });
				}}
			/>
			<Stepper
				label="Across"
				value={station.diameter ?? Math.round(Math.min(29, 21 * Math.sqrt(station.power / 1800)))}
				least={8}
				most={40}
				unit="cm"
				onchange={(diameter) => {
					onchange({ ...station, diameter });
				}}
			/>
			<label for="{id}-fuel">on</label>
			<select
				id="{id}-fuel"
				value={station.fuel}
				onchange={(event) => {
					const { value } = event.currentTarget;
					if (value === 'gas' || value === 'electric' || value === 'induction')
						onchange({ ...without(station, 'measured'), fuel: value });
				}}
			>
				<option value="induction">induction</option>
				<option value="electric">electric</option>
				<option value="gas">gas</option>
			</select>
			<BoilTest {station} {kitchen} {onchange} />
		{:else if station.kind === 'oven'}
			<OvenFields {station} {onchange} />
		{:else if station.kind === 'griddle'}
			{#each [0, 1] as const as i (i)}
				<label for="{id}-over-{i}">{i === 0 ? 'lies over' : 'and'}</label>
				<select
					id="{id}-over-{i}"
					value={station.covers[i]}
					onchange={(event) => {
						const { value } = event.currentTarget;
						const [first, second] = station.covers;
						onchange({ ...station, covers: i === 0 ? [value, second] : [first, value] });
					}}
				>
					{#each burners as b (b.id)}
						<option value={b.id} disabled={b.id === station.covers[1 - i]}>{b.name}</option>
					{/each}
				</select>
			{/each}
		{:else}
			<Stepper
				label={stationTable[station.kind].places}
				value={station.places}
				least={1}
				most={20}
				onchange={(places) => {
					onchange({ ...station, places });
				}}
			/>
			{#if station.kind === 'fryer'}
				<Stepper
					label="Oil"
					value={station.litres ?? usualStation.fryer.litres}
					least={0.5}
					most={200}
					unit="l"
					onchange={(litres) => {
						onchange({ ...station, litres });
					}}
				/>
				<Stepper
					label="Power"
					value={station.power ?? usualStation.fryer.power}
					least={200}
					most={20000}
					step={100}
					unit="W"
					onchange={(power) => {
						onchange({ ...station, power });
					}}
				/>
			{:else if station.kind === 'water bath'}
				<Stepper
					label="Water"
					value={station.litres ?? usualStation['water bath'].litres}
					least={0.5}
					most={200}
					unit="l"
					onchange={(litres) => {
						onchange({ ...station, litres });
					}}
				/>
				<Stepper
					label="Power"
					value={station.power ?? usualStation['water bath'].power}
					least={200}
					most={20000}
					step={100}
					unit="W"
					onchange={(power) => {
						onchange({ ...station, power });
					}}
				/>
			{:else if station.kind === 'grill' || station.kind === 'wood oven'}
				{#if station.kind === 'grill'}
					<label for="{id}-burns">on</label>
					<select
						id="{id}-burns"
						value={station.fuel}
						onchange={(event) => {
							const { value } = event.currentTarget;
							if (value === 'gas' || value === 'charcoal' || value === 'electric')
								onchange({ ...station, fuel: value });
						}}
					>
						<option value="gas">gas</option>
						<option value="charcoal">charcoal: lit before, fed, falls</option>
						<option value="electric">electric</option>
					</select>
				{/if}
				<Stepper
					label="As hot as"
					value={station.temperature ?? usualStation[station.kind].temperature}
					least={100}
					most={550}
					step={10}
					unit="°C"
					onchange={(temperature) => {
						onchange({ ...station, temperature });
					}}
				/>
				<HandCount
					label="or a hand stays over it for"
					celsius={station.temperature ?? usualStation[station.kind].temperature}
					onheat={(temperature) => {
						onchange({ ...station, temperature });
					}}
				/>
				{#if station.kind === 'grill'}
					<button type="button" disabled={station.places < 2} onclick={onhalve}
						>{station.places < 2 ? 'Half hot, half gentle: wants two places' : 'Half hot, half gentle'}</button
					>
				{/if}
			{/if}
		{/if}
	</div>
</section>

<style>
	section {
		display: grid;
		gap: var(--space-2);
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-4);
		font-size: var(--text-s);
	}
</style>
