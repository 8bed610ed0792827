<!-- Add a part: choose how it is made. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { partKinds, type Technique } from '../../core/model/technique';

	interface Props {
		/** Name of the course it goes to. */
		course: string;
		techniques: readonly Technique[];
		onadd: (technique: Technique) => void;
	}
	const { course, techniques, onadd }: Props = $props();

	let chosen = $state('');
	const kinds = $derived(partKinds.filter((kind) => techniques.some((t) => t.kind === kind)));

	function add(): void {
		const technique = techniques.find((t) => t.id === chosen);
		if (technique) onadd(technique);
		chosen = '';
	}
</script>

<div class="add">
	<select aria-label="Part to add to {course}" bind:value={chosen}>
		<option value="">Add a part …</option>
		{#each kinds as kind (kind)}
			<optgroup label={kind}>
				{#each techniques.filter((t) => t.kind === kind) as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
			</optgroup>
		{/each}
	</select>
	<button type="button" disabled={chosen === ''} onclick={add}><Plus size={16} /> Add</button>
</div>

<style>
	.add {
		display: flex;
		gap: var(--space-2);
		margin-top: var(--space-2);
	}
	select {
		flex: 0 1 20rem;
		min-width: 0;
	}
</style>
