<!-- What to do now, to be read from two metres and touched with a wet knuckle. -->
<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import type { SpokenCue } from '../../core/words/speak';
	import type { HowFar } from '../../core/run/looks';
	import { formatCount } from '../../core/units/time';

	interface Props {
		cue: SpokenCue;
		/** Its digit on the keyboard. */
		digit: number;
		clock: number;
		tone: number | undefined;
		partName: string;
		/** What guests must know of. */
		allergens: readonly string[];
		/** What goes in, and what has to stand ready before it is begun. */
		taken: readonly string[];
		ready: readonly string[];
		/** Whose step it is; empty where there is one cook. */
		cook: string;
		/** Guests whom it is not for, and why, in few words. */
		notFor: readonly string[];
		/** What is seen of it, where the evening is only played. */
		seen?: string | undefined;
		ondone: () => void;
		/** It is looked at, and not done: how far it is. Absent: there is nothing to look at. */
		onnot?: ((how: NonNullable<HowFar>) => void) | undefined;
	}
	const { cue, digit, clock, tone, partName, allergens, taken, ready, cook, notFor, seen, ondone, onnot }: Props =
		$props();

	const isLook = $derived(cue.kind === 'look');
	const notYet = [
		{ how: 'nearly', words: 'Nearly' },
		{ how: 'half way', words: 'Half way' },
		{ how: 'far', words: 'Far from it' }
	] as const;

	const isBusy = $derived(cue.until - cue.at > 90);
	const left = $derived(cue.until - clock);
	const late = $derived(clock - cue.at);
</script>

<article style:--tone={tone === undefined ? 'var(--ink)' : `var(--tone-${tone})`} data-late={!isBusy && late > 60}>
	<div>
		<p class="part">
			<span class="digit">{digit}</span>{#if cook !== ''}<strong>{cook}</strong
				>{/if}{partName}{#if allergens.length > 0}<span class="tags">contains {allergens.join(', ')}</span
				>{/if}{#each notFor as words, i (i)}<span class="tags">{words}</span>{/each}
		</p>
		<h3>{cue.say}</h3>
		{#if cue.where !== ''}<p class="where">{cue.where}</p>{/if}
		{#if ready.length > 0}<p class="ready">
				Before you start: {ready.join(' · ')}. Once begun it cannot be left.
			</p>{:else if taken.length > 0}<p class="ready">{taken.join(' · ')}</p>{/if}
		{#if cue.sign}<p class="sign">{cue.sign}</p>{/if}
		{#if seen !== undefined}<p class="seen">You see: {seen === 'far' ? 'far from it' : seen}.</p>{/if}
		{#each cue.cautions as caution, i (i)}<p class="caution">{caution}</p>{/each}
	</div>
	<div class="act">
		<p class="count">
			{#if isBusy}{left >= 0 ? `${formatCount(left)} left` : `${formatCount(left)} over`}{:else if late > 20}since {formatCount(
					late
				)}{:else}now{/if}
		</p>
		<button class="done" type="button" onclick={ondone} aria-label="{isLook ? 'It is' : 'Done'}: {cue.say}"
			><Check size={30} aria-hidden="true" /> {isLook ? 'It is' : 'Done'}</button
		>
	</div>
	{#if onnot}
		<div class="not" role="group" aria-label="Not yet: {cue.say}">
			<span>Not yet:</span>
			{#each notYet as { how, words } (how)}
				<button
					type="button"
					onclick={() => {
						onnot(how);
					}}>{words}</button
				>
			{/each}
		</div>
	{/if}
</article>

<style>
	article {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: var(--space-3);
		padding: var(--space-3) var(--space-4);
		border-left: 12px solid var(--tone);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.part {
		display: flex;
		align-items: center;
		gap: var(--space-2);
		color: var(--ink-soft);
	}
	.digit {
		min-width: 1.6em;
		border: 1.5px solid var(--rim);
		border-radius: 6px;
		text-align: center;
		font-size: var(--text-s);
	}
	.tags {
		color: var(--saffron-ink);
		font-size: var(--text-s);
	}
	h3 {
		font-size: clamp(1.5rem, 3vw, 2.1rem);
		line-height: 1.15;
	}
	article:first-child h3 {
		font-size: clamp(1.7rem, 3.4vw, 2.7rem);
	}
	.where {
		margin-top: var(--space-1);
		font-size: var(--text-l);
	}
	.ready {
		margin-top: var(--space-1);
		font-size: 1.1rem;
	}
	.sign {
		margin-top: var(--space-1);
		color: var(--herb);
		font-size: 1.1rem;
	}
	.seen {
		font-size: var(--text-l);
		font-weight: 700;
	}
	.caution {
		color: var(--alarm);
	}
	.act {
		display: flex;
		flex-direction: column;
		align-items: flex-end;
		justify-content: space-between;
		gap: var(--space-2);
	}
	.count {
		font-size: var(--text-l);
		font-weight: 700;
	}
	article[data-late='true'] .count {
		color: var(--alarm);
	}
	.not {
		display: flex;
		flex-wrap: wrap;
		grid-column: 1 / -1;
		align-items: center;
		gap: var(--space-2);
		font-size: var(--text-l);
	}
	.not button {
		flex: 1 1 7rem;
		min-height: var(--touch-cook);
		font-size: var(--text-l);
	}
	.done {
		min-height: var(--touch-cook);
		min-width: 8.5rem;
		border: 0;
		background: var(--herb-fill);
		color: #fff;
		font-size: var(--text-l);
		font-weight: 700;
	}
	.done:hover:not(:disabled) {
		background: var(--herb-fill);
		filter: brightness(1.1);
	}
	@media (max-width: 560px) {
		article {
			grid-template-columns: 1fr;
		}
		.act {
			flex-direction: row;
			align-items: center;
		}
	}
</style>
