<!-- One guest: who, whether at risk, what they must not and do not eat. -->
<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { allergens } from '../../core/foods/allergens';
	import { diets } from '../../core/foods/diets';
	import { risks, type Guest } from '../../core/model/meal';

	interface Props {
		guest: Guest;
		onchange: (guest: Guest) => void;
		onremove: () => void;
	}
	const { guest, onchange, onremove }: Props = $props();

	const id = $props.id();

	function choose<K extends 'risk' | 'diet'>(key: K, value: Guest[K] | undefined): void {
		const others = Object.fromEntries(Object.entries(guest).filter(([k]) => k !== key)) as Guest;
		onchange(value === undefined ? others : { ...others, [key]: value });
	}
</script>

<article>
	<div class="row">
		<input
			type="text"
			aria-label="Name of the guest"
			maxlength="60"
			value={guest.name}
			onchange={(event) => {
				const name = event.currentTarget.value.trim();
				if (name === '') event.currentTarget.value = guest.name;
				else onchange({ ...guest, name });
			}}
		/>
		<span>
			<label for="{id}-risk">at risk</label>
			<select
				id="{id}-risk"
				value={guest.risk ?? ''}
				onchange={(event) => {
					choose(
						'risk',
						risks.find((r) => r === event.currentTarget.value)
					);
				}}
			>
				<option value="">no</option>
				{#each risks as risk (risk)}<option value={risk}>{risk}</option>{/each}
			</select>
		</span>
		<span>
			<label for="{id}-diet">eats</label>
			<select
				id="{id}-diet"
				value={guest.diet ?? ''}
				onchange={(event) => {
					choose(
						'diet',
						diets.find((d) => d === event.currentTarget.value)
					);
				}}
			>
				<option value="">everything</option>
				{#each diets as diet (diet)}<option value={diet}>{diet}</option>{/each}
			</select>
		</span>
		<button type="button" aria-label="Take out {guest.name}" onclick={onremove}><Trash2 size={16} /></button>
	</div>
	<fieldset>
		<legend>allergic to</legend>
		{#each allergens as tag (tag)}
			<label class="tag" data-on={guest.allergies.includes(tag)}>
				<input
					type="checkbox"
					checked={guest.allergies.includes(tag)}
					onchange={(event) => {
						const rest = guest.allergies.filter((a) => a !== tag);
						onchange({ ...guest, allergies: event.currentTarget.checked ? [...rest, tag] : rest });
					}}
				/>{tag}</label
			>
		{/each}
	</fieldset>
</article>

<style>
	article {
		display: grid;
		gap: var(--space-2);
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.row,
	fieldset {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
	}
	.row button {
		margin-left: auto;
	}
	input[type='text'] {
		width: 11rem;
	}
	fieldset {
		margin: 0;
		padding: 0;
		border: 0;
	}
	legend {
		float: left;
		padding: 0 var(--space-2) 0 0;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.tag {
		display: inline-flex;
		align-items: center;
		gap: 0.35em;
		min-height: 2.2rem;
		font-size: var(--text-s);
	}
	.tag[data-on='true'] {
		color: var(--alarm);
		font-weight: 700;
	}
</style>
