<!-- The minute after dinner: of each part how it was, in three touches and a word; all of it can be skipped. -->
<script lang="ts">
	import { verdictOn, type CookedEvening, type Saying } from '../../core/record/evening';
	import { lossOf } from '../../core/record/taught';
	import { doneWords, warmWords } from '../../core/words/record';
	import { readTyped } from '../../core/units/typed';
	import { wordTyped } from '../../core/words/typed';
	import { getUnits } from '../units';
	import Swatch from '../Swatch.svelte';

	interface Props {
		evening: CookedEvening;
		onsay: (saying: Saying) => void;
	}
	const { evening, onsay }: Props = $props();

	const rows = $derived(
		evening.parts.map((part) => ({ part, verdict: verdictOn(evening, part.id), loss: lossOf(evening, part.id) }))
	);
	const scale = [-2, -1, 0, 1, 2] as const;
	let refused = $state('');

	const units = getUnits();
	const field = { unit: 'g', least: 1, most: 100_000 };
	const unit = $derived(units.shown('g').unit);

	function weigh(part: string, form: HTMLFormElement): void {
		const weights = ['raw', 'cooked'].map((name) => {
			const input = form.elements.namedItem(name);
			const text = input instanceof HTMLInputElement ? input.value : '';
			return { name, text, read: readTyped(text, field, units.measure) };
		});
		const [raw, cooked] = weights.map((w) => (w.read.ok ? w.read.value : undefined));
		refused = weights
			.flatMap(({ name, text, read }) =>
				read.ok ? [] : [`${name}: ${wordTyped(text, read.why, field, units.measure)}`]
			)
			.join(' ');
		if (raw !== undefined && cooked !== undefined) onsay({ kind: 'weighed', part, raw, cooked });
	}
</script>

<ul>
	{#each rows as { part, verdict, loss } (part.id)}
		<li>
			<h3><Swatch tone={part.tone} /> {part.name}</h3>
			<div class="ask" role="group" aria-label="Done: {part.name}">
				<span>Done</span>
				{#each scale as at (at)}
					<button
						type="button"
						aria-pressed={verdict.done === at}
						onclick={() => {
							onsay({ kind: 'verdict', part: part.id, done: at });
						}}>{doneWords[at + 2]}</button
					>
				{/each}
			</div>
			<div class="ask" role="group" aria-label="Warmth: {part.name}">
				<span>Warmth</span>
				{#each scale as at (at)}
					<button
						type="button"
						aria-pressed={verdict.warm === at}
						onclick={() => {
							onsay({ kind: 'verdict', part: part.id, warm: at });
						}}>{warmWords[at + 2]}</button
					>
				{/each}
			</div>
			<div class="ask" role="group" aria-label="Worth: {part.name}">
				<span>Worth</span>
				{#each [1, 2, 3, 4, 5] as at (at)}
					<button
						type="button"
						aria-pressed={verdict.worth === at}
						aria-label="{at} of 5"
						onclick={() => {
							onsay({ kind: 'verdict', part: part.id, worth: at });
						}}>{at}</button
					>
				{/each}
			</div>
			<label class="word">
				<span>A word</span>
				<input
					type="text"
					maxlength="500"
					value={verdict.word ?? ''}
					onchange={(event) => {
						const word = event.currentTarget.value.trim();
						onsay({ kind: 'verdict', part: part.id, word });
					}}
				/>
			</label>
			<details>
				<summary>Weighed{loss === undefined ? '' : `: lost ${Math.round(100 * loss)} % on the heat`}</summary>
				<form
					onsubmit={(event) => {
						event.preventDefault();
						weigh(part.id, event.currentTarget);
					}}
				>
					<label>raw, {unit} <input name="raw" inputmode="decimal" /></label>
					<label>cooked, {unit} <input name="cooked" inputmode="decimal" /></label>
					<button type="submit">Keep</button>
				</form>
			</details>
		</li>
	{/each}
</ul>
{#if refused !== ''}<p role="alert">{refused}</p>{/if}

<style>
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(23rem, 100%), 1fr));
		gap: var(--space-2);
	}
	li {
		display: grid;
		gap: var(--space-1);
		padding: var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	h3 {
		display: flex;
		align-items: center;
		gap: var(--space-2);
	}
	.ask {
		display: flex;
		align-items: center;
		gap: 3px;
	}
	.ask > span,
	.word > span {
		flex: 0 0 4.2rem;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.ask button {
		flex: 1 1 0;
		min-width: 0;
		padding: 0 2px;
		font-size: var(--text-s);
		line-height: 1.1;
	}
	.ask button[aria-pressed='true'] {
		border-color: var(--iron);
		background: var(--iron);
		color: var(--on-iron);
	}
	.word {
		display: flex;
		align-items: center;
	}
	.word input {
		flex: 1;
		min-width: 0;
	}
	summary {
		min-height: var(--touch);
		padding-top: var(--space-2);
		cursor: pointer;
		font-size: var(--text-s);
	}
	form {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: var(--space-2);
	}
	form input {
		width: 6rem;
	}
	form label {
		display: grid;
		font-size: var(--text-s);
	}
	[role='alert'] {
		color: var(--alarm);
	}
</style>
