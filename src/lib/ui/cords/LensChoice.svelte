<!-- Which stretch before service gets the room. -->
<script lang="ts">
	import { lenses, type Lens } from './time-axis';

	interface Props {
		lens: Lens;
		onchoose: (lens: Lens) => void;
	}
	const { lens, onchoose }: Props = $props();
</script>

<label>
	Room for
	<select
		value={String(lens)}
		onchange={(event) => {
			onchoose(Number(event.currentTarget.value));
		}}
	>
		{#each lenses as choice (choice.lens)}<option value={String(choice.lens)}>{choice.name}</option>{/each}
	</select>
</label>

<style>
	label {
		display: inline-flex;
		align-items: center;
		gap: var(--space-2);
		font-size: var(--text-s);
	}
</style>
