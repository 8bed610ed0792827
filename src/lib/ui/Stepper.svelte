<!-- A number with one step less and one step more. -->
<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { fromShown, toShown } from '../core/units/amount';
	import { getUnits } from './units';

	interface Props {
		label: string;
		/** In the unit given, as are the limits and the step: it is shown and typed in the cook's own. */
		value: number;
		least: number;
		most: number;
		step?: number;
		unit?: string;
		/** Whether the label is shown, or only said. */
		isLabelled?: boolean;
		onchange: (value: number) => void;
	}
	const { label, value, least, most, step = 1, unit = '', isLabelled = true, onchange }: Props = $props();

	const id = $props.id();
	let refused = $state('');
	const units = getUnits();
	const shown = $derived(units.shown(unit));
	const isForeign = $derived(shown.unit !== unit);
	/** A step in the cook's units is a round one of theirs. */
	const stride = $derived(isForeign ? shown.step / shown.times : step);
	const own = (v: number) => toShown(v, shown);

	function set(next: number): void {
		refused = '';
		onchange(Math.min(most, Math.max(least, next)));
	}

	function type(event: Event & { currentTarget: HTMLInputElement }): void {
		const typed = event.currentTarget.valueAsNumber;
		// Typed in other units a limit may be missed by a rounding.
		if (Number.isFinite(typed) && typed >= own(least) && typed <= own(most)) {
			set(isForeign ? fromShown(typed, shown) : typed);
			return;
		}
		refused = `${label}: give ${own(least)} to ${own(most)} ${shown.unit}`.trim();
		event.currentTarget.value = String(own(value));
	}
</script>

<span class="stepper">
	<label for={id} class:out-of-sight={!isLabelled}>{label}</label>
	<button
		type="button"
		aria-label="{label}: less"
		disabled={value <= least}
		onclick={() => {
			set(value - stride);
		}}><Minus size={16} /></button
	>
	<input
		{id}
		type="number"
		inputmode="decimal"
		min={own(least)}
		max={own(most)}
		step="any"
		value={own(value)}
		onchange={type}
	/>
	{#if unit !== ''}<span class="unit">{shown.unit}</span>{/if}
	<button
		type="button"
		aria-label="{label}: more"
		disabled={value >= most}
		onclick={() => {
			set(value + stride);
		}}><Plus size={16} /></button
	>
	{#if refused !== ''}<span class="refused" role="alert">{refused}</span>{/if}
</span>

<style>
	.stepper {
		display: inline-flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1);
	}
	label,
	.unit {
		font-size: var(--text-s);
	}
	.unit {
		color: var(--ink-soft);
	}
	button {
		padding: 0;
	}
	input {
		width: 3.6rem;
		text-align: center;
		appearance: textfield;
	}
	input::-webkit-inner-spin-button {
		display: none;
	}
	.refused {
		flex-basis: 100%;
		color: var(--alarm);
		font-size: var(--text-s);
	}
</style>
