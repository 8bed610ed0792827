<!-- Guests who have a part otherwise: further, firmer, or not at all. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Part, Wish } from '../../core/model/meal';
	import type { Technique } from '../../core/model/technique';
	import type { Measure } from '../../core/units/amount';
	import Stepper from '../Stepper.svelte';
	import ParameterField from './ParameterField.svelte';

	interface Props {
		part: Part;
		technique: Technique;
		covers: number;
		measure: Measure;
		onwish: (wish: Wish) => void;
		onremove: (wish: string) => void;
	}
	const { part, technique, covers, measure, onwish, onremove }: Props = $props();

	const wishes = $derived(part.wishes ?? []);
	const wished = $derived(wishes.reduce((sum, w) => sum + w.covers, 0));
	/** What guests are asked: doneness, firmness; sizes are the cook's. */
	const asked = $derived(technique.parameters.filter((p) => p.options !== undefined));

	function add(without: boolean): void {
		let number = wishes.length + 1;
		while (wishes.some((w) => w.id === `w${number}`)) number++;
		onwish({ id: `w${number}`, name: without ? 'without' : 'otherwise', covers: 1, settings: {}, without });
	}
</script>

<fieldset>
	<legend>Guests who want it otherwise</legend>
	{#each wishes as wish (wish.id)}
		<div class="wish">
			<input
				type="text"
				aria-label="{part.name}: who"
				value={wish.name}
				maxlength="60"
				onchange={(event) => {
					const name = event.currentTarget.value.trim();
					if (name === '') event.currentTarget.value = wish.name;
					else onwish({ ...wish, name });
				}}
			/>
			<Stepper
				label="{wish.name}: guests"
				isLabelled={false}
				value={wish.covers}
				least={1}
				most={Math.max(1, covers - wished + wish.covers)}
				onchange={(n) => {
					onwish({ ...wish, covers: n });
				}}
			/>
			{#if wish.without}
				<span>do without</span>
			{:else}
				{#each asked as parameter (parameter.id)}
					<ParameterField
						{parameter}
						{measure}
						whose={wish.name}
						value={wish.settings[parameter.id] ?? part.settings[parameter.id] ?? parameter.usual}
						onchange={(value) => {
							onwish({ ...wish, settings: { ...wish.settings, [parameter.id]: value } });
						}}
					/>
				{/each}
			{/if}
			<button
				type="button"
				aria-label="Take out the wish: {wish.name}"
				onclick={() => {
					onremove(wish.id);
				}}><Trash2 size={16} /></button
			>
		</div>
	{/each}
	<div class="wish">
		{#if asked.length > 0}
			<button
				type="button"
				disabled={wished >= covers}
				onclick={() => {
					add(false);
				}}><Plus size={16} /> One guest otherwise</button
			>
		{/if}
		<button
			type="button"
			disabled={wished >= covers}
			onclick={() => {
				add(true);
			}}><Plus size={16} /> One guest without</button
		>
	</div>
</fieldset>

<style>
	fieldset {
		margin: 0;
		padding: var(--space-2);
		border: 1px solid var(--rim);
		border-radius: var(--corner);
	}
	legend {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.wish {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-2);
		margin-bottom: var(--space-1);
	}
	input {
		width: 9rem;
	}
</style>
