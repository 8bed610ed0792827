<!-- What comes next, with the minutes until then. -->
<script lang="ts">
	import type { SpokenCue } from '../../core/words/speak';
	import { formatClock, minute } from '../../core/units/time';

	interface Props {
		next: readonly SpokenCue[];
		clock: number;
		toneOf: (part: string) => number;
		/** What clocks show at a time of the plan. */
		wallOf: (clock: number) => number;
		/** How many to show. */
		count: number;
	}
	const { next, clock, toneOf, wallOf, count }: Props = $props();

	const inMinutes = (at: number) => {
		const minutes = Math.ceil((at - clock) / minute);
		return minutes <= 1 ? 'in a minute' : `in ${minutes} min`;
	};
</script>

<ol>
	{#each next.slice(0, count) as cue (cue.id)}
		<li style:--tone={cue.part === undefined ? 'var(--ink)' : `var(--tone-${toneOf(cue.part)})`}>
			<span class="when">{formatClock(wallOf(cue.at))}</span>
			<span class="say">{cue.say}</span>
			<span class="in">{inMinutes(cue.at)}</span>
		</li>
	{:else}
		<li class="none">Nothing more is to come.</li>
	{/each}
</ol>

<style>
	ol {
		display: grid;
		gap: 2px;
	}
	li {
		display: grid;
		grid-template-columns: 3.4rem 1fr auto;
		gap: var(--space-2);
		padding: var(--space-2);
		border-left: 6px solid var(--tone, var(--rim));
	}
	.when {
		font-weight: 700;
	}
	.in {
		color: var(--ink-soft);
	}
	.none {
		display: block;
		color: var(--ink-soft);
	}
</style>
