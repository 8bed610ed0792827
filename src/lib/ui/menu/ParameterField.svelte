<!-- One thing that a cook knows of a part: a number, a style with its temperature, or a school. -->
<script lang="ts">
	import type { Parameter } from '../../core/model/technique';
	import Stepper from '../Stepper.svelte';

	interface Props {
		parameter: Parameter;
		value: number;
		/** Whose it is, where the label alone would stand twice. */
		whose?: string;
		onchange: (value: number) => void;
	}
	const { parameter, value, whose = '', onchange }: Props = $props();

	const id = $props.id();
	const label = $derived(whose === '' ? parameter.name : `${whose}: ${parameter.name.toLowerCase()}`);
	const named = $derived(parameter.options?.some((o) => o.value === value));
</script>

{#if parameter.options}
	<span class="field">
		<label for={id} class:out-of-sight={whose !== ''}>{label}</label>
		<select
			{id}
			title={parameter.why}
			value={named ? String(value) : 'other'}
			onchange={(event) => {
				const chosen = Number(event.currentTarget.value);
				if (Number.isFinite(chosen)) onchange(chosen);
			}}
		>
			{#each parameter.options as option (option.value)}
				<option value={String(option.value)}
					>{option.say}{parameter.unit === 'choice' ? '' : `, ${option.value} ${parameter.unit}`}</option
				>
			{/each}
			{#if !named}<option value="other">{value} {parameter.unit}</option>{/if}
		</select>
	</span>
{:else}
	<Stepper
		{label}
		isLabelled={whose === ''}
		{value}
		least={parameter.least}
		most={parameter.most}
		step={parameter.unit === 'g' ? 10 : 1}
		unit={parameter.unit}
		{onchange}
	/>
{/if}

<style>
	.field {
		display: inline-flex;
		align-items: center;
		gap: var(--space-1);
	}
	label {
		font-size: var(--text-s);
	}
	select {
		max-width: 15rem;
		font-size: var(--text-s);
	}
</style>
