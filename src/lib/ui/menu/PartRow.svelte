<!-- One part of the menu: how it is made, how long that takes and why, and what can be changed. -->
<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Part } from '../../core/model/meal';
	import type { Plan } from '../../core/model/plan';
	import type { Technique } from '../../core/model/technique';
	import { formatClock, formatDuration } from '../../core/units/time';
	import Stepper from '../Stepper.svelte';
	import Swatch from '../Swatch.svelte';

	interface Props {
		part: Part;
		technique: Technique;
		/** Techniques of the same kind. */
		others: readonly Technique[];
		covers: number;
		plan: Plan;
		onsetting: (parameter: string, value: number, usual: number) => void;
		ontechnique: (technique: Technique) => void;
		onmove: (by: -1 | 1) => void;
		onremove: () => void;
	}
	const { part, technique, others, covers, plan, onsetting, ontechnique, onmove, onremove }: Props = $props();

	const steps = $derived(plan.steps.filter((s) => s.part === part.id).toSorted((a, b) => a.from - b.from));
	const sum = (of: (s: (typeof steps)[number]) => number) => steps.reduce((total, s) => total + of(s), 0);
	const hands = $derived(sum((s) => s.hands.reduce((t, h) => t + h.to - h.from, 0)));
	const first = $derived(steps[0]);
	const scaled = (id: string) => {
		const scale = technique.steps.find((s) => s.id === id)?.time.scale ?? [];
		const words = scale.map(({ by, exponent }) => {
			const parameter = technique.parameters.find((p) => p.id === by);
			const much = exponent === 1 ? '' : exponent > 1 ? ', more than in step' : ', less than in step';
			return `grows with ${parameter ? parameter.name.toLowerCase() : `the number of people (${covers})`}${much}`;
		});
		return words.join('; ');
	};
</script>

<article id={part.id}>
	<Swatch tone={part.tone} />
	<div class="what">
		<h3>
			{part.name}{#if part.covers}<span class="soft"> for {part.covers}</span>{/if}
		</h3>
		{#if others.length > 1}
			<select
				aria-label="{part.name}: technique"
				value={technique.id}
				onchange={(event) => {
					const chosen = others.find((t) => t.id === event.currentTarget.value);
					if (chosen) ontechnique(chosen);
				}}
			>
				{#each others as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
			</select>
		{:else}
			<p class="soft">{technique.name}</p>
		{/if}
	</div>
	<div class="settings">
		{#each technique.parameters as p (p.id)}
			<Stepper
				label={p.name}
				value={part.settings[p.id] ?? p.usual}
				least={p.least}
				most={p.most}
				step={p.unit === 'mm' ? 1 : p.unit === 'g' ? 10 : 1}
				unit={p.unit}
				onchange={(value) => {
					onsetting(p.id, value, p.usual);
				}}
			/>
		{/each}
	</div>
	<details>
		<summary>
			{#if first}
				<strong>{formatDuration(sum((s) => s.to - s.from))}</strong>
				<span class="soft">({formatDuration(sum((s) => s.shortest))} to {formatDuration(sum((s) => s.longest))})</span>
				· {hands < 30 ? 'no hands' : `${formatDuration(hands)} of hands`} · from {formatClock(first.from)}
			{:else}
				not planned yet
			{/if}
		</summary>
		<table>
			<thead><tr><th>Step</th><th>Takes</th><th>Spread</th><th>Why</th></tr></thead>
			<tbody>
				{#each steps as step (step.id)}
					<tr>
						<td>{step.say}</td>
						<td>{formatDuration(step.to - step.from)}</td>
						<td>{formatDuration(step.shortest)}–{formatDuration(step.longest)}</td>
						<td>
							{#if step.reason}
								{step.reason.from}. <span class="soft">{step.reason.model}. {step.reason.off}.</span>
							{:else}
								{scaled(step.id.slice(part.id.length + 1)) || 'a starting estimate, until your records correct it'}
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</details>
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
</article>

<style>
	article {
		display: grid;
		grid-template-columns: auto minmax(10rem, 1fr) auto auto;
		align-items: center;
		gap: var(--space-1) var(--space-3);
		padding: var(--space-2) var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	article:target {
		outline: 3px solid var(--herb-fill);
	}
	.soft {
		color: var(--ink-soft);
		font-weight: 400;
	}
	.what .soft,
	details {
		font-size: var(--text-s);
	}
	select {
		max-width: 100%;
		min-height: 34px;
		font-size: var(--text-s);
	}
	details {
		grid-column: 2 / -1;
		grid-row: 2;
	}
	summary {
		min-height: 28px;
		cursor: pointer;
	}
	table {
		width: 100%;
		margin-top: var(--space-1);
		border-collapse: collapse;
	}
	th,
	td {
		padding: 3px var(--space-3) 3px 0;
		border-top: 1px solid var(--rim);
		text-align: left;
		vertical-align: top;
	}
	th {
		color: var(--ink-soft);
		font-weight: 400;
	}
	.tools {
		display: flex;
	}
	.tools button {
		padding: 0;
		border-color: transparent;
		background: transparent;
	}
	@media (max-width: 700px) {
		article {
			grid-template-columns: auto 1fr;
		}
		.settings,
		.tools,
		details {
			grid-column: 2;
			grid-row: auto;
		}
		td:last-child,
		th:last-child {
			display: none;
		}
	}
</style>
