<!-- One technique over its evenings, or several variants of one: what was set, what was measured, what was said, side by side. -->
<script lang="ts">
	import { browser } from '$app/environment';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { withSettings } from '$lib/core/model/edit-meal';
	import { cookedTechniques, differing, trialsOf, type Trial } from '$lib/core/record/trials';
	import { formatDuration } from '$lib/core/units/time';
	import { wordParameter, wordVerdict } from '$lib/core/words/record';
	import { getApp } from '$lib/state/app.svelte';
	import Pictures from '$lib/ui/record/Pictures.svelte';
	import { getUnits } from '$lib/ui/units';

	const app = getApp();
	const units = getUnits();
	const { record } = app;
	const cooked = $derived(cookedTechniques(record.evenings));
	const wanted = $derived(browser ? (page.url.searchParams.get('technique') ?? undefined) : undefined);
	const technique = $derived(cooked.find((c) => c.technique === wanted)?.technique ?? cooked[0]?.technique ?? '');
	const all = $derived(trialsOf(record.evenings, technique));
	const most = 6;
	/** How many of them are left out at the front. */
	let from = $state(0);
	const trials = $derived(all.slice(from, from + most));
	const known = $derived(app.techniques.get(technique));
	const differs = $derived(new Set(differing(trials)));
	const names = $derived([
		...new Set([...(known?.parameters ?? []).map((p) => p.id), ...trials.flatMap((t) => Object.keys(t.part.settings))])
	]);
	const target = $derived(app.meal.parts.find((p) => p.technique === technique));
	const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

	const setting = (t: Trial, name: string) => {
		const parameter = known?.parameters.find((p) => p.id === name);
		const value = t.part.settings[name] ?? parameter?.usual;
		return value === undefined ? 'usual' : units.say(wordParameter(parameter, value));
	};
	const nameOf = (name: string) => known?.parameters.find((p) => p.id === name)?.name ?? name;
	/** What was measured, row by row. */
	const measured: readonly { readonly name: string; readonly of: (t: Trial) => string }[] = [
		{ name: 'From start to ready', of: (t) => (t.took === undefined ? '' : formatDuration(t.took)) },
		{
			name: 'Ready',
			of: ({ late }) =>
				late === undefined
					? ''
					: Math.abs(late) < 60
						? 'as planned'
						: `${formatDuration(Math.abs(late))} ${late > 0 ? 'late' : 'early'}`
		},
		{
			name: 'Stood past its best',
			of: ({ stood }) => (stood === undefined ? '' : stood < 60 ? 'no' : formatDuration(stood))
		},
		{
			name: 'Core, highest',
			of: ({ highest }) => (highest === undefined ? '' : units.say(`${Math.round(highest)} °C`))
		},
		{ name: 'Lost on the heat', of: ({ loss }) => (loss === undefined ? '' : `${Math.round(100 * loss)} %`) },
		{ name: 'Verdict', of: ({ verdict }) => wordVerdict(verdict) }
	];

	function use(trial: Trial): void {
		if (!target) return;
		app.changeMeal(withSettings(app.meal, target.id, trial.part.settings));
		app.notices.say(`“${target.name}” has the settings of ${trial.date} now. Undo takes them back.`);
	}
</script>

<label for="technique">What</label>
<select
	id="technique"
	value={technique}
	onchange={(event) => {
		from = 0;
		void goto(`?technique=${encodeURIComponent(event.currentTarget.value)}`, {
			replaceState: true,
			keepFocus: true,
			noScroll: true
		});
	}}
>
	{#each cooked as c (c.technique)}<option value={c.technique}
			>{c.name}: {c.count} {c.count === 1 ? 'time' : 'times'}</option
		>{/each}
</select>
{#if all.length > most}
	<button type="button" disabled={from === 0} onclick={() => (from = Math.max(0, from - most))}>Newer</button>
	<button type="button" disabled={from + most >= all.length} onclick={() => (from += most)}>Older</button>
{/if}

<div class="scroll">
	<table>
		<thead>
			<tr>
				<th scope="col"><span class="out-of-sight">What</span></th>
				{#each trials as t (t.evening + t.part.id)}
					<th scope="col">
						<a href="/record?evening={encodeURIComponent(t.evening)}">{day.format(new Date(`${t.date}T12:00:00Z`))}</a>
						{#if t.part.id !== t.part.of}<span class="soft">{t.part.name}</span>{/if}
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each names as name (name)}
				<tr data-differs={differs.has(name)}>
					<th scope="row"
						>{nameOf(name)}{#if differs.has(name)}<span class="mark"> differs</span>{/if}</th
					>
					{#each trials as t (t.evening + t.part.id)}<td>{setting(t, name)}</td>{/each}
				</tr>
			{/each}
			{#each measured as row (row.name)}
				{@const cells = trials.map((t) => row.of(t))}
				{#if cells.some((c) => c !== '')}
					<tr>
						<th scope="row">{row.name}</th>
						{#each cells as cell, i (i)}<td>{cell}</td>{/each}
					</tr>
				{/if}
			{/each}
			{#if trials.some((t) => t.pictures.length > 0)}
				<tr>
					<th scope="row">Picture</th>
					{#each trials as t (t.evening + t.part.id)}
						<td>
							<Pictures
								pictures={t.pictures.slice(-1).map((id) => ({ id, of: t.part.name }))}
								load={(id) => record.picture(id)}
							/>
						</td>
					{/each}
				</tr>
			{/if}
			{#if target}
				<tr>
					<th scope="row">For {app.meal.name}</th>
					{#each trials as t (t.evening + t.part.id)}
						<td
							><button
								type="button"
								onclick={() => {
									use(t);
								}}>Use these settings</button
							></td
						>
					{/each}
				</tr>
			{/if}
		</tbody>
	</table>
</div>
{#if !target && trials.length > 0}
	<p class="soft">“{app.meal.name}” has no such part: open or make a meal that has it to use settings from here.</p>
{/if}

<style>
	.scroll {
		margin-top: var(--space-3);
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		background: var(--enamel);
		border-radius: var(--corner);
	}
	th,
	td {
		min-width: 8rem;
		max-width: 14rem;
		padding: var(--space-2) var(--space-3);
		border-bottom: 1px solid var(--rim);
		text-align: left;
		vertical-align: top;
	}
	tr[data-differs='true'] td {
		font-weight: 700;
	}
	.mark {
		padding: 1px 6px;
		border-radius: 6px;
		background: var(--saffron-wash);
		color: var(--saffron-ink);
		font-size: var(--text-s);
		font-weight: 600;
	}
	.soft {
		display: block;
		color: var(--ink-soft);
		font-size: var(--text-s);
		font-weight: 400;
	}
</style>
