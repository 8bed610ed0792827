<!-- How likely the plan is on time: evenings played in the background, who is to blame, and what room would bring. -->
<script lang="ts">
	import { bestBuy, worthWhile, type RoomOffer } from '../../core/rehearse/offers';
	import type { How } from '../../core/rehearse/how';
	import { usualTolerance } from '../../core/rehearse/usual';
	import type { Eaten } from '../../core/rehearse/eaten';
	import { inUnits } from '../../core/words/quantities';
	import type { Measure } from '../../core/units/amount';
	import { formatDuration } from '../../core/units/time';
	import {
		inHundred,
		wordBlame,
		wordEaten,
		wordMishaps,
		wordOnTime,
		wordPlaying,
		wordPriceOfRoom,
		wordRoom,
		wordSure,
		wordWait
	} from '../../core/words/odds';
	import type { SpokenPlan } from '../../core/words/speak';
	import type { Rehearsing } from '../../state/rehearsing.svelte';
	import CourseOdds from './CourseOdds.svelte';
	import PricedList from './PricedList.svelte';

	interface Props {
		rehearsing: Rehearsing;
		plan: SpokenPlan;
		onplay: (how: How) => void;
		/** °C at the first bite after so long a wait, where it is eaten hot. */
		measure: Measure;
		eaten: (part: string, wait: number) => Eaten | undefined;
		onchoose: (step: string) => void;
		onapply: (offer: RoomOffer) => void;
	}
	const { rehearsing, plan, onplay, measure, eaten, onchoose, onapply }: Props = $props();

	const { odds, offers, blame, how } = $derived(rehearsing);
	const ways = [
		['hold', 'as planned'],
		['early', 'as soon as they can'],
		['replan', 'as replanned on the way']
	] as const;
	const rates = [0, 1, 3];
	const mostBlamed = 4;
	const shown = $derived(worthWhile(offers, odds?.onTime ?? 1));
	const best = $derived(bestBuy(shown, odds?.onTime ?? 1, plan.from));
	const nameOf = (id: string | undefined) => plan.parts.find((p) => (p.of ?? p.id) === id)?.name;
	/** How long each part waits for its plate; of batches the one that is ready last. */
	const waits = $derived(
		plan.parts.flatMap((part) => {
			const own = plan.steps.filter((s) => s.part === part.id).flatMap((s) => odds?.waits[s.id] ?? []);
			const least = own.reduce((a, b) => (b.p50 < a.p50 ? b : a), own[0] ?? { p10: 0, p50: 0, p90: 0 });
			return own.length > 0 ? [{ part, wait: least }] : [];
		})
	);
	const items = $derived(
		shown.map((offer) => ({
			id: `${offer.room ?? 'none'} ${offer.part ?? ''}`,
			say: wordRoom(offer.room, nameOf(offer.part)),
			gains: `${inHundred(odds?.onTime ?? 0)} → ${inHundred(offer.onTime)} in 100${offer === best && shown.length > 1 ? ', the most for each minute' : ''}`,
			effect: wordPriceOfRoom(offer, plan.from),
			onapply: () => {
				onapply(offer);
			}
		}))
	);
</script>

<section aria-label="How likely it is" aria-busy={rehearsing.isWorking}>
	<header>
		<h2>How likely?</h2>
		<fieldset>
			<legend>Steps begin</legend>
			{#each ways as [begin, say] (begin)}
				<label>
					<input
						type="radio"
						name="policy"
						checked={how.begin === begin}
						onchange={() => {
							onplay({ ...how, begin });
						}}
					/>{say}
				</label>
			{/each}
		</fieldset>
		<label
			>Mishaps
			<select
				value={how.mishaps}
				onchange={(event) => {
					onplay({ ...how, mishaps: Number(event.currentTarget.value) });
				}}
			>
				{#each rates as rate (rate)}<option value={rate}>{wordMishaps(rate)}</option>{/each}
			</select>
		</label>
	</header>
	{#if odds}
		<p class="chance" role="status">
			<strong>{wordOnTime(odds.onTime)}</strong>
			<span class="soft">(at most {formatDuration(usualTolerance)} late; {wordSure(odds)})</span>
		</p>
		<div class="courses">
			{#each plan.services as s (s.course)}
				{@const own = odds.services[s.course]}
				{#if own}<CourseOdds name={s.name} due={s.due} odds={own} late={odds.late[s.course] ?? []} />{/if}
			{/each}
		</div>
		{#if blame.length > 0}
			<p class="soft">What makes the last course late, on the mean of all evenings:</p>
			<ul>
				{#each blame.slice(0, mostBlamed) as b (b.step)}
					<li>
						<button
							type="button"
							onclick={() => {
								onchoose(b.step);
							}}>{wordBlame(b, plan)}</button
						>
					</li>
				{/each}
			</ul>
		{/if}
		{#if waits.length > 0}
			<details>
				<summary>How long each part waits for its plate, and how it is eaten</summary>
				<dl>
					{#each waits as w (w.part.id)}<div>
							<dt>{w.part.name}</dt>
							<dd>
								{wordWait(w.wait)}{inUnits(
									wordEaten(eaten(w.part.id, w.wait.p50), eaten(w.part.id, w.wait.p90)),
									measure
								)}
							</dd>
						</div>{/each}
				</dl>
			</details>
		{/if}
		{#if shown.length > 0}
			<PricedList {items} />
		{/if}
		{#if rehearsing.isWorking}<p class="soft">More evenings are being played …</p>{/if}
	{:else}
		<p class="soft">{rehearsing.isWorking ? wordPlaying : 'Not rehearsed yet.'}</p>
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
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0 var(--space-3);
		border: 0;
	}
	legend {
		float: left;
		margin-right: var(--space-2);
		color: var(--ink-soft);
		line-height: 44px;
	}
	summary {
		min-height: 44px;
		align-content: center;
	}
	dl {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
		gap: var(--space-1) var(--space-3);
		margin: 0 0 var(--space-2);
	}
	dt {
		font-weight: 600;
	}
	dd {
		margin: 0;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	label {
		display: flex;
		align-items: center;
		gap: var(--space-1);
		min-height: 44px;
	}
	.chance {
		margin: var(--space-1) 0 var(--space-2);
	}
	.chance strong {
		font-size: var(--text-l);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.courses {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-2) var(--space-4);
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1) var(--space-2);
		margin: var(--space-1) 0;
		padding: 0;
		list-style: none;
	}
</style>
