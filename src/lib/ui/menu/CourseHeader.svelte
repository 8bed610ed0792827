<!-- A course: its name, when it is on the table, and taking it out. -->
<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Meal } from '../../core/model/meal';
	import TimeField from '../TimeField.svelte';

	interface Props {
		course: Meal['courses'][number];
		onname: (name: string) => void;
		ontime: (service: number) => void;
		/** Absent: it is the only one. */
		onremove?: (() => void) | undefined;
	}
	const { course, onname, ontime, onremove }: Props = $props();
</script>

<header>
	<input
		type="text"
		aria-label="Name of the course"
		maxlength="80"
		value={course.name}
		onchange={(event) => {
			const name = event.currentTarget.value.trim();
			if (name === '') event.currentTarget.value = course.name;
			else onname(name);
		}}
	/>
	<TimeField label="on the table at" value={course.service} onchange={ontime} />
	{#if onremove}
		<button type="button" aria-label="Take out the course {course.name}" onclick={onremove}><Trash2 size={16} /></button
		>
	{/if}
</header>

<style>
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-5);
		margin-bottom: var(--space-2);
	}
	input {
		width: 11rem;
		border-color: transparent;
		background: transparent;
		font-size: var(--text-l);
		font-weight: 700;
	}
	button {
		border-color: transparent;
		background: transparent;
	}
</style>
