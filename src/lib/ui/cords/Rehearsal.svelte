<!-- How likely the plan is on time: evenings played in the background, who is to blame, and what room would bring. -->
<script lang="ts">
	import { worthWhile, type RoomOffer } from '../../core/rehearse/evening';
	import { formatClock } from '../../core/units/time';
	import {
		inHundred,
		wordBlame,
		wordLate,
		wordOnTime,
		wordPlaying,
		wordPriceOfRoom,
		wordRoom,
		wordSure,
		wordWait
	} from '../../core/words/odds';
	import type { SpokenPlan } from '../../core/words/speak';
	import type { Rehearsing } from '../../state/rehearsing.svelte';
	import { chanceLine } from './chance';

	interface Props {
		rehearsing: Rehearsing;
		plan: SpokenPlan;
		onpolicy: (policy: Rehearsing['policy']) => void;
		onchoose: (step: string) => void;
		onapply: (offer: RoomOffer) => void;
	}
	const { rehearsing, plan, onpolicy, onchoose, onapply }: Props = $props();

	const { odds, offers, blame } = $derived(rehearsing);
	const mostBlamed = 4;
	const shown = $derived(worthWhile(offers, odds?.onTime ?? 1));
	/** How long each part waits for its plate; of batches the one that is ready last. */
	const waits = $derived(
		plan.parts.flatMap((part) => {
			const own = plan.steps.filter((s) => s.part === part.id).flatMap((s) => odds?.waits[s.id] ?? []);
			const least = own.reduce((a, b) => (b.p50 < a.p50 ? b : a), own[0] ?? { p10: 0, p50: 0, p90: 0 });
			return own.length > 0 ? [{ part, wait: least }] : [];
		})
	);
	const [width, height] = [260, 64];
	const courses = $derived(
		plan.services.flatMap((s) => {
			const own = odds?.services[s.course];
			const late = odds?.late[s.course];
			return own && late ? [{ ...s, ...own, line: chanceLine(late, width, height) }] : [];
		})
	);
</script>

<section aria-label="How likely it is" aria-busy={rehearsing.isWorking}>
	<header>
		<h2>How likely?</h2>
		<fieldset>
			<legend>Steps begin</legend>
			{#each [['hold', 'as planned'], ['early', 'as soon as they can']] as const as [policy, say] (policy)}
				<label>
					<input
						type="radio"
						name="policy"
						checked={rehearsing.policy === policy}
						onchange={() => {
							onpolicy(policy);
						}}
					/>{say}
				</label>
			{/each}
		</fieldset>
	</header>
	{#if odds}
		<p class="chance" role="status">
			<strong>{wordOnTime(odds.onTime)}</strong>
			<span class="soft">(at most 2 min late; {wordSure(odds)})</span>
		</p>
		<div class="courses">
			{#each courses as c (c.course)}
				<figure>
					<figcaption>
						<strong>{c.name}</strong>
						{inHundred(c.onTime)} in 100 at {formatClock(c.due)}
						<span class="soft">{wordLate(c.slip)}</span>
					</figcaption>
					<svg viewBox="0 0 {width} {height + 18}" aria-hidden="true">
						<path class="area" d="{c.line.path} L{width} {height} L0 {height} Z" />
						<path class="line" d={c.line.path} />
						<line class="ground" x1="0" x2={width} y1={height} y2={height} />
						{#each c.line.ticks as t (t.seconds)}
							<line class="tick" x1={t.x} x2={t.x} y1={height} y2={height + 4} />
							<text x={t.x} y={height + 16} text-anchor={t.x === 0 ? 'start' : t.x === width ? 'end' : 'middle'}
								>{formatClock(c.due + t.seconds)}</text
							>
						{/each}
					</svg>
				</figure>
			{/each}
		</div>
		{#if blame.length > 0}
			<p class="soft">What makes the last course late, on the mean:</p>
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
				<summary>How long each part waits for its plate</summary>
				<dl>
					{#each waits as w (w.part.id)}<div>
							<dt>{w.part.name}</dt>
							<dd>{wordWait(w.wait)}</dd>
						</div>{/each}
				</dl>
			</details>
		{/if}
		{#if shown.length > 0}
			<ol>
				{#each shown as offer (offer.room ?? 'none')}
					<li>
						<span
							><strong>{wordRoom(offer.room)}</strong>: {inHundred(odds.onTime)} → {inHundred(offer.onTime)} in 100</span
						>
						<span class="soft">{wordPriceOfRoom(offer, plan.from)}</span>
						<button
							type="button"
							aria-label="Apply: {wordRoom(offer.room)}"
							onclick={() => {
								onapply(offer);
							}}>Apply</button
						>
					</li>
				{/each}
			</ol>
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
	figure {
		flex: 0 1 22rem;
		margin: 0;
	}
	figcaption .soft {
		display: block;
	}
	svg {
		width: 100%;
		max-width: 26rem;
	}
	.area {
		fill: var(--herb-fill);
		opacity: 0.25;
	}
	.line {
		fill: none;
		stroke: var(--herb-fill);
		stroke-width: 2.5;
	}
	.ground,
	.tick {
		stroke: var(--ink-soft);
	}
	text {
		fill: var(--ink-soft);
		font-size: 11px;
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1) var(--space-2);
		margin: var(--space-1) 0;
		padding: 0;
		list-style: none;
	}
	ol {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(30rem, 100%), 1fr));
		gap: 3px var(--space-3);
		margin: var(--space-2) 0 0;
		padding: 0;
		list-style: none;
	}
	ol li {
		display: grid;
		grid-template-columns: 1fr auto;
		align-items: center;
		min-height: 56px;
		padding: var(--space-1) var(--space-3);
		border-left: 6px solid var(--herb-fill);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	ol li button {
		grid-row: 1 / 3;
		grid-column: 2;
	}
</style>
