<!-- Record: the evenings, and one of them: planned against actual, how it was, what happened. -->
<script lang="ts">
	import { browser } from '$app/environment';
	import { page } from '$app/state';
	import { holding } from '$lib/core/record/evening';
	import { wordEvening, wordKey, plainSay } from '$lib/core/words/record';
	import { stepHistory } from '$lib/core/record/honesty';
	import { formatClock } from '$lib/core/units/time';
	import { getApp } from '$lib/state/app.svelte';
	import EveningCords from '$lib/ui/record/EveningCords.svelte';
	import EveningList from '$lib/ui/record/EveningList.svelte';
	import Pictures from '$lib/ui/record/Pictures.svelte';
	import StepTable from '$lib/ui/record/StepTable.svelte';
	import Verdicts from '$lib/ui/record/Verdicts.svelte';
	import CurveChart from '$lib/ui/questions/CurveChart.svelte';

	const app = getApp();
	const { record } = app;
	const kept = $derived(record.evenings.filter((e) => e.archived !== true));
	const away = $derived(record.evenings.filter((e) => e.archived === true));
	const wanted = $derived(browser ? (page.url.searchParams.get('evening') ?? undefined) : undefined);
	const evening = $derived(kept.find((e) => e.id === wanted) ?? kept[0]);
	let chosen: string | undefined = $state();
	let note = $state('');

	const date = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeZone: 'UTC' });
	const said = $derived(evening ? holding(evening) : []);
	const notes = $derived(said.flatMap((s) => (s.kind === 'note' ? [s] : [])));
	const pictures = $derived(
		said.flatMap((s) =>
			s.kind === 'picture'
				? [{ id: s.picture, of: evening?.parts.find((p) => p.id === s.part)?.name ?? evening?.name ?? '' }]
				: []
		)
	);
	const step = $derived(evening?.steps.find((s) => s.id === chosen));
	const history = $derived(step ? stepHistory(kept, step.key) : []);
	const chart = $derived({
		x: 'evenings, the oldest first',
		y: 'minutes',
		curves: [
			{
				name: 'one in ten sooner',
				tone: 'faint' as const,
				x: history.map((_, i) => i + 1),
				y: history.map((h) => h.p10 / 60)
			},
			{
				name: 'one in ten later',
				tone: 'faint' as const,
				x: history.map((_, i) => i + 1),
				y: history.map((h) => h.p90 / 60)
			},
			{ name: 'took', tone: 'hot' as const, x: history.map((_, i) => i + 1), y: history.map((h) => h.took / 60) }
		],
		marks: []
	});

	function choose(id: string): void {
		chosen = chosen === id ? undefined : id;
	}
</script>

<div class="columns">
	<div class="list"><EveningList evenings={kept} chosen={evening?.id} /></div>
	{#if evening}
		<article>
			<header>
				<h2>{evening.name}</h2>
				<p>
					{date.format(new Date(`${evening.date}T12:00:00Z`))}, for {evening.covers}: {wordEvening(evening)}
				</p>
				<ul class="courses">
					{#each evening.courses as c (c.id)}
						<li>
							<strong>{c.name}</strong> due {formatClock(c.planned)}{c.out === undefined
								? ''
								: `, out ${formatClock(c.out)}`}
						</li>
					{/each}
				</ul>
			</header>
			<section aria-label="Planned and actual">
				<EveningCords {evening} {chosen} onchoose={choose} />
				{#if step}
					<div class="step">
						<h3>{wordKey(step.key, kept)}: {history.length === 1 ? 'one evening' : `${history.length} times`}</h3>
						{#if history.length > 1}
							<CurveChart {chart} label="How long {plainSay(step)} took, evening by evening, and its band" />
						{:else}<p class="soft">From the second evening on it is drawn over the evenings here.</p>{/if}
					</div>
				{/if}
			</section>
			<section aria-label="How it was">
				<h3>How it was</h3>
				<Verdicts
					{evening}
					onsay={(saying) => {
						record.say(evening.id, saying);
					}}
				/>
			</section>
			<section aria-label="Notes and pictures">
				<h3>Notes and pictures</h3>
				{#if evening.happened.length > 0 || notes.length > 0}
					<ul class="notes">
						{#each evening.happened as words, i (i)}<li class="soft">{words}</li>{/each}
						{#each notes as n (n.id)}
							<li>
								{n.text}
								<button
									type="button"
									aria-label="Take back: {n.text}"
									onclick={() => {
										record.say(evening.id, { kind: 'taken back', what: n.id });
									}}>Take back</button
								>
							</li>
						{/each}
					</ul>
				{/if}
				<form
					onsubmit={(event) => {
						event.preventDefault();
						if (note.trim() === '') return;
						record.say(evening.id, { kind: 'note', text: note.trim().slice(0, 2000) });
						note = '';
					}}
				>
					<label class="out-of-sight" for="note">Note</label>
					<input
						id="note"
						type="text"
						maxlength="2000"
						placeholder="What to do otherwise next time"
						bind:value={note}
					/>
					<button type="submit">Note it</button>
				</form>
				<Pictures
					{pictures}
					load={(id) => record.picture(id)}
					onadd={(picture) => void record.addPicture(evening.id, picture)}
				/>
			</section>
			<section aria-label="Step by step">
				<h3>Step by step</h3>
				<StepTable {evening} {chosen} onchoose={choose} />
			</section>
			<button
				type="button"
				onclick={() => {
					const { id, date: on } = evening;
					record.archive(id, true);
					app.notices.say(
						`The evening of ${on} is put away: it teaches nothing. It can be brought back below the list.`
					);
				}}>Put this evening away</button
			>
		</article>
	{/if}
</div>
{#if away.length > 0}
	<details>
		<summary>Put away: {away.length}</summary>
		<ul class="notes">
			{#each away as e (e.id)}
				<li>
					{e.date}
					{e.name}
					<button
						type="button"
						onclick={() => {
							record.archive(e.id, false);
						}}>Bring back</button
					>
				</li>
			{/each}
		</ul>
	</details>
{/if}

<style>
	.columns {
		display: grid;
		grid-template-columns: 17rem minmax(0, 1fr);
		align-items: start;
		gap: var(--space-4);
	}
	.list {
		max-height: calc(100dvh - 10rem);
		overflow-y: auto;
	}
	article,
	section,
	header {
		display: grid;
		gap: var(--space-2);
	}
	article {
		gap: var(--space-5);
		justify-items: stretch;
	}
	article > button {
		justify-self: start;
	}
	.courses {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1) var(--space-4);
	}
	.step {
		padding: var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.soft {
		color: var(--ink-soft);
	}
	.notes li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: var(--space-2);
		min-height: var(--touch);
		padding: var(--space-1) var(--space-3);
		border-bottom: 1px solid var(--rim);
	}
	form {
		display: flex;
		gap: var(--space-2);
	}
	form input {
		flex: 1;
		min-width: 0;
	}
	@media (max-width: 820px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
		.list {
			max-height: 14rem;
		}
	}
</style>
