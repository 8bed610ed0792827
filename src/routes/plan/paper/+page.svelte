<!-- On paper: the evening as sheets to hang up and to tick, for A4 or Letter; seen as they will be printed. -->
<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { runSheetOf, sheetsByCook, sheetsByStation } from '$lib/core/formats/sheet/run-sheet';
	import { bowlsOf } from '$lib/core/model/bowls';
	import { shoppingOf } from '$lib/core/model/quantities';
	import { asPlanned } from '$lib/core/plan/describe/as-planned';
	import { wordClash } from '$lib/core/words/guests';
	import { inUnits } from '$lib/core/words/quantities';
	import { wordBought } from '$lib/core/words/amounts';
	import { printAmount } from '$lib/core/units/amount';
	import { formatClock } from '$lib/core/units/time';
	import { getApp } from '$lib/state/app.svelte';
	import Cords from '$lib/ui/cords/Cords.svelte';
	import { bowlAt } from '$lib/ui/menu/lists';
	import RunSheet from '$lib/ui/paper/RunSheet.svelte';
	import SheetHead from '$lib/ui/paper/SheetHead.svelte';

	const app = getApp();
	const { planning, measure } = app;
	const plan = $derived(planning.plan);
	const meal = $derived(asPlanned(app.meal, plan));
	const lines = $derived(runSheetOf(plan, measure.now));
	const cooks = $derived(sheetsByCook(lines, plan));
	const stations = $derived(sheetsByStation(lines, plan));
	const shopping = $derived(shoppingOf(meal, app.techniques, app.kitchen.learnt));
	const bowls = $derived(
		bowlsOf(meal, app.techniques, app.kitchen.learnt).toSorted(
			(a, b) => (bowlAt(a, plan) ?? Infinity) - (bowlAt(b, plan) ?? Infinity)
		)
	);
	const aisles = $derived([...new Set(shopping.map((l) => l.aisle))]);
	const own = (text: string) => inUnits(text, measure.now);
	/** Not for everybody; and that it is not the plan of the meal as it is, where that is so. */
	const notes = $derived([
		...(planning.isCurrent && planning.problems.length === 0
			? []
			: ['This is the plan before the last change, not of the meal as it is now.']),
		...new Set(plan.clashes.map((c) => own(wordClash(c))))
	]);
	const sheets = [
		['cords', 'Cords'],
		['run', 'Run sheet'],
		['cooks', 'A sheet for each cook'],
		['stations', 'A sheet for each station'],
		['shopping', 'Shopping'],
		['bowls', 'Bowls']
	] as const;
	type Sheet = (typeof sheets)[number][0];
	const sizes = ['A4', 'Letter'] as const;
	let size: (typeof sizes)[number] = $state('A4');
	let chosen: readonly Sheet[] = $state.raw(['cords', 'run', 'shopping', 'bowls']);
	const under = $derived(
		`${meal.name} for ${meal.covers} · ${plan.services.map((s) => `${s.name} ${formatClock(s.at)}`).join(', ')}`
	);
	// One cook's sheet is the run sheet.
	const offered = $derived(sheets.filter(([id]) => id !== 'cooks' || cooks.length > 1));

	const toggle = (id: Sheet) => {
		chosen = chosen.includes(id) ? chosen.filter((s) => s !== id) : [...chosen, id];
	};
</script>

