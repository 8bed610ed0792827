<!-- One part of the menu: how it is made, how long that takes and why, and what can be changed. -->
<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { ComponentProps, Snippet } from 'svelte';
	import type { Part } from '../../core/model/meal';
	import type { SpokenPlan } from '../../core/words/speak';
	import { allergensOf } from '../../core/model/quantities';
	import type { Technique } from '../../core/model/technique';
	import { formatClock, formatDuration } from '../../core/units/time';
	import Swatch from '../Swatch.svelte';
	import ParameterField from './ParameterField.svelte';
	import PartOptions from './PartOptions.svelte';
	import PartSteps from './PartSteps.svelte';

	interface Props extends Omit<ComponentProps<typeof PartOptions>, 'part' | 'technique' | 'plan'> {
		part: Part;
		technique: Technique;
		plan: SpokenPlan;
		/** How it belongs to other parts, and what is amiss with that. */
		ties: readonly { readonly text: string; readonly isAmiss: boolean }[];
		/** What it is dragged by. */
		handle: Snippet;
		onsetting: (parameter: string, value: number, usual: number) => void;
		onmove: (by: -1 | 1) => void;
		onremove: () => void;
	}
	const { part, technique, plan, ties, handle, onsetting, onmove, onremove, ...options }: Props = $props();

	const planned = $derived(plan.parts.filter((p) => (p.of ?? p.id) === part.id));
	const own = $derived(new Set(planned.map((p) => p.id)));
	const steps = $derived(plan.steps.filter((s) => own.has(s.part)).toSorted((a, b) => a.from - b.from));
	const sum = (of: (s: (typeof steps)[number]) => number) => steps.reduce((total, s) => total + of(s), 0);
	const hands = $derived(sum((s) => s.hands.reduce((t, h) => t + h.to - h.from, 0)));
	const first = $derived(steps[0]);
	/** What the named way brings, and what the planner's choice does. */
	const tags = $derived(
		part.allergens ?? [
			...new Set<string>([...allergensOf(technique, part.settings), ...planned.flatMap((p) => p.allergens ?? [])])
		]
	);
	const taken = $derived(planned[0]?.technique);
	const takenName = $derived(options.others.find((t) => t.id === taken)?.name);
	const before = $derived(planned.find((p) => p.before !== undefined)?.before);
	/** What was unfolded once; what is folded is not drawn: forty parts would take half a second. */
	let unfolded = $state({ steps: false, options: false });
	const isChosen = $derived(part.choose === true && takenName !== undefined);
</script>

<article id={part.id}>
	<div class="grip">{@render handle()}<Swatch tone={part.tone} /></div>
	<div class="what">
		<h3>
			{part.name}{#if part.covers}<span class="soft many">for {part.covers}</span>{/if}
		</h3>
		{#if isChosen}<p class="soft">the planner’s choice: {takenName}</p>
		{:else if technique.name !== part.name}<p class="soft">{technique.name}</p>{/if}
		{#each ties as { text, isAmiss } (text)}<p class={isAmiss ? 'tags' : 'soft'}>{text}</p>{/each}
		{#if tags.length > 0}<p class="tags">contains {tags.join(', ')}</p>{/if}
	</div>
	<div class="settings">
		{#each technique.parameters as p (p.id)}
			<ParameterField
				parameter={p}
				measure={options.measure}
				value={part.settings[p.id] ?? p.usual}
				onchange={(value) => {
					onsetting(p.id, value, p.usual);
				}}
			/>
		{/each}
	</div>
	<div class="tools">
		<button
			type="button"
			aria-label="{part.name}: earlier on the plate"
			onclick={() => {
				onmove(-1);
			}}><ArrowUp size={16} /></button
		>
		<button
			type="button"
			aria-label="{part.name}: later on the plate"
			onclick={() => {
				onmove(1);
			}}><ArrowDown size={16} /></button
		>
		<button type="button" aria-label="Leave out {part.name}" onclick={onremove}><Trash2 size={16} /></button>
	</div>
	<div class="folds">
		<details
			ontoggle={(event) => {
				if (event.currentTarget.open) unfolded.steps = true;
			}}
		>
			<summary>
				{#if first}
					<strong>{formatDuration(sum((s) => s.to - s.from))}</strong>
					<span class="soft">({formatDuration(sum((s) => s.shortest))} to {formatDuration(sum((s) => s.longest))})</span
					>
					· {hands < 30 ? 'no hands' : `${formatDuration(hands)} of hands`} · from {formatClock(first.from)}
					{#if before}· <span class="soft">made before, {before}</span>{/if}
				{:else}
					not planned yet
				{/if}
			</summary>
			{#if unfolded.steps}<PartSteps {part} {technique} covers={part.covers ?? options.covers} {steps} />{/if}
		</details>
		<details
			ontoggle={(event) => {
				if (event.currentTarget.open) unfolded.options = true;
			}}
		>
			<summary aria-label="{part.name}: more">
				Ways, wishes, ahead …
				{#if part.wishes?.length}<span class="soft">{part.wishes.map((w) => `${w.covers} ${w.name}`).join(', ')}</span
					>{/if}
			</summary>
			{#if unfolded.options}<PartOptions {part} {technique} {plan} {...options} />{/if}
		</details>
	</div>
</article>

<style>
	article {
		display: grid;
		grid-template-columns: auto minmax(10rem, 1fr) auto;
		align-items: start;
		gap: var(--space-1) var(--space-3);
		padding: var(--space-2) var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	article:target {
		outline: 3px solid var(--herb-fill);
	}
	.grip,
	.tools {
		display: flex;
		align-items: center;
		min-height: var(--touch);
	}
	.what {
		padding-top: var(--space-1);
		overflow-wrap: anywhere;
	}
	.many {
		margin-left: 0.3em;
	}
	.soft {
		color: var(--ink-soft);
		font-weight: 400;
	}
	.what .soft,
	.tags,
	summary {
		font-size: var(--text-s);
	}
	.tags {
		color: var(--saffron-ink);
	}
	.settings {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1) var(--space-3);
		grid-column: 2 / -1;
	}
	.folds {
		display: flex;
		flex-wrap: wrap;
		gap: 0 var(--space-5);
		grid-column: 2 / -1;
	}
	details[open] {
		flex: 1 0 100%;
		min-width: 0;
	}
	summary {
		min-height: 28px;
		padding: 3px 0;
		cursor: pointer;
	}
	.tools {
		grid-column: 3;
		grid-row: 1;
	}
	.tools button {
		padding: 0;
		border-color: transparent;
		background: transparent;
	}
	@media (max-width: 700px) {
		article {
			grid-template-columns: auto 1fr;
			padding: var(--space-2);
		}
		.settings,
		.folds {
			grid-column: 1 / -1;
		}
		.tools {
			grid-column: 1 / -1;
			grid-row: auto;
			justify-content: flex-end;
		}
	}
</style>
