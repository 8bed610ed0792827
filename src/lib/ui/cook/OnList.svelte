<!-- What is on: timers that belong to steps, each with what it will want next. -->
<script lang="ts">
	import type { OnNow } from '../../core/run/view';
	import type { SpokenCue } from '../../core/words/speak';
	import { formatClock, formatCount } from '../../core/units/time';

	interface Props {
		on: readonly (Omit<OnNow, 'next'> & { readonly say: string; readonly next: SpokenCue | undefined })[];
		clock: number;
		toneOf: (part: string) => number;
		/** What clocks show at a time of the plan. */
		wallOf: (clock: number) => number;
		onstretch: (step: string, seconds: number) => void;
	}
	const { on, clock, toneOf, wallOf, onstretch }: Props = $props();
</script>

<ul>
	{#each on as { step, say, next, ends } (step.id)}
		{@const at = next?.at ?? ends}
		<li style:--tone="var(--tone-{toneOf(step.part)})">
			<p class="left" data-late={clock > at}>{clock > at ? '+' : ''}{formatCount(at - clock)}</p>
			<div>
				<p class="say">{say}</p>
				<p class="then">{next ? next.say : 'done by itself'} at {formatClock(wallOf(at))}</p>
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
		gap: var(--space-2);
		padding: var(--space-1) var(--space-2);
		border-left: 8px solid var(--tone, var(--rim));
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.left {
		font-size: var(--text-l);
		font-weight: 700;
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
		min-width: 52px;
		min-height: 52px;
	}
	.none {
		display: block;
		padding: var(--space-3);
		color: var(--ink-soft);
	}
</style>
