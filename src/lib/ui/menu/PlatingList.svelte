<!-- Parts in plating order: dragged by their handles, or by keyboard: space lifts, arrows move, space sets down. -->
<script lang="ts">
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import type { Snippet } from 'svelte';
	import { flip } from 'svelte/animate';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import type { Part } from '../../core/model/meal';

	interface Props {
		/** Name of the course. */
		name: string;
		parts: readonly Part[];
		row: Snippet<[Part, Snippet]>;
		/** A part was set down at a place, 0 the first. */
		onplace: (part: string, at: number) => void;
	}
	const { name, parts, row, onplace }: Props = $props();

	const duration = 150;
	/** The order while something is held. */
	let held: Part[] | undefined = $state.raw();
	const shown = $derived(held ?? [...parts]);

	/** Rows that are drawn at once, and then in each frame: forty in one go would stop the page for a third of a second. */
	const [atOnce, perFrame] = [12, 6];
	let drawn = $state(atOnce);
	$effect(() => {
		if (drawn >= parts.length) return;
		const frame = requestAnimationFrame(() => {
			drawn += perFrame;
		});
		return () => {
			cancelAnimationFrame(frame);
		};
	});

	function settle(event: CustomEvent<DndEvent<Part>>): void {
		const { items, info } = event.detail;
		held = undefined;
		const at = items.findIndex((p) => p.id === info.id);
		if (at >= 0) onplace(info.id, at);
	}
</script>

<div
	class="list"
	use:dragHandleZone={{
		items: shown,
		flipDurationMs: duration,
		type: name,
		dropTargetStyle: { outline: '2px solid var(--herb-fill)' }
	}}
	aria-label="{name}: plating order"
	onconsider={(event: CustomEvent<DndEvent<Part>>) => {
		held = event.detail.items;
	}}
	onfinalize={settle}
>
	{#each shown as part, i (part.id)}
		<div animate:flip={{ duration }} aria-label={part.name}>
			{#snippet handle()}
				<span class="handle" use:dragHandle aria-label="{part.name}: move on the plate"><GripVertical size={18} /></span
				>
			{/snippet}
			{#if i < drawn}{@render row(part, handle)}{/if}
		</div>
	{/each}
</div>

<style>
	.list {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 3px;
	}
	.handle {
		display: grid;
		place-items: center;
		min-width: 32px;
		min-height: var(--touch);
		color: var(--ink-soft);
		cursor: grab;
	}
</style>
