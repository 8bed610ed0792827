<!-- Life differs from the plan: what takes longer, what failed, who is away, what is out of order, guests, service. -->
<script lang="ts" module>
	import type { Happening } from '../../core/run/events';

	/** A part of the meal that may fail, with the other ways to make it. */
	export interface MayFail {
		readonly id: string;
		readonly name: string;
		readonly covers: number;
		readonly others: readonly { readonly id: string; readonly name: string }[];
		/** What a guest may want of it otherwise: a setting, and its values in words. */
		readonly wish:
			| {
					readonly parameter: string;
					readonly name: string;
					readonly values: readonly { readonly value: number; readonly words: string }[];
			  }
			| undefined;
	}
</script>

<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { formatClock } from '../../core/units/time';
	import Stepper from '../Stepper.svelte';

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
	let lost: number | undefined = $state();
	let note = $state('');
	let prices: Readonly<Record<string, string>> = $state.raw({});

	const part = $derived(parts.find((p) => p.id === failed));
	const wish = $derived(parts.find((p) => p.id === wished));
	const some = $derived(part && lost !== undefined && lost < part.covers ? { covers: lost } : {});
	const remedies = $derived.by((): readonly { readonly say: string; readonly happening: Happening }[] => {
		if (!part) return [];
		const common = { kind: 'failed', part: part.id, ...some } as const;
		return [
			{ say: 'Again, from the start', happening: { ...common, then: 'again' } },
			...part.others.map((o) => ({
				say: `As ${o.name}`,
				happening: { ...common, then: 'otherwise', technique: o.id } as const
			})),
			{ say: 'Without it', happening: { ...common, then: 'without' } },
			{ say: 'What is left will do', happening: common }
		];
	});

	export function show(): void {
		failed = undefined;
		wished = undefined;
		lost = undefined;
		note = '';
		dialog?.showModal();
	}
	function tell(happening: Happening): void {
		asked++;
		dialog?.close();
		ontell(happening);
	}
	/** What is asked for now: what was asked for before is told no more. */
	let asked = 0;
	/** One after the other: each price is a plan of the rest. */
	async function price(): Promise<void> {
		prices = {};
		const mine = ++asked;
		for (const { say, happening } of remedies) {
			if (happening.kind === 'failed' && happening.then === undefined) continue;
			const words = await onprice(happening);
			if (mine !== asked) return;
			prices = { ...prices, [say]: words };
		}
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
		{#if part.covers > 1}
			<Stepper
				label="For how many"
				value={lost ?? part.covers}
				least={1}
				most={part.covers}
				isWhole
				onchange={(n) => {
					lost = n;
					void price();
				}}
			/>
		{/if}
		<ul>
			{#each remedies as { say, happening } (say)}
				<li>
					<button
						type="button"
						onclick={() => {
							tell(happening);
						}}
						><strong>{say}</strong>
						{#if happening.kind === 'failed' && happening.then !== undefined}<span class="soft"
								>{prices[say] ?? 'planning …'}</span
							>{/if}</button
					>
				</li>
			{/each}
		</ul>
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
						void price();
					}}>{name}</button
				>
			{/each}
		</div>
		<h3>Away for ten minutes</h3>
		<div class="row">
			{#each cooks as { id, name } (id)}
				<button
					type="button"
					aria-label="{name} is away for ten minutes"
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
	ul {
		display: grid;
		gap: var(--space-2);
		margin-top: var(--space-3);
	}
	li button {
		display: flex;
		justify-content: space-between;
		gap: var(--space-3);
		width: 100%;
		font-size: var(--text-l);
	}
	input {
		flex: 1;
		min-height: var(--touch-cook);
	}
	.soft {
		color: var(--ink-soft);
		font-weight: 400;
	}
</style>
