<!-- A time of day, typed or stepped by five minutes. -->
<script lang="ts">
	import { formatClock, minute, parseClock } from '../core/units/time';

	interface Props {
		label: string;
		/** Seconds after midnight. */
		value: number;
		onchange: (value: number) => void;
	}
	const { label, value, onchange }: Props = $props();

	const id = $props.id();
	const day = 24 * 60 * minute;
	/** What is wrong with what was typed, for as long as the time stands that it did not replace. */
	let refusal: { readonly say: string; readonly at: number } | undefined = $state();
	const refused = $derived(refusal?.at === value ? refusal.say : '');

	function set(next: number): void {
		refusal = undefined;
		onchange(((next % day) + day) % day);
	}

	function type(event: Event & { currentTarget: HTMLInputElement }): void {
		const text = event.currentTarget.value;
		const typed = parseClock(text, value);
		event.currentTarget.value = formatClock(typed ?? value);
		if (typed !== undefined) set(typed);
		else refusal = { say: `“${text}” is not a time of day. Write it like 19:30, 7:30 pm or 7pm.`, at: value };
	}
</script>

<span class="field">
	<label for={id}>{label}</label>
	<button
		type="button"
		aria-label="{label}: five minutes earlier"
		onclick={() => {
			set(value - 5 * minute);
		}}>−5</button
	>
	<input
		{id}
		type="text"
		value={formatClock(value)}
		autocomplete="off"
		oninput={() => {
			refusal = undefined;
		}}
		onchange={type}
		aria-invalid={refused !== ''}
	/>
	<button
		type="button"
		aria-label="{label}: five minutes later"
		onclick={() => {
			set(value + 5 * minute);
		}}>+5</button
	>
	{#if refused !== ''}<span class="refused" role="alert">{refused}</span>{/if}
</span>

<style>
	.field {
		display: inline-flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1);
	}
	label {
		font-size: var(--text-s);
	}
	input {
		width: 5rem;
		text-align: center;
		font-weight: 700;
	}
	.refused {
		flex-basis: 100%;
		color: var(--alarm);
		font-size: var(--text-s);
	}
</style>
