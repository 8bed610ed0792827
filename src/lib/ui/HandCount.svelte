<!-- How hot a fire is by a hand held over it: seconds counted aloud, said as a heat at once, or by a button. -->
<script lang="ts">
	import { handCelsius, handRange, handSeconds } from '../core/heat/fire';
	import Stepper from './Stepper.svelte';
	import { getUnits } from './units';

	interface Props {
		label: string;
		/** As hot as it is known to be, °C. */
		celsius: number;
		/** Whether a heat counts only once it is said by its button. */
		isAsked?: boolean;
		onheat: (celsius: number) => void;
	}
	const { label, celsius, isAsked = false, onheat }: Props = $props();

	const units = getUnits();
	let counted = $state<number>();
	const seconds = $derived(counted ?? handSeconds(celsius));
	const tell = (s: number) => {
		counted = undefined;
		onheat(Math.round(handCelsius(s)));
	};
</script>

<Stepper
	{label}
	value={seconds}
	least={handRange.least}
	most={handRange.most}
	unit="s"
	onchange={(s) => {
		if (isAsked) counted = s;
		else tell(s);
	}}
/>
{#if isAsked}
	<button
		type="button"
		onclick={() => {
			tell(seconds);
		}}>It has {units.say(`${Math.round(handCelsius(seconds))} °C`)}</button
	>
{/if}
