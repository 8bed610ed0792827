<!-- Life differs from the plan: what takes longer, what failed, who is away, what is out of order, guests, service. -->
<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Happening } from '../../core/run/events';
	import type { MayFail } from '../../core/run/may-fail';
	import { formatClock } from '../../core/units/time';
	import FailedPart from './FailedPart.svelte';

	interface Props {
		on: readonly { readonly id: string; readonly say: string }[];
		parts: readonly MayFail[];
		stations: readonly { readonly id: string; readonly name: string; readonly isOut: boolean }[];
		cooks: readonly { readonly id: string; readonly name: string }[];
		/** Courses that are not out, on the plan's clock. */
		courses: readonly { readonly id: string; readonly name: string; readonly at: number }[];
		covers: number;
		wallOf: (clock: number) => number;
		ontell: (happening: Happening) => void;
		onleave: (cook: string, seconds: number) => void;
		onserve: (course: string, clock: number) => void;
		/** What would come of it, in words. */
		onprice: (happening: Happening) => Promise<string>;
	}
	const { on, parts, stations, cooks, courses, covers, wallOf, ontell, onleave, onserve, onprice }: Props = $props();

	let dialog: HTMLDialogElement | undefined = $state();
	let failed: string | undefined = $state();
	let wished: string | undefined = $state();
	let note = $state('');

	const part = $derived(parts.find((p) => p.id === failed));
	const wish = $derived(parts.find((p) => p.id === wished));
	export function show(): void {
		failed = undefined;
		wished = undefined;
		note = '';
		dialog?.showModal();
	}
	function tell(happening: Happening): void {
		dialog?.close();
		ontell(happening);
	}
	const minutes = [2, 5, 10];
	const shifts = [-5, 5, 10, 15];
</script>

<dialog bind:this={dialog} aria-label="Life differs">
	<header>
		<h2>{part ? `${part.name} failed` : wish ? `Another wish: ${wish.name}` : 'What is different?'}</h2>
		<button
			type="button"
			aria-label="Close"
			onclick={() => {
				dialog?.close();
			}}><X size={26} /></button
		>
	</header>
	{#if part}
		<FailedPart {part} {onprice} ontell={tell} />
	{:else if wish?.wish}
		{@const { parameter, name, values } = wish.wish}
		<p>One guest has it otherwise. {name}:</p>
		<div class="row">
			{#each values as { value, words } (value)}
				<button
					type="button"
					onclick={() => {
						const own = { part: wish.id, id: `run-${value}`, name: words.slice(0, 80), covers: 1 };
						tell({ kind: 'guests', covers, wish: { ...own, settings: { [parameter]: value } } });
					}}>{words}</button
				>
			{/each}
		</div>
	{:else}
		{#if on.length > 0}
			<h3>Takes longer</h3>
			{#each on as { id, say } (id)}
				<div class="row">
					<span>{say}</span>
					{#each minutes as n (n)}
						<button
							type="button"
							aria-label="{say}: {n} minutes more"
							onclick={() => {
								tell({ kind: 'late', step: id, seconds: 60 * n });
							}}>+{n}</button
						>
					{/each}
				</div>
			{/each}
		{/if}
		<h3>Dropped, burnt, spilt, spoilt</h3>
		<div class="row">
			{#each parts as { id, name } (id)}
				<button
					type="button"
					onclick={() => {
						failed = id;
					}}>{name}</button
				>
			{/each}
		</div>
		<h3>Away for ten minutes</h3>
		<div class="row">
			{#each cooks as { id, name } (id)}
				<button
					type="button"
					aria-label="{name}: away for ten minutes"
					onclick={() => {
						dialog?.close();
						onleave(id, 600);
					}}>{name}</button
				>
			{/each}
		</div>
		<h3>Guests</h3>
		<div class="row">
			<button
				type="button"
				disabled={covers < 2}
				onclick={() => {
					tell({ kind: 'guests', covers: covers - 1 });
				}}>One fewer: {covers - 1}</button
			>
			<button
				type="button"
				onclick={() => {
					tell({ kind: 'guests', covers: covers + 1 });
				}}>One more: {covers + 1}</button
			>
			{#each parts.filter((p) => p.wish) as { id, name } (id)}
				<button
					type="button"
					onclick={() => {
						wished = id;
					}}>{name} otherwise for one</button
				>
			{/each}
		</div>
		<h3>Service</h3>
		{#each courses as { id, name, at } (id)}
			<div class="row">
				<span>{name}, {formatClock(wallOf(at))}</span>
				{#each shifts as n (n)}
					<button
						type="button"
						aria-label="{name} {Math.abs(n)} minutes {n > 0 ? 'later' : 'sooner'}"
						onclick={() => {
							dialog?.close();
							onserve(id, at + 60 * n);
						}}>{n > 0 ? '+' : '−'}{Math.abs(n)}</button
					>
				{/each}
			</div>
		{/each}
		<h3>Out of order</h3>
		<div class="row">
			{#each stations as { id, name, isOut } (id)}
				<button
					type="button"
					aria-pressed={isOut}
					onclick={() => {
						tell({ kind: isOut ? 'back' : 'out', what: id });
					}}>{name}{isOut ? ' works again' : ''}</button
				>
			{/each}
		</div>
		<h3>For the record</h3>
		<form
			class="row"
			onsubmit={(event) => {
				event.preventDefault();
				const text = note.trim();
				if (text !== '') tell({ kind: 'note', text });
			}}
		>
			<input type="text" aria-label="Note" maxlength="500" bind:value={note} />
			<button type="submit" disabled={note.trim() === ''}>Keep the note</button>
		</form>
	{/if}
</dialog>

<style>
	dialog {
		width: min(56rem, 96vw);
		max-height: 94vh;
		padding: var(--space-4);
		border: 0;
		border-radius: var(--corner);
		background: var(--enamel);
		color: var(--ink);
	}
	dialog::backdrop {
		background: var(--veil);
	}
	header {
		display: flex;
		align-items: center;
		justify-content: space-between;
	}
	h3 {
		margin-top: var(--space-3);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2);
		margin-top: var(--space-1);
	}
	.row span {
		flex: 1 1 14rem;
		font-size: var(--text-l);
	}
	button {
		min-height: var(--touch-cook);
		min-width: var(--touch-cook);
	}
	input {
		flex: 1;
		min-height: var(--touch-cook);
	}
</style>
