<!-- What was read of a recipe: its steps, each to be put right by a touch, and linked to its words. -->
<script lang="ts">
	import type { Doubt, ReadStep } from '../../core/recipe/read';
	import type { StepChange } from '../../state/pasting.svelte';
	import type { Compared } from '../../core/recipe/compared';
	import { formatDuration } from '../../core/units/time';
	import { wordCompared } from '../../core/words/compared';
	import RecipeDoubt from './RecipeDoubt.svelte';
	import RecipeStepForm from './RecipeStepForm.svelte';

	interface Props {
		steps: readonly ReadStep[];
		doubts: readonly Doubt[];
		chosen: string | undefined;
		onchoose: (id: string) => void;
		onchange: (id: string, change: StepChange) => void;
		onwait: (id: string, before: string, waits: boolean) => void;
		ondrop: (id: string) => void;
		onjoin: (id: string) => void;
		onsplit: (id: string, at: number) => void;
		/** Times that were computed, where the food and its size are known. */
		compared: readonly Compared[];
		/** A question is answered. */
		onanswer: (doubt: Doubt, answer: { readonly millimetres?: number; readonly change?: StepChange }) => void;
	}
	const { steps, doubts, chosen, onchoose, onchange, onwait, ondrop, onjoin, onsplit, compared, onanswer }: Props =
		$props();

	const hands = { whole: 'hands all the time', touches: 'a touch now and then', none: 'by itself' } as const;
	const place = (s: ReadStep) =>
		s.station === 'oven' && s.celsius !== null ? `oven ${s.celsius} °C` : s.station === 'none' ? 'nowhere' : s.station;
</script>

<ol>
	{#each steps as s, i (s.id)}
		<li data-chosen={chosen === s.id} data-place={s.station}>
			<button
				type="button"
				class="words"
				aria-expanded={chosen === s.id}
				onclick={() => {
					onchoose(s.id);
				}}
			>
				<span class="number">{i + 1}</span>
				<span>
					<strong>{s.text}</strong>
					<span class="facts"
						>{s.kind}, {place(s)}, {s.seconds === null ? 'no time' : formatDuration(s.seconds[1])}, {hands[s.hands]}{s
							.after.length > 0
							? `, after ${s.after.map((a) => steps.findIndex((o) => o.id === a) + 1).join(' and ')}`
							: ''}</span
					>
				</span>
			</button>
			{#each doubts.filter((d) => d.about === s.id) as d (d.question)}
				<RecipeDoubt
					doubt={d}
					onanswer={(answer) => {
						onanswer(d, answer);
					}}
				/>
			{/each}
			{#each compared.filter((c) => c.step === s.id) as c (c.step)}
				<p class="computed" data-off={c.isOff}>
					{wordCompared(c, s.seconds)}
					<button
						type="button"
						onclick={() => {
							onchange(s.id, { seconds: c.seconds });
						}}>Take it</button
					>
				</p>
			{/each}
			{#if chosen === s.id}
				<RecipeStepForm
					step={s}
					before={steps.slice(0, i)}
					onchange={(change) => {
						onchange(s.id, change);
					}}
					onwait={(before, waits) => {
						onwait(s.id, before, waits);
					}}
					ondrop={() => {
						ondrop(s.id);
					}}
					onjoin={() => {
						onjoin(s.id);
					}}
					onsplit={(at) => {
						onsplit(s.id, at);
					}}
				/>
			{/if}
		</li>
	{/each}
</ol>

<style>
	ol {
		display: grid;
		gap: 3px;
	}
	li {
		border-left: 6px solid var(--rim);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	li[data-place='burner'],
	li[data-place='oven'],
	li[data-place='grill'],
	li[data-place='fryer'],
	li[data-place='steamer'],
	li[data-place='water bath'] {
		border-left-color: var(--copper-fill);
	}
	li[data-place='board'] {
		border-left-color: var(--saffron);
	}
	li[data-place='cold'] {
		border-left-color: var(--tone-3);
	}
	li[data-chosen='true'] {
		box-shadow: inset 0 0 0 2px var(--copper-fill);
	}
	.words {
		display: grid;
		grid-template-columns: 1.6rem minmax(0, 1fr);
		width: 100%;
		min-height: var(--touch);
		padding: var(--space-1) var(--space-2);
		border: 0;
		background: none;
		text-align: left;
	}
	.number {
		color: var(--ink-soft);
	}
	.facts {
		display: block;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.computed {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 var(--space-3);
		margin: 0 var(--space-3) var(--space-2) 2.4rem;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.computed[data-off='true'] {
		color: var(--copper);
	}
</style>
