<!-- A kind of vessel: name, size, how many. -->
<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Vessel } from '../../core/model/kitchen';
	import { isSize } from '../../core/model/vessel-size';
	import Stepper from '../Stepper.svelte';

	interface Props {
		vessel: Vessel;
		onchange: (vessel: Vessel) => void;
		onremove: () => void;
	}
	const { vessel, onchange, onremove }: Props = $props();

	let refused = $state('');
</script>

<li>
	<input
		type="text"
		aria-label="{vessel.name}: name"
		maxlength="80"
		value={vessel.name}
		onchange={(event) => {
			const name = event.currentTarget.value.trim();
			if (name === '') event.currentTarget.value = vessel.name;
			else onchange({ ...vessel, name });
		}}
	/>
	<input
		class="size"
		type="text"
		aria-label="{vessel.name}: size"
		maxlength="40"
		value={vessel.size}
		onchange={(event) => {
			const size = event.currentTarget.value.trim();
			refused = isSize(vessel.kind, size) ? '' : `“${size}” is not a size. Write it like 28 cm, 5 l or 40 × 30 cm.`;
			if (refused !== '') event.currentTarget.value = vessel.size;
			else onchange({ ...vessel, size });
		}}
	/>
	<Stepper
		label="{vessel.name}, {vessel.size}: how many"
		isLabelled={false}
		value={vessel.count}
		least={0}
		most={60}
		onchange={(count) => {
			onchange({ ...vessel, count });
		}}
	/>
	<button type="button" aria-label="Take out {vessel.name}, {vessel.size}" onclick={onremove}
		><Trash2 size={16} /></button
	>
	{#if refused !== ''}<span class="refused" role="alert">{refused}</span>{/if}
</li>

<style>
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-2);
		padding: var(--space-1) var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	input {
		flex: 1 1 7rem;
		min-width: 0;
		border-color: transparent;
	}
	.size {
		flex: 0 1 7.5rem;
	}
	button {
		padding: 0;
		border-color: transparent;
	}
	.refused {
		flex-basis: 100%;
		color: var(--alarm);
		font-size: var(--text-s);
	}
</style>