<div class="choice">
	<h1>On paper</h1>
	<fieldset>
		<legend>Sheets</legend>
		{#each offered as [id, name] (id)}
			<label
				><input
					type="checkbox"
					checked={chosen.includes(id)}
					onchange={() => {
						toggle(id);
					}}
				/>{name}</label
			>
		{/each}
	</fieldset>
	<label
		>Paper
		<select bind:value={size}>
			{#each sizes as s (s)}<option value={s}>{s}</option>{/each}
		</select>
	</label>
	<button
		type="button"
		onclick={() => {
			window.print();
		}}><Printer size={16} /> Print</button
	>
	<a class="button" href="/plan">Back to the plan</a>
</div>
{#if plan.meal !== app.meal.id}
	<p>{app.meal.name} has no plan yet: nothing to print.</p>
{:else}
	<div class="paper" data-size={size}>
		{#if chosen.includes('cords')}
			<section class="sheet wide" aria-label="Cords">
				<SheetHead name={meal.name} {under} />
				<Cords plan={planning.spoken} />
			</section>
		{/if}
		{#if chosen.includes('run')}<RunSheet
				name="Run sheet"
				{under}
				{lines}
				{notes}
				hasCooks={plan.cooks.length > 1}
			/>{/if}
		{#if chosen.includes('cooks')}
			{#each cooks as sheet (sheet.id)}<RunSheet
					name={sheet.name}
					{under}
					lines={sheet.lines}
					{notes}
					hasCooks={false}
				/>{/each}
		{/if}
		{#if chosen.includes('stations')}
			{#each stations as sheet (sheet.id)}
				<RunSheet name={sheet.name} {under} lines={sheet.lines} {notes} hasCooks={plan.cooks.length > 1} />
			{/each}
		{/if}
		{#if chosen.includes('shopping')}
			<section class="sheet" aria-label="Shopping">
				<SheetHead name="Shopping" {under} />
				<div class="two">
					{#each aisles as aisle (aisle)}
						<div class="together">
							<h3>{aisle}</h3>
							<ul>
								{#each shopping.filter((l) => l.aisle === aisle) as l, i (i)}
									<li>
										<span class="box"></span><strong>{printAmount(l.bought, l.unit, l.name, measure.now)}</strong>
										{l.name}{#if wordBought(l) !== ''}, {own(wordBought(l))}{/if}{#if l.allergens.length > 0}<em
												>({l.allergens.join(', ')})</em
											>{/if}
									</li>
								{/each}
							</ul>
						</div>
					{/each}
				</div>
			</section>
		{/if}
		{#if chosen.includes('bowls')}
			<section class="sheet" aria-label="Bowls">
				<SheetHead name="Bowls" {under} />
				<ul class="bowls">
					{#each bowls as bowl (`${bowl.part} ${bowl.step}`)}
						{@const at = bowlAt(bowl, plan)}
						<li class="together">
							<span class="box"></span>
							<span class="clock">{at === undefined ? '' : formatClock(at)}</span>
							<span
								><strong>{bowl.name}: {bowl.say}</strong><br />{bowl.amounts
									.map((a) => `${printAmount(a.used, a.unit, a.name, measure.now)} ${a.name}`)
									.join(', ')}</span
							>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	</div>
{/if}

<style>
	.choice {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-4);
		margin-bottom: var(--space-4);
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0 var(--space-3);
		border: 0;
	}
	.choice label {
		display: inline-flex;
		align-items: center;
		gap: var(--space-1);
		min-height: var(--touch);
	}
	legend {
		float: left;
		margin-right: var(--space-2);
		color: var(--ink-soft);
		line-height: 44px;
	}
	.paper {
		color-scheme: light;
		color: #000;
		overflow-x: auto;
	}
	.paper :global(.sheet) {
		box-sizing: border-box;
		width: 210mm;
		max-width: 100%;
		margin: 0 auto var(--space-4);
		padding: 12mm;
		background: #fff;
		color: #000;
	}
	.paper[data-size='Letter'] :global(.sheet) {
		width: 216mm;
	}
	.two {
		columns: 2;
		column-gap: 8mm;
	}
	.together {
		break-inside: avoid;
	}
	h3 {
		margin-top: 2mm;
	}
	em {
		margin-left: 0.3em;
	}
	h3::first-letter {
		text-transform: uppercase;
	}
	li {
		padding: 0.8mm 0;
		font-size: 12pt;
	}
	.box {
		display: inline-block;
		flex: none;
		width: 4mm;
		height: 4mm;
		margin-right: 2mm;
		border: 0.4mm solid #000;
		border-radius: 1mm;
		vertical-align: -0.4mm;
	}
	.bowls li {
		display: flex;
		align-items: baseline;
		border-bottom: 0.2mm solid #888;
	}
	.clock {
		flex: none;
		width: 16mm;
		font-weight: 700;
	}
	@page a4 {
		size: A4;
		margin: 12mm;
	}
	@page letter {
		size: letter;
		margin: 12mm;
	}
	@media print {
		.paper {
			page: a4;
		}
		.paper[data-size='Letter'] {
			page: letter;
		}
		.paper :global(.wide) {
			margin-bottom: 6mm !important;
			break-after: auto !important;
		}
		.choice {
			display: none;
		}
		.paper {
			overflow: visible;
		}
		.paper :global(.sheet) {
			width: auto;
			margin: 0;
			padding: 0;
			break-after: page;
		}
		.paper :global(.sheet:last-child) {
			break-after: auto;
		}
	}
</style>
