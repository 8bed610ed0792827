<!-- What would help: each change really planned, the one that gains most for what it costs the cook first. -->
<script lang="ts">
	import { ranked, rankedByChance } from '../../core/plan/advise/rank';
	import type { WhatIf } from '../../core/plan/advise/what-if';
	import { inHundred } from '../../core/words/odds';
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
	let by: 'minutes' | 'chance' = $state('minutes' as 'minutes' | 'chance');
	const useful = $derived(
		by === 'chance' ? rankedByChance(found ?? []) : ranked(found ?? []).filter((f) => f.wordedEffect !== '')
	);
	const useless = $derived((found?.length ?? 0) - useful.length);
	const items = $derived(
		useful.slice(0, most).map(({ id, say, wordedEffect, chance, apply }) => ({
			id,
			say,
			...(chance && { gains: `${inHundred(chance.before)} → ${inHundred(chance.after)} in 100 on time` }),
			effect: wordedEffect === '' ? 'the plan itself stays as good' : wordedEffect,
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
		{#if found}<label
				>First what gains
				<select bind:value={by}>
					<option value="minutes">most for its trouble</option>
					<option value="chance">most evenings on time</option>
				</select>
			</label>{/if}
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
