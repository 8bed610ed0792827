<!-- The answer: the figure that was asked for large, the others beside it, then the picture, the cautions and the reason. -->
<script lang="ts">
	import type { Answer } from '../../core/questions/question';
	import { speakAnswer } from '../../core/words/answers';
	import { getUnits } from '../units';
	import CurveChart from './CurveChart.svelte';
	import EggDrawing from './EggDrawing.svelte';
	import TrayDrawing from './TrayDrawing.svelte';

	interface Props {
		answer: Answer;
		name: string;
		/** Put it into the meal as a step. */
		onadd: (step: NonNullable<Answer['step']>) => void;
	}
	const { answer: given, name, onadd }: Props = $props();
	const units = getUnits();
	const answer = $derived(speakAnswer(given, units.measure));
	const first = $derived(answer.lines[0]);
</script>

<section class="answer" aria-label="Answer">
	<div role="status">
		{#if answer.trouble}<p class="trouble">{answer.trouble}</p>{/if}
		{#if first}
			<p class="first"><span>{first.say}</span> <strong>{first.value}</strong></p>
		{/if}
	</div>
	<dl>
		{#each answer.lines.slice(1) as line, i (i)}
			<div>
				<dt>{line.say}</dt>
				<dd>{line.value}</dd>
			</div>
		{/each}
	</dl>
	{#if answer.chart}<CurveChart
			chart={answer.chart}
			label="{name}: {answer.lines.map((l) => `${l.say} ${l.value}`).join(', ')}"
		/>{/if}
	{#if answer.drawing?.kind === 'egg'}<EggDrawing drawing={answer.drawing} />{/if}
	{#if answer.drawing?.kind === 'tray'}<TrayDrawing drawing={answer.drawing} />{/if}
	{#each answer.cautions as caution, i (i)}<p class="caution">{caution}</p>{/each}
	<p class="reason">{answer.reason}</p>
	{#if answer.step}
		{@const step = answer.step}
		<button
			type="button"
			onclick={() => {
				onadd(step);
			}}>Put it into the meal as a step</button
		>
	{/if}
</section>

<style>
	.answer {
		display: grid;
		gap: var(--space-3);
		padding: var(--space-4);
		border-left: 6px solid var(--herb-fill);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.first strong {
		display: block;
		font-size: var(--text-xl, 2rem);
		font-variant-numeric: tabular-nums;
		line-height: 1.1;
	}
	.first span,
	dt {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	dl {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
		gap: var(--space-2) var(--space-4);
	}
	dd {
		font-weight: 600;
	}
	.trouble {
		color: var(--alarm);
		font-weight: 700;
	}
	.caution {
		padding-left: var(--space-3);
		border-left: 4px solid var(--saffron);
		font-size: var(--text-s);
	}
	.reason {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	button {
		justify-self: start;
	}
</style>
