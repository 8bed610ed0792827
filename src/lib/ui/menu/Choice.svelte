<!-- One of several things, or none of them: a labelled list. -->
<script lang="ts">
	interface Props {
		label: string;
		/** What is chosen, by id; `undefined`: none. */
		chosen: string | undefined;
		options: readonly { readonly id: string; readonly words: string }[];
		/** What choosing none is called. */
		none: string;
		onchoose: (id: string | undefined) => void;
	}
	const { label, chosen, options, none, onchoose }: Props = $props();

	const id = $props.id();
</script>

<span>
	<label for={id}>{label}</label>
	<select
		{id}
		value={chosen ?? ''}
		onchange={(event) => {
			onchoose(event.currentTarget.value === '' ? undefined : event.currentTarget.value);
		}}
	>
		<option value="">{none}</option>
		{#each options as o (o.id)}<option value={o.id}>{o.words}</option>{/each}
	</select>
</span>

<style>
	span {
		display: inline-flex;
		flex: 0 1 auto;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1);
		max-width: 100%;
	}
	select {
		min-width: 0;
		max-width: 100%;
	}
</style>
