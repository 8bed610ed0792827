<!-- What would help: each change really planned, the one that gains most for what it costs the cook first. -->
<script lang="ts">
	import { ranked } from '../../core/plan/advise/rank';
	import type { WhatIf } from '../../core/plan/advise/what-if';
	import type { SpokenWhatIf } from '../../state/planning.svelte';

	interface Props {
		/** Absent: nobody asked. */
		found: readonly SpokenWhatIf[] | undefined;
		isTrying: boolean;
		canAsk: boolean;
		onask: () => void;
		onapply: (change: NonNullable<WhatIf['apply']>) => void;
	}
	const { found, isTrying, canAsk, onask, onapply }: Props = $props();

	const most = 10;
	const useful = $derived(ranked(found ?? []).filter((f) => f.wordedEffect !== ''));
	const useless = $derived((found?.length ?? 0) - useful.length);
</script>

<section aria-label="What would help">
	<header>
		<h2>What would help?</h2>
		<button type="button" disabled={!canAsk || isTrying} onclick={onask}>
			{isTrying ? 'Trying …' : found ? 'Try again' : 'Try what would help'}
		</button>
	</header>
	{#if found}
		<ol>
			{#each useful.slice(0, most) as what (what.id)}
				<li>
					<span class="say">{what.say}</span>
					<span class="effect">{what.wordedEffect}</span>
					{#if what.apply}
						{@const change = what.apply}
						<button
							type="button"
							aria-label="Apply: {what.say}"
							onclick={() => {
								onapply(change);
							}}>Apply</button
						>
					{/if}
				</li>
			{/each}
		</ol>
		<p role="status">
			{found.length} changes planned{useless > 0 ? `; ${useless} of them show no gain` : ''}{isTrying
				? ', more to come'
				: ''}.
		</p>
	{/if}
</section>

<style>
	section {
		margin-top: var(--space-4);
	}
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-4);
	}
	ol {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(30rem, 100%), 1fr));
		gap: 3px var(--space-3);
		margin-top: var(--space-2);
	}
	li {
		display: grid;
		grid-template-columns: 1fr auto;
		align-items: center;
		gap: 0 var(--space-3);
		min-height: 56px;
		padding: var(--space-1) var(--space-3);
		border-left: 6px solid var(--herb-fill);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.say {
		font-weight: 600;
	}
	.say::first-letter {
		text-transform: uppercase;
	}
	.effect {
		grid-row: 2;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	li button {
		grid-row: 1 / 3;
		grid-column: 2;
	}
	p {
		margin-top: var(--space-1);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
