<!-- Half an hour of the plan, large enough to read beside the stove: bars with words, touched for their card. -->
<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import type { SpokenPlan } from '../../core/words/speak';
	import { formatClock } from '../../core/units/time';
	import { barsOf, beginOf, stretch, stride } from './half-hour';

	interface Props {
		plan: SpokenPlan;
		/** Clock time to show at first: now, where that is in the evening. */
		at: number;
		chosen: string | undefined;
		onchoose: (step: string) => void;
	}
	const { plan, at, chosen, onchoose }: Props = $props();

	/** So many strides from where it begins. */
	let by = $state(0);
	const first = $derived(beginOf(plan, at));
	const begin = $derived(beginOf(plan, first + by * stride));
	const bars = $derived(barsOf(plan, begin));
	const part = (id: string) => plan.parts.find((p) => p.id === id);
	const lane = (id: string) => plan.lanes.find((l) => l.id === id)?.name ?? '';
	const next = (n: number) => beginOf(plan, begin + n * stride);
	const move = (n: number) => {
		by = Math.round((next(n) - first) / stride);
	};
</script>

<section aria-label="Half an hour">
	<header>
		<button
			type="button"
			aria-label="A quarter of an hour earlier"
			disabled={next(-1) === begin}
			onclick={() => {
				move(-1);
			}}><ChevronLeft size={22} /></button
		>
		<h2>{formatClock(begin)}–{formatClock(begin + stretch)}</h2>
		<button
			type="button"
			aria-label="A quarter of an hour later"
			disabled={next(1) === begin}
			onclick={() => {
				move(1);
			}}><ChevronRight size={22} /></button
		>
	</header>
	<ul>
		{#each bars as { step, from, to, isCut, touches } (step.id)}
			{@const own = part(step.part)}
			<li>
				<button
					type="button"
					aria-pressed={chosen === step.id}
					onclick={() => {
						onchoose(step.id);
					}}
				>
					<span class="words"
						><strong>{isCut.before ? '…' : formatClock(step.from)}</strong>
						{step.say}<span class="soft">
							{lane(step.lane)}{own && plan.parts.length > 1 ? ` · ${own.name}` : ''}</span
						></span
					>
					<span class="track" aria-hidden="true">
						<span
							class="bar"
							data-after={isCut.after}
							style:--tone="var(--tone-{own?.tone ?? 0})"
							style:left="{100 * from}%"
							style:width="{100 * (to - from)}%"
						></span>
						{#each touches as t, i (i)}<span class="touch" style:left="{100 * t}%"></span>{/each}
					</span>
				</button>
			</li>
		{:else}
			<li class="soft">Nothing is on.</li>
		{/each}
	</ul>
</section>

<style>
	section {
		margin-top: var(--space-3);
	}
	header {
		display: flex;
		align-items: center;
		justify-content: space-between;
		gap: var(--space-2);
	}
	header button {
		padding: 0;
	}
	ul {
		display: grid;
		gap: 2px;
		margin-top: var(--space-2);
	}
	li button {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		justify-content: stretch;
		justify-items: stretch;
		gap: 4px;
		width: 100%;
		min-height: 56px;
		padding: var(--space-1) var(--space-2);
		border-color: transparent;
		background: var(--enamel);
		text-align: left;
		font-weight: 400;
	}
	li button[aria-pressed='true'] {
		border-color: var(--ink);
	}
	.words {
		overflow-wrap: anywhere;
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.words .soft {
		display: block;
	}
	.track {
		position: relative;
		display: block;
		height: 14px;
		border-radius: 7px;
		background: var(--rim);
	}
	.bar {
		position: absolute;
		inset-block: 0;
		border-radius: 7px;
		background: var(--tone);
	}
	.bar[data-after='true'] {
		border-start-end-radius: 0;
		border-end-end-radius: 0;
	}
	.touch {
		position: absolute;
		top: 2px;
		width: 10px;
		height: 10px;
		margin-left: -5px;
		border: 1.5px solid var(--ink);
		border-radius: 50%;
		background: var(--saffron);
	}
	@media (min-width: 901px) {
		section {
			display: none;
		}
	}
</style>
