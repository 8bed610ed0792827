<!-- What a question asks for: answered as one types. -->
<script lang="ts">
	import type { Field, Inputs } from '../../core/questions/question';
	import { toShown } from '../../core/units/amount';
	import { readTyped } from '../../core/units/typed';
	import { getUnits } from '../units';

	interface Props {
		fields: readonly Field[];
		inputs: Inputs;
		onchange: (id: string, value: string) => void;
	}
	const { fields, inputs, onchange }: Props = $props();
	const prefix = $props.id();
	const units = getUnits();
	/** What is being typed, as it is typed: it is answered before it is written out. */
	let draft: { readonly id: string; readonly text: string } | undefined = $state();
	const asked = $derived(fields.filter(({ when }) => !when || inputs[when.id] === when.is));

	function shownOf({ id, unit }: Extract<Field, { kind: 'number' }>): string {
		const value = Number(inputs[id]);
		return String(Number.isFinite(value) ? toShown(value, units.shown(unit)) : inputs[id]);
	}
</script>

<div class="form">
	{#each asked as field (field.id)}
		<p>
			<label for="{prefix}-{field.id}">{field.label}</label>
			{#if field.kind === 'choice'}
				<select
					id="{prefix}-{field.id}"
					value={String(inputs[field.id])}
					onchange={(event) => {
						onchange(field.id, event.currentTarget.value);
					}}
				>
					{#each field.options as option (option)}<option value={option}>{option}</option>{/each}
				</select>
			{:else if field.kind === 'number'}
				{@const shown = units.shown(field.unit)}
				<span class="with-unit">
					<input
						id="{prefix}-{field.id}"
						type="text"
						inputmode="decimal"
						autocomplete="off"
						value={draft?.id === field.id ? draft.text : shownOf(field)}
						oninput={(event) => {
							const { value } = event.currentTarget;
							draft = { id: field.id, text: value };
							const typed = readTyped(value, field, units.measure);
							// What is refused is told in the unit that it was meant in.
							const meant = /\d\s*$/.test(value) ? `${value} ${shown.unit}` : value;
							onchange(field.id, typed.ok ? String(Number(typed.value.toFixed(3))) : meant.trim());
						}}
						onblur={() => {
							draft = undefined;
						}}
					/>
					<span class="unit">{shown.unit}</span>
				</span>
			{:else}
				<input
					id="{prefix}-{field.id}"
					type="text"
					maxlength="80"
					value={String(inputs[field.id])}
					oninput={(event) => {
						onchange(field.id, event.currentTarget.value);
					}}
				/>
			{/if}
		</p>
	{/each}
</div>

<style>
	.form {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
		gap: var(--space-2) var(--space-3);
	}
	label {
		display: block;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	input,
	select {
		width: 100%;
		min-height: var(--touch);
	}
	.with-unit {
		display: flex;
		align-items: center;
		gap: var(--space-1);
	}
	.unit {
		min-width: 2.2em;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
