<!-- The live fires of a run: what each shall be, when it is fed, and how hot it is: by a thermometer, or a counted hand. -->
<script lang="ts">
	import type { Plan } from '../../core/model/plan';
	import { formatClock } from '../../core/units/time';
	import HandCount from '../HandCount.svelte';
	import Stepper from '../Stepper.svelte';
	import { getUnits } from '../units';
	import HeatedPlace from './HeatedPlace.svelte';

	interface Props {
		plan: Plan;
		clock: number;
		wallOf: (clock: number) => number;
		/** What each was measured at last, °C. */
		heats: ReadonlyMap<string, number>;
		onheat: (station: string, celsius: number) => void;
	}
	const { plan, clock, wallOf, heats, onheat }: Props = $props();

	const units = getUnits();
	const fires = $derived(
		(plan.fires ?? []).map((f) => ({
			...f,
			name: plan.lanes.find((l) => l.id === f.lane)?.name ?? f.lane,
			next: f.feed.find((x) => x.at > clock)
		}))
	);
	type Fire = (typeof fires)[number];
	const heatOf = ({ lane, hottest }: Fire) => {
		const measured = heats.get(lane);
		return units.say(`${hottest} °C by the plan${measured === undefined ? '' : `, ${measured} °C as measured`}`);
	};
	const burnsOf = (f: Fire) =>
		f.lit > clock
			? `lit at ${formatClock(wallOf(f.lit))} with ${units.say(`${f.toLight} kg`)} of ${f.fuel}`
			: f.next
				? `fed at ${formatClock(wallOf(f.next.at))}`
				: 'burns as it was lit';
</script>

<ul>
	{#each fires as f (f.lane)}
		<HeatedPlace name={f.name} heat={heatOf(f)} soft={burnsOf(f)}>
			<HandCount
				label="A hand stays for"
				celsius={heats.get(f.lane) ?? f.hottest}
				isAsked
				onheat={(celsius) => {
					onheat(f.lane, celsius);
				}}
			/>
			<Stepper
				label="Thermometer"
				value={heats.get(f.lane) ?? f.hottest}
				least={60}
				most={550}
				step={10}
				unit="°C"
				onchange={(celsius) => {
					onheat(f.lane, celsius);
				}}
			/>
		</HeatedPlace>
	{/each}
</ul>
