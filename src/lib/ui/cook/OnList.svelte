<!-- What is on: each a piece of cord that runs down, with where it is, what it will want, and minutes more or less. -->
<script lang="ts">
	import type { OnNow } from '../../core/run/view';
	import type { SpokenCue } from '../../core/words/speak';
	import { formatClock, formatCount } from '../../core/units/time';

	interface Props {
		on: readonly (Omit<OnNow, 'next'> & {
			readonly say: string;
			readonly where: string;
			readonly next: SpokenCue | undefined;
		})[];
		clock: number;
		toneOf: (part: string) => number;
		/** What clocks show at a time of the plan. */
		wallOf: (clock: number) => number;
		onstretch: (step: string, seconds: number) => void;
	}
	const { on, clock, toneOf, wallOf, onstretch }: Props = $props();

	/** Share of a step that is left at a time, 0 to 1. */
	const left = ({ from, to }: OnNow['step'], at: number) =>
		Math.max(0, Math.min(1, (to - at) / Math.max(1, to - from)));
</script>

<ul>
	{#each on as { step, say, where, next, ends } (step.id)}
		{@const at = next?.at ?? ends}
		<li style:--tone="var(--tone-{toneOf(step.part)})">
			<p class="left" data-late={clock > at}>{clock > at ? '+' : ''}{formatCount(at - clock)}</p>
			<div>
				<p class="say">{say}</p>
				<p class="then">
					{where === '' ? '' : `${where} · `}{next ? next.say : 'done by itself'} at {formatClock(wallOf(at))}
				</p>
			</div>
			<div class="stretch">
				<button
					type="button"
					aria-label="{say}: a minute less"
					onclick={() => {
						onstretch(step.id, -60);
					}}>−1</button
				>
				<button
					type="button"
					aria-label="{say}: a minute more"
					onclick={() => {
						onstretch(step.id, 60);
					}}>+1</button
				>
			</div>
			<span class="cord" data-late={clock > at} aria-hidden="true">
				<span class="rest" style:width="{100 * left(step, clock)}%"></span>
				{#each step.hands.filter((h) => !h.whole && h.from > clock) as h, i (i)}
					<span class="bead" style:right="{100 * (1 - left(step, h.from))}%"></span>
				{/each}
			</span>
		</li>
	{:else}
		<li class="none">Nothing is on.</li>
	{/each}
</ul>

<style>
	ul {
		display: grid;
		gap: var(--space-1);
	}
	li {
		display: grid;
		grid-template-columns: 5.2rem 1fr auto;
		align-items: center;
		gap: 2px var(--space-2);
		padding: var(--space-1) var(--space-2) var(--space-2);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.left {
		font-size: var(--text-xl);
		font-weight: 700;
		line-height: 1;
		text-align: right;
	}
	.left[data-late='true'] {
		color: var(--alarm);
	}
	.say {
		font-weight: 600;
		line-height: 1.2;
	}
	.then {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.stretch {
		display: flex;
		gap: var(--space-1);
	}
	.stretch button {
		min-width: var(--touch-cook);
		min-height: var(--touch-cook);
		font-size: var(--text-l);
	}
	.cord {
		position: relative;
		grid-column: 1 / -1;
		height: 12px;
		border-radius: 6px;
		background: color-mix(in oklab, var(--tone) 18%, transparent);
	}
	.cord[data-late='true'] {
		background: var(--alarm-wash);
	}
	.rest {
		position: absolute;
		right: 0;
		height: 100%;
		border-radius: 6px;
		background: var(--tone);
	}
	.bead {
		position: absolute;
		top: 1px;
		width: 10px;
		height: 10px;
		margin-right: -5px;
		border: 2px solid var(--ink);
		border-radius: 50%;
		background: var(--enamel);
	}
	.none {
		display: block;
		padding: var(--space-3);
		color: var(--ink-soft);
	}
</style>
