<!-- Everything about one step of the plan. -->
<script lang="ts">
	import type { Bowl } from '../../core/model/bowls';
	import { wordReady, wordTaken } from '../../core/words/amounts';
	import { wordInto } from '../../core/words/steps';
	import { lookAt } from '../../core/run/cues';
	import type { Fan } from '../../core/rehearse/rehearse';
	import { getUnits } from '../units';
	import type { SpokenPlan } from '../../core/words/speak';
	import { formatClock, formatDuration, formatToService } from '../../core/units/time';
	import Swatch from '../Swatch.svelte';

	interface Props {
		plan: SpokenPlan;
		/** Id of the step. */
		step: string | undefined;
		/** How much later it may be, in words, once that is known. */
		slack?: string | undefined;
		/** When it ends in evenings that were played, clock times. */
		fan?: Fan | undefined;
		/** What is set out for its steps. */
		bowls: readonly Bowl[];
	}
	const { plan, step: id, slack, bowls, fan }: Props = $props();

	const step = $derived(plan.steps.find((s) => s.id === id));
	const part = $derived(plan.parts.find((p) => p.id === step?.part));
	const into = $derived(part && wordInto(part, plan));
	const lane = $derived(plan.lanes.find((l) => l.id === step?.lane));
	const service = $derived(plan.services.find((s) => s.course === part?.course));
	const isLast = $derived(part !== undefined && step?.to === part.ready);
	const place = $derived([lane?.name, step?.heat, step?.vessel].filter(Boolean).join(' · '));
	const hands = $derived(step?.hands.filter((h) => !h.whole) ?? []);
	/** When to look before its time. */
	const look = $derived(step ? lookAt(step) : undefined);
	const isWhole = $derived(step?.hands.some((h) => h.whole) ?? false);
	const units = getUnits();
	const taken = $derived(step ? wordTaken(step, plan, bowls).map((w) => units.say(w)) : []);
	const ready = $derived(step ? wordReady(step, plan, bowls).map((w) => units.say(w)) : []);
	/** Whose hands they are, where there are several cooks. */
	const whose = $derived(plan.cooks.length > 1 ? [...new Set(step?.hands.map((h) => h.cook))] : []);
</script>

<section class="card" aria-live="polite" aria-label="The step">
	{#if step && part && service}
		<header>
			<Swatch tone={part.tone} />
			<h2>{step.say}</h2>
			<p class="of">{part.name}</p>
		</header>
		<dl>
			<div>
				<dt>When</dt>
				<dd>
					<strong>{formatClock(step.from)}–{formatClock(step.to)}</strong>
					<span class="soft">{formatToService(service.at - step.from)} min to {service.name.toLowerCase()}</span>
				</dd>
			</div>
			<div>
				<dt>Takes</dt>
				<dd>
					<strong>{formatDuration(step.to - step.from)}</strong>
					<span class="soft">between {formatDuration(step.shortest)} and {formatDuration(step.longest)}</span>
					{#if fan && fan.p90 - fan.p10 >= 60}
						<span class="soft"
							>in four evenings of five it ends between {formatClock(fan.p10)} and {formatClock(fan.p90)}</span
						>
					{/if}
					{#if step.reason}
						<details>
							<summary>why so long</summary>
							<p>{step.reason.from}.</p>
							<p class="soft">{step.reason.model}. {step.reason.off}.</p>
						</details>
					{/if}
				</dd>
			</div>
			<div>
				<dt>Where</dt>
				<dd>
					{place === '' ? 'anywhere' : place}
					{#if step.setPoint}<span class="soft">{step.setPoint}</span>{/if}
				</dd>
			</div>
			<div>
				<dt>Hands</dt>
				<dd>
					{#if whose.length > 0}<b>{whose.map((c) => plan.cooks.find((k) => k.id === c)?.name ?? c).join(', ')}</b>{/if}
					{#if isWhole}all the time{#if step.bound}: <strong class="bound">once begun it cannot be left</strong
							>{/if}{:else if hands.length === 0}none{:else}
						<ul>
							{#each hands as hand, i (i)}<li><b>{formatClock(hand.from)}</b> {hand.say}</li>{/each}
						</ul>
					{/if}
				</dd>
			</div>
			{#if ready.length > 0}
				<div>
					<dt>Before you start</dt>
					<dd>{ready.join(' · ')}</dd>
				</div>
			{:else if taken.length > 0}
				<div>
					<dt>Takes in</dt>
					<dd>{taken.join(' · ')}</dd>
				</div>
			{/if}
			{#if step.sign}
				<div>
					<dt>Sign</dt>
					<dd>
						{step.sign}
						{#if look !== undefined}<span class="soft">look from {formatClock(look)}</span>{/if}
					</dd>
				</div>
			{/if}
			{#if step.climb}
				<div>
					<dt>Climbs</dt>
					<dd>{step.climb}</dd>
				</div>
			{/if}
			<div>
				<dt>Not later</dt>
				<dd>
					{step.heldBy}
					{#if slack}<span class="soft">{slack}</span>{/if}
				</dd>
			</div>
			{#if isLast}
				<div>
					<dt>Then</dt>
					<dd>
						{#if into !== undefined}into {into}{:else if part.wait < 60}straight to the plate{:else}waits {formatDuration(
								part.wait
							)}
							{part.keep}{part.drawer ? `, in the ${part.drawer.toLowerCase()}` : ''};
							{part.wait <= part.free
								? 'it loses nothing'
								: `${formatDuration(part.wait - part.free)} longer than it likes`}{/if}
					</dd>
				</div>
			{/if}
		</dl>
		{#each step.cautions as caution, i (i)}<p class="caution">{caution}</p>{/each}
	{:else}
		<p class="hint">
			Point at a cord, or press <kbd>Tab</kbd> and then the arrows: here you read what it needs and what keeps it from starting
			later.
		</p>
	{/if}
</section>

<style>
	.card {
		min-height: 8.5rem;
		padding: var(--space-3) var(--space-4);
		border-left: 6px solid var(--rim);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.bound {
		color: var(--saffron-ink);
	}
	header {
		display: flex;
		align-items: baseline;
		flex-wrap: wrap;
		gap: var(--space-2);
	}
	.of,
	.soft,
	.hint {
		color: var(--ink-soft);
	}
	.soft {
		display: block;
		font-size: var(--text-s);
	}
	dl {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: var(--space-2) var(--space-4);
		margin-top: var(--space-2);
	}
	dt {
		color: var(--ink-soft);
		font-size: var(--text-xs);
		font-weight: 600;
	}
	dd {
		font-size: var(--text-s);
	}
	summary {
		color: var(--ink-soft);
		font-size: var(--text-s);
		text-decoration: underline;
		cursor: pointer;
	}
	.caution {
		margin-top: var(--space-2);
		color: var(--alarm);
		font-size: var(--text-s);
	}
	kbd {
		padding: 0 0.35em;
		border: 1px solid var(--rim);
		border-radius: 4px;
		font: inherit;
		font-size: var(--text-s);
	}
</style>
