<!-- A number with one step less and one step more. -->
<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { toShown } from '../core/units/amount';
	import { readTyped } from '../core/units/typed';
	import { wordTyped } from '../core/words/typed';
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
		/** Guests, eggs and burners do not come in parts. */
		isWhole?: boolean;
		/** Why it ends where it does, as a sentence. */
		because?: string;
		onchange: (value: number) => void;
	}
	const {
		label,
		value,
		least,
		most,
		step = 1,
		unit = '',
		isLabelled = true,
		isWhole = unit === '' || unit === 'pieces',
		because,
		onchange
	}: Props = $props();

	const id = $props.id();
	/** What is wrong with what was typed, for as long as the value stands that it did not replace. */
	let refusal: { readonly say: string; readonly at: number } | undefined = $state();
	const refused = $derived(refusal?.at === value ? refusal.say : '');
	const units = getUnits();
	const shown = $derived(units.shown(unit));
	const isForeign = $derived(shown.unit !== unit);
	/** A step in the cook's units is a round one of theirs. */
	const stride = $derived(isForeign ? shown.step / shown.times : step);
	const own = (v: number) => toShown(v, shown);

	function set(next: number): void {
		refusal = undefined;
		onchange(Math.min(most, Math.max(least, next)));
	}

	function type(event: Event & { currentTarget: HTMLInputElement }): void {
		const field = { unit, least, most, isWhole };
		const text = event.currentTarget.value;
		const typed = readTyped(text, field, units.measure);
		if (typed.ok) set(typed.value);
		else refusal = { say: `${label}: ${wordTyped(text, typed.why, field, units.measure, because)}`, at: value };
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
		type="text"
		inputmode={isWhole ? 'numeric' : 'decimal'}
		autocomplete="off"
		value={String(own(value))}
		onfocus={(event) => {
			event.currentTarget.select();
		}}
		oninput={() => {
			refusal = undefined;
		}}
		onchange={type}
		onkeydown={(event) => {
			if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
			event.preventDefault();
			set(value + (event.key === 'ArrowUp' ? stride : -stride));
		}}
		aria-invalid={refused !== ''}
	/>
	{#if unit !== '' && unit !== 'pieces'}<span class="unit">{shown.unit}</span>{/if}
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
	}
	.refused {
		flex-basis: 100%;
		color: var(--alarm);
		font-size: var(--text-s);
	}
</style>
