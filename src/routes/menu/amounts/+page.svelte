<!-- Shopping and bowls: what to buy, and what to set out, in the order in which it is used. -->
<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import { asPlanned } from '$lib/core/plan/describe/as-planned';
	import { bowlsOf } from '$lib/core/model/bowls';
	import { shoppingOf } from '$lib/core/model/quantities';
	import { printAmount } from '$lib/core/units/amount';
	import { wordBought, wordRatio } from '$lib/core/words/amounts';
	import { getUnits } from '$lib/ui/units';
	import { formatClock } from '$lib/core/units/time';
	import { getApp } from '$lib/state/app.svelte';
	import { download } from '$lib/ui/download';
	import { bowlAt, bowlRows, csvOf, shoppingRows } from '$lib/ui/menu/lists';

	const app = getApp();
	const { measure } = app;
	const units = getUnits();
	const plan = $derived(app.planning.plan);
	const meal = $derived(asPlanned(app.meal, plan));
	const lines = $derived(shoppingOf(meal, app.techniques, app.kitchen.learnt));
	const bowls = $derived(
		bowlsOf(meal, app.techniques, app.kitchen.learnt).toSorted(
			(a, b) => (bowlAt(a, plan) ?? Infinity) - (bowlAt(b, plan) ?? Infinity)
		)
	);
	const aisles = $derived([...new Set(lines.map((l) => l.aisle))]);

	async function save(name: string, rows: readonly (readonly string[])[]): Promise<void> {
		download(`${meal.id}-${name}.csv`, await csvOf(rows), 'text/csv');
	}
</script>

<div class="head">
	<h1>{meal.name}: what it takes</h1>
</div>
{#if lines.length === 0}
	<p class="soft">Nothing to buy yet: parts of the library bring their ingredients.</p>
{:else}
	<div class="columns">
		<section aria-label="Shopping">
			<header>
				<h2>Shopping</h2>
				<button type="button" onclick={() => void save('shopping', shoppingRows(lines, measure.now))}
					><Download size={16} /> Save as CSV</button
				>
			</header>
			<p class="soft">Raw weights for {meal.covers}, trim and cooking loss on top; shared ingredients in one line.</p>
			{#each aisles as aisle (aisle)}
				<h3>{aisle}</h3>
				<table>
					<tbody>
						{#each lines.filter((l) => l.aisle === aisle) as line, i (i)}
							{@const sized = wordBought(line)}
							<tr>
								<th scope="row">{line.name}</th>
								<td class="amount">{printAmount(line.bought, line.unit, line.name, measure.now)}</td>
								<td class="soft"
									>{#if sized !== ''}{units.say(sized)} ·{/if}
									{line.parts.join(', ')}{#if line.allergens.length > 0}<span class="tags"
											>{line.allergens.join(', ')}</span
										>{/if}</td
								>
							</tr>
						{/each}
					</tbody>
				</table>
			{/each}
			{#if plan.fires}
				<h3>fuel</h3>
				<table>
					<tbody>
						{#each plan.fires as f (f.lane)}
							<tr>
								<th scope="row">{f.fuel}</th>
								<td class="amount">{units.say(`${f.kilograms.toFixed(1)} kg`)}</td>
								<td class="soft"
									>{plan.lanes.find((l) => l.id === f.lane)?.name}: lit at {formatClock(f.lit)} with {units.say(
										`${f.toLight} kg`
									)}{f.feed.length > 0 ? `, fed ${f.feed.length} times` : ''}</td
								>
							</tr>
						{/each}
					</tbody>
				</table>
			{/if}
		</section>
		<section aria-label="Bowls">
			<header>
				<h2>Bowls, in the order they are used</h2>
				<button type="button" onclick={() => void save('bowls', bowlRows(bowls, plan, measure.now))}
					><Download size={16} /> Save as CSV</button
				>
			</header>
			<ol>
				{#each bowls as bowl, i (i)}
					{@const at = bowlAt(bowl, plan)}
					<li>
						<p>
							<strong class="clock">{at === undefined ? '—' : formatClock(at)}</strong>
							{bowl.name}: {bowl.say}
						</p>
						<ul>
							{#each bowl.amounts as a, j (j)}
								<li>
									{printAmount(a.used, a.unit, a.name, measure.now)}
									{a.name}
									{#if a.first !== undefined}<span class="soft"
											>to taste: begin with {printAmount(a.first, a.unit, a.name, measure.now)}, keep the rest by</span
										>{/if}
									{#if a.isDamped}<span class="soft">grows less than the people</span>{/if}
									{#if a.allergens.length > 0}<span class="tags">{a.allergens.join(', ')}</span>{/if}
								</li>
							{/each}
						</ul>
						{#if bowl.ratios.length > 0}
							<p class="soft">{bowl.ratios.map(wordRatio).join(' · ')}</p>
						{/if}
					</li>
				{/each}
			</ol>
		</section>
	</div>
{/if}

<style>
	.head,
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-3);
	}
	header {
		justify-content: space-between;
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(26rem, 100%), 1fr));
		gap: var(--space-5);
		margin-top: var(--space-3);
	}
	section {
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	h3 {
		margin-top: var(--space-3);
		font-size: var(--text-s);
		color: var(--copper);
	}
	table {
		width: 100%;
		border-collapse: collapse;
	}
	th,
	td {
		padding: 3px var(--space-2) 3px 0;
		border-top: 1px solid var(--rim);
		text-align: left;
		vertical-align: top;
		font-weight: 400;
	}
	table {
		table-layout: fixed;
	}
	th {
		width: 38%;
	}
	.amount {
		width: 20%;
	}
	.amount {
		white-space: nowrap;
		font-weight: 700;
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.tags {
		color: var(--saffron-ink);
		font-size: var(--text-s);
	}
	td .tags {
		display: block;
	}
	.tags::before {
		content: 'contains ';
	}
	ol > li {
		padding: var(--space-2) 0;
		border-top: 1px solid var(--rim);
	}
	ol ul {
		padding-left: var(--space-5);
		list-style: disc;
	}
	.clock {
		margin-right: var(--space-2);
	}
</style>
