<!-- What a question asks for: answered as one types. -->
<script lang="ts">
	import type { Field, Inputs } from '../../core/questions/question';
	import { fromShown, toShown } from '../../core/units/amount';
	import { getUnits } from '../units';

	interface Props {
		fields: readonly Field[];
		inputs: Inputs;
		onchange: (id: string, value: string) => void;
	}
	const { fields, inputs, onchange }: Props = $props();
	const prefix = $props.id();
	const units = getUnits();
	const asked = $derived(fields.filter(({ when }) => !when || inputs[when.id] === when.is));
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
				{@const isForeign = shown.unit !== field.unit}
				<span class="with-unit">
					<input
						id="{prefix}-{field.id}"
						type="number"
						inputmode="decimal"
						min={toShown(field.least, shown)}
						max={toShown(field.most, shown)}
						step={isForeign ? 'any' : field.step}
						value={isForeign ? toShown(Number(inputs[field.id]), shown) : inputs[field.id]}
						oninput={(event) => {
							const { value, valueAsNumber } = event.currentTarget;
							const own = isForeign && Number.isFinite(valueAsNumber);
							onchange(field.id, own ? String(Number(fromShown(valueAsNumber, shown).toFixed(3))) : value);
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
