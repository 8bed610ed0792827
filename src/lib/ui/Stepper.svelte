<!-- A number with one step less and one step more. -->
<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';

	interface Props {
		label: string;
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

	function set(next: number): void {
		refused = '';
		onchange(Math.min(most, Math.max(least, next)));
	}

	function type(event: Event & { currentTarget: HTMLInputElement }): void {
		const typed = event.currentTarget.valueAsNumber;
		if (Number.isFinite(typed) && typed >= least && typed <= most) {
			set(typed);
			return;
		}
		refused = `${label}: give ${least} to ${most} ${unit}`.trim();
		event.currentTarget.value = String(value);
	}
</script>

<span class="stepper">
	<label for={id} class:out-of-sight={!isLabelled}>{label}</label>
	<button
		type="button"
		aria-label="{label}: less"
		disabled={value <= least}
		onclick={() => {
			set(value - step);
		}}><Minus size={16} /></button
	>
	<input {id} type="number" inputmode="decimal" min={least} max={most} step="any" {value} onchange={type} />
	{#if unit !== ''}<span class="unit">{unit}</span>{/if}
	<button
		type="button"
		aria-label="{label}: more"
		disabled={value >= most}
		onclick={() => {
			set(value + step);
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
