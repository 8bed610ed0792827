<!-- The ovens that are on: what each is set to, when it is hot, and what it reads: its lamp and a thermometer teach the record. -->
<script lang="ts">
	import type { OvenOn } from '../../core/run/ovens';
	import { formatClock } from '../../core/units/time';
	import Stepper from '../Stepper.svelte';
	import { getUnits } from '../units';
	import HeatedPlace from './HeatedPlace.svelte';

	interface Props {
		ovens: readonly OvenOn[];
		clock: number;
		nameOf: (lane: string) => string;
		wallOf: (clock: number) => number;
		onlamp: (oven: OvenOn) => void;
		onread: (oven: OvenOn, celsius: number) => void;
	}
	const { ovens, clock, nameOf, wallOf, onlamp, onread }: Props = $props();

	const units = getUnits();
	/** What is being dialled, by oven, until it is said. */
	const dialled: Record<string, number | undefined> = $state({});
	const at = (o: OvenOn) => dialled[o.lane] ?? o.read ?? o.setting;
	/** A lamp can tell as long as nobody has, and nothing went in long ago. */
	const mayTell = (o: OvenOn) => o.told === undefined && clock < o.hot + 600;
	const heatOf = ({ setting, knob }: OvenOn) =>
		units.say(knob === setting ? `${setting} °C` : `${setting} °C, its knob at ${knob} °C`);
	const sinceOf = (o: OvenOn) => {
		const hot =
			o.told !== undefined
				? `hot at ${formatClock(wallOf(o.told))}`
				: clock < o.hot
					? `to be hot by ${formatClock(wallOf(o.hot))}`
					: 'hot by the plan';
		const read = o.read === undefined ? '' : `, read ${units.say(`${o.read} °C`)}`;
		return `set at ${formatClock(wallOf(o.since))}, ${hot}${read}`;
	};
</script>

<ul>
	{#each ovens as o (o.lane)}
		<HeatedPlace name={nameOf(o.lane)} heat={heatOf(o)} soft={sinceOf(o)}>
			{#snippet beside()}
				{#if mayTell(o)}<button
						type="button"
						onclick={() => {
							onlamp(o);
						}}>Its lamp says hot</button
					>{/if}
			{/snippet}
			<Stepper
				label="Thermometer"
				value={at(o)}
				least={40}
				most={400}
				step={5}
				unit="°C"
				onchange={(celsius) => {
					dialled[o.lane] = celsius;
				}}
			/>
			<button
				type="button"
				onclick={() => {
					onread(o, at(o));
					dialled[o.lane] = undefined;
				}}>Keep {units.say(`${at(o)} °C`)}</button
			>
		</HeatedPlace>
	{/each}
</ul>
