<!-- A technique as it is: when to choose it, what it asks of the cook, its steps, how it keeps. -->
<script lang="ts">
	import type { Step, Technique } from '../../core/model/technique';
	import { formatDuration } from '../../core/units/time';
	import { wordUnfilled } from '../../core/words/steps';
	import { getUnits } from '../units';

	interface Props {
		technique: Technique;
	}
	const { technique }: Props = $props();
	const units = getUnits();
	const say = (text: string) => units.say(wordUnfilled(text));

	const hands = ({ hands: h }: Step) =>
		h.kind === 'whole'
			? 'both hands'
			: h.kind === 'none'
				? 'no hands'
				: `${h.at.length + (h.every ? 1 : 0)} ${h.at.length === 1 && !h.every ? 'touch' : 'touches'}`;
	const time = ({ time: t }: Step) =>
		t.model ? 'computed' : t.usual === undefined ? '' : `${formatDuration(t.usual)} (estimate)`;
	const where = ({ need }: Step) =>
		need === undefined ? '' : need.kind === 'oven' ? `oven, ${need.settings.join(' or ')} °C` : need.kind;
	const wait = (step: Step) =>
		step.after
			.filter((a) => a.most !== undefined)
			.map(
				(a) => `within ${formatDuration(a.most ?? 0)} of “${technique.steps.find((s) => s.id === a.step)?.say ?? ''}”`
			)
			.join(', ');
</script>

{#if technique.about}<p>{say(technique.about)}</p>{/if}
<dl>
	{#each technique.parameters as p (p.id)}
		<div>
			<dt>{p.name}</dt>
			<dd>
				{p.options
					? p.options.map((o) => (o.value === p.usual ? `${o.say} (usual)` : o.say)).join(' · ')
					: say(`${p.least} to ${p.most} ${p.unit}, usually ${p.usual} ${p.unit}`)}{#if p.why}<span class="soft"
						>: {p.why}</span
					>{/if}
			</dd>
		</div>
	{/each}
	<div>
		<dt>Keeps</dt>
		<dd>
			{technique.plate.free < 60 ? 'goes at once' : `${formatDuration(technique.plate.free)} as it should be`},
			{formatDuration(technique.plate.most)} at the most; {say(technique.plate.keep)}{#if technique.ahead}<span
					class="soft">. Before the evening: {say(technique.ahead.how)}, by {say(technique.ahead.source)}</span
				>{/if}
		</dd>
	</div>
</dl>
<ol>
	{#each technique.steps as step (step.id)}
		<li>
			<strong>{say(step.say)}</strong>
			<span class="soft"
				>{say(
					[time(step), where(step), hands(step), step.heat ?? '', wait(step), step.when ? 'only where chosen' : '']
						.filter(Boolean)
						.join(' · ')
				)}</span
			>
			{#if step.sign}<span class="sign">{say(step.sign)}</span>{/if}
			{#each step.cautions ?? [] as caution, i (i)}<span class="caution">{say(caution)}</span>{/each}
		</li>
	{/each}
</ol>

<style>
	dl {
		display: grid;
		gap: 2px;
		margin: var(--space-2) 0;
		font-size: var(--text-s);
	}
	dl div {
		display: grid;
		grid-template-columns: 8rem 1fr;
	}
	dt,
	.soft {
		color: var(--ink-soft);
	}
	li {
		display: grid;
		padding: var(--space-2) 0;
		border-top: 1px solid var(--rim);
	}
	li .soft,
	.sign,
	.caution {
		font-size: var(--text-s);
	}
	.sign {
		color: var(--herb);
	}
	.caution {
		color: var(--saffron-ink);
	}
</style>
