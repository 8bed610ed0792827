<!-- Time a litre: what really arrives from a burner, beside what is assumed of its fuel. -->
<script lang="ts">
	import { efficiency } from '../../core/heat/burner';
	import { measuredPower } from '../../core/learn/measured';
	import type { Kitchen, Station } from '../../core/model/kitchen';
	import { without } from '../../core/model/edit-kitchen';
	import Stepper from '../Stepper.svelte';
	import Measuring from './Measuring.svelte';

	type Burner = Extract<Station, { kind: 'burner' }>;
	interface Props {
		station: Burner;
		kitchen: Kitchen;
		onchange: (station: Burner) => void;
	}
	const { station, kitchen, onchange }: Props = $props();

	let litres = $state(1);
	let start = $state(12);
	let minutes = $state(5);
	const assumed = $derived(Math.round(station.power * efficiency[station.fuel].usual));
	const found = $derived(Math.round(measuredPower(litres, start, minutes * 60, kitchen.altitude)));
	const isPossible = $derived(found >= 50 && found <= 20_000);
</script>

<Measuring
	isMeasured={station.measured !== undefined}
	use="Use the measured power"
	forget="Go by the fuel again"
	{isPossible}
	onuse={() => {
		onchange({ ...station, measured: found });
	}}
	onforget={() => {
		onchange(without(station, 'measured'));
	}}
>
	{#snippet known()}
		Arrives in the pot: assumed {assumed} W{#if station.measured !== undefined}, <strong
				>measured {Math.round(station.measured)} W</strong
			>{/if}
	{/snippet}

	<span>Lid on, full heat:</span>
	<Stepper
		label="litres"
		value={litres}
		least={0.25}
		most={20}
		step={0.25}
		unit="l"
		onchange={(n) => {
			litres = n;
		}}
	/>
	<Stepper
		label="from"
		value={start}
		least={1}
		most={40}
		unit="°C"
		onchange={(n) => {
			start = n;
		}}
	/>
	<Stepper
		label="boiled in"
		value={minutes}
		least={0.5}
		most={120}
		step={0.5}
		unit="min"
		onchange={(n) => {
			minutes = n;
		}}
	/>
	<span>so {found} W arrive{found > station.power ? ', more than its rating: look at the litres again' : ''}.</span>
</Measuring>
