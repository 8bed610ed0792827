<!-- Read an oven thermometer: how far the knob is off, and how long it takes to heat up. -->
<script lang="ts">
	import { measuredRise } from '../../core/learn/measured';
	import type { Station } from '../../core/model/kitchen';
	import { without } from '../../core/model/edit-kitchen';
	import Stepper from '../Stepper.svelte';
	import { getUnits } from '../units';
	import Measuring from './Measuring.svelte';

	type Oven = Extract<Station, { kind: 'oven' }>;
	interface Props {
		station: Oven;
		onchange: (station: Oven) => void;
	}
	const { station, onchange }: Props = $props();
	const units = getUnits();

	let set = $state(180);
	let read = $state(180);
	let minutes = $state(12);
	const offset = $derived(read - set);
	const rise = $derived(measuredRise(station.room, read, minutes * 60));
	const words = (o: number) =>
		o === 0 ? 'as it is set' : units.say(`${Math.abs(o)} K ${o > 0 ? 'hotter' : 'cooler'} than set`);
</script>

<Measuring
	isMeasured={station.offset !== undefined || station.measuredRise !== undefined || station.film !== undefined}
	use="Use what was measured"
	forget="Go by the assumed again"
	isPossible={Math.abs(offset) <= 80}
	onuse={() => {
		onchange({ ...station, offset, measuredRise: Math.round(rise * 10) / 10 });
	}}
	onforget={() => {
		onchange(without(station, 'offset', 'measuredRise', 'film'));
	}}
>
	{#snippet known()}
		Runs {words(0)} (assumed){#if station.offset !== undefined}, <strong>measured {words(station.offset)}</strong>{/if};
		climbs {units.say('1 K')} in
		{station.rise} s (assumed){#if station.measuredRise !== undefined}, <strong
				>measured {station.measuredRise.toFixed(1)} s</strong
			>{/if}{#if station.film !== undefined}; its air takes heat into food <strong
				>{station.film.toFixed(2)} times as fast as most, by your probe</strong
			>{/if}
	{/snippet}

	<span>With a thermometer inside:</span>
	<Stepper
		label="set to"
		value={set}
		least={50}
		most={300}
		step={5}
		unit="°C"
		onchange={(n) => {
			set = n;
		}}
	/>
	<Stepper
		label="it reads"
		value={read}
		least={40}
		most={340}
		step={5}
		unit="°C"
		onchange={(n) => {
			read = n;
		}}
	/>
	<Stepper
		label="after"
		value={minutes}
		least={1}
		most={90}
		unit="min"
		onchange={(n) => {
			minutes = n;
		}}
	/>
	<span>so it runs {words(offset)} and climbs {units.say('1 K')} in {rise.toFixed(1)} s.</span>
</Measuring>
