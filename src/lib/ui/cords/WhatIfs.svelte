<!-- What would help: each change really planned, the one that gains most for what it costs the cook first. -->
<script lang="ts">
	import { ranked } from '../../core/plan/advise/rank';
	import type { WhatIf } from '../../core/plan/advise/what-if';
	import type { SpokenWhatIf } from '../../state/planning.svelte';
	import PricedList from './PricedList.svelte';

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
	const items = $derived(
		useful.slice(0, most).map(({ id, say, wordedEffect: effect, apply }) => ({
			id,
			say,
			effect,
			onapply:
				apply &&
				(() => {
					onapply(apply);
				})
		}))
	);
</script>

<section aria-label="What would help">
	<header>
		<h2>What would help?</h2>
		<button type="button" disabled={!canAsk || isTrying} onclick={onask}>
			{isTrying ? 'Trying …' : found ? 'Try again' : 'Try what would help'}
		</button>
	</header>
	{#if found}
		<PricedList {items} />
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
	p {
		margin-top: var(--space-1);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
