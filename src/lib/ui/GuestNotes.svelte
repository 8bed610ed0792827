<!-- What is not for whom, and what would mend it, to be put in force at a touch. -->
<script lang="ts">
	import type { Meal } from '../core/model/meal';
	import type { Clash } from '../core/model/plan';
	import type { Technique } from '../core/model/technique';
	import { offersFor } from '../core/plan/advise/guest-offers';
	import type { Measure } from '../core/units/amount';
	import { wordClash, wordGuestOffer } from '../core/words/guests';
	import { inUnits } from '../core/words/quantities';

	interface Props {
		clashes: readonly Clash[];
		meal: Meal;
		techniques: ReadonlyMap<string, Technique>;
		measure: Measure;
		onapply: (meal: Meal) => void;
	}
	const { clashes, meal, techniques, measure, onapply }: Props = $props();

	const said = $derived(
		clashes.map((clash) => ({
			id: `${clash.guest} ${clash.part} ${clash.why.kind} ${clash.why.kind === 'risk' ? clash.why.care.kind : ''}`,
			say: inUnits(wordClash(clash), measure),
			offers: offersFor(clash, meal, techniques).map((offer) => ({
				...offer,
				say: inUnits(wordGuestOffer(offer), measure)
			}))
		}))
	);
</script>

<ul aria-label="Not for everybody">
	{#each said as { id, say, offers } (id)}
		<li>
			<p>{say}</p>
			{#each offers as offer (offer.id)}
				<button
					type="button"
					aria-label="Apply: {offer.say}"
					onclick={() => {
						onapply(offer.meal);
					}}>{offer.say}</button
				>
			{/each}
		</li>
	{/each}
</ul>

<style>
	ul {
		display: grid;
		gap: var(--space-2);
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-2);
		padding: var(--space-2) var(--space-3);
		border-left: 6px solid var(--alarm);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	p {
		flex: 1 1 14rem;
	}
</style>
