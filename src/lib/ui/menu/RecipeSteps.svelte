<!-- What was read of a recipe: its steps, each to be put right by a touch, and linked to its words. -->
<script lang="ts">
	import ListX from '@lucide/svelte/icons/list-x';
	import ArrowUpToLine from '@lucide/svelte/icons/arrow-up-to-line';
	import type { Doubt, ReadStep } from '../../core/recipe/read';
	import type { StepChange } from '../../state/pasting.svelte';
	import { parseDuration } from '../../core/units/parse';
	import { formatDuration } from '../../core/units/time';

	interface Props {
		steps: readonly ReadStep[];
		doubts: readonly Doubt[];
		chosen: string | undefined;
		onchoose: (id: string) => void;
		onchange: (id: string, change: StepChange) => void;
		onwait: (id: string, before: string, waits: boolean) => void;
		ondrop: (id: string) => void;
		onjoin: (id: string) => void;
	}
	const { steps, doubts, chosen, onchoose, onchange, onwait, ondrop, onjoin }: Props = $props();

	const kinds =
		'prep mix heat sear fry simmer boil bake roast grill steam rest chill soak marinate drain finish plate'.split(
			' '
		) as readonly ReadStep['kind'][];
	const stations = ['board', 'burner', 'oven', 'grill', 'fryer', 'water bath', 'steamer', 'cold', 'none'] as const;
	const hands = { whole: 'hands all the time', touches: 'a touch now and then', none: 'by itself' } as const;
	const place = (s: ReadStep) =>
		s.station === 'oven' && s.celsius !== null ? `oven ${s.celsius} °C` : s.station === 'none' ? 'nowhere' : s.station;
	const short = (text: string) => (text.length > 46 ? `${text.slice(0, 44).replace(/\s+\S*$/, '')} …` : text);
	let refused: Readonly<Record<string, string>> = $state({});

	function setTime(s: ReadStep, text: string): void {
		const seconds = parseDuration(text, 60);
		if (seconds === undefined || !(seconds > 0) || seconds > 604_800) {
			refused = { ...refused, [s.id]: `“${text}” is no time: write “25 min”, “90 s” or “1 h 10”.` };
			return;
		}
		refused = { ...refused, [s.id]: '' };
		onchange(s.id, { seconds: [Math.round(0.9 * seconds), Math.round(seconds), Math.round(1.15 * seconds)] });
	}
</script>

<ol>
	{#each steps as s, i (s.id)}
		<li data-chosen={chosen === s.id} data-place={s.station}>
			<button
				type="button"
				class="words"
				aria-expanded={chosen === s.id}
				onclick={() => {
					onchoose(s.id);
				}}
			>
				<span class="number">{i + 1}</span>
				<span>
					<strong>{s.text}</strong>
					<span class="facts"
						>{s.kind}, {place(s)}, {s.seconds === null ? 'no time' : formatDuration(s.seconds[1])}, {hands[s.hands]}{s
							.after.length > 0
							? `, after ${s.after.map((a) => steps.findIndex((o) => o.id === a) + 1).join(' and ')}`
							: ''}</span
					>
				</span>
			</button>
			{#each doubts.filter((d) => d.about === s.id) as d (d.question)}
				<p class="doubt">{d.question}{d.guess === undefined ? '' : ` Taken as ${d.guess}.`}</p>
			{/each}
			{#if chosen === s.id}
				<div class="edit">
					<label
						>What kind
						<select
							value={s.kind}
							onchange={(event) => {
								const kind = kinds.find((k) => k === event.currentTarget.value);
								if (kind) onchange(s.id, { kind });
							}}
							>{#each kinds as k (k)}<option value={k}>{k}</option>{/each}</select
						></label
					>
					<label
						>Where
						<select
							value={s.station}
							onchange={(event) => {
								const station = stations.find((k) => k === event.currentTarget.value);
								if (station) onchange(s.id, { station });
							}}
							>{#each stations as k (k)}<option value={k}>{k === 'none' ? 'nowhere in particular' : k}</option
								>{/each}</select
						></label
					>
					{#if s.station === 'oven'}
						<label
							>°C
							<input
								inputmode="numeric"
								value={s.celsius ?? ''}
								onchange={(event) => {
									const celsius = Number(event.currentTarget.value);
									if (celsius >= 50 && celsius <= 300) onchange(s.id, { celsius });
									else refused = { ...refused, [s.id]: 'An oven has between 50 and 300 °C.' };
								}}
							/></label
						>
					{/if}
					<label
						>How long
						<input
							value={s.seconds === null ? '' : formatDuration(s.seconds[1])}
							onchange={(event) => {
								setTime(s, event.currentTarget.value);
							}}
						/></label
					>
					<label
						>Hands
						<select
							value={s.hands}
							onchange={(event) => {
								const { value } = event.currentTarget;
								if (value === 'whole' || value === 'touches' || value === 'none') onchange(s.id, { hands: value });
							}}
							>{#each Object.entries(hands) as [k, say] (k)}<option value={k}>{say}</option>{/each}</select
						></label
					>
					<fieldset>
						<legend>Waits for</legend>
						{#each steps.slice(0, i) as o, k (o.id)}
							<label class="wait"
								><input
									type="checkbox"
									checked={s.after.includes(o.id)}
									onchange={(event) => {
										onwait(s.id, o.id, event.currentTarget.checked);
									}}
								/>
								{k + 1}
								{short(o.text)}</label
							>
						{:else}nothing{/each}
					</fieldset>
					<div class="row">
						{#if i > 0}<button
								type="button"
								onclick={() => {
									onjoin(s.id);
								}}><ArrowUpToLine size={16} /> One with the step before</button
							>{/if}
						<button
							type="button"
							onclick={() => {
								ondrop(s.id);
							}}><ListX size={16} /> Drop it</button
						>
					</div>
					{#if (refused[s.id] ?? '') !== ''}<p role="alert">{refused[s.id]}</p>{/if}
				</div>
			{/if}
		</li>
	{/each}
</ol>

<style>
	ol {
		display: grid;
		gap: 3px;
	}
	li {
		border-left: 6px solid var(--rim);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	li[data-place='burner'],
	li[data-place='oven'],
	li[data-place='grill'],
	li[data-place='fryer'],
	li[data-place='steamer'],
	li[data-place='water bath'] {
		border-left-color: var(--copper-fill);
	}
	li[data-place='board'] {
		border-left-color: var(--saffron);
	}
	li[data-place='cold'] {
		border-left-color: var(--tone-3);
	}
	li[data-chosen='true'] {
		box-shadow: inset 0 0 0 2px var(--copper-fill);
	}
	.words {
		display: grid;
		grid-template-columns: 1.6rem minmax(0, 1fr);
		width: 100%;
		min-height: var(--touch);
		padding: var(--space-1) var(--space-2);
		border: 0;
		background: none;
		text-align: left;
	}
	.number {
		color: var(--ink-soft);
	}
	.facts {
		display: block;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.doubt {
		margin: 0 var(--space-3) var(--space-2) 2.4rem;
		padding: 2px var(--space-2);
		border-radius: 6px;
		background: var(--saffron-wash);
		color: var(--saffron-ink);
		font-size: var(--text-s);
	}
	.edit {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: var(--space-2) var(--space-3);
		padding: 0 var(--space-3) var(--space-3) 2.4rem;
	}
	.edit > label {
		display: grid;
		font-size: var(--text-s);
	}
	.edit input:not([type='checkbox']) {
		width: 7rem;
	}
	fieldset {
		flex-basis: 100%;
		max-height: 11rem;
		margin: 0;
		padding: 0 var(--space-2);
		overflow-y: auto;
		border: 1px solid var(--rim);
		border-radius: 6px;
	}
	legend {
		font-size: var(--text-s);
	}
	.wait {
		display: flex;
		align-items: center;
		gap: var(--space-2);
		min-height: 32px;
		font-size: var(--text-s);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-2);
	}
	[role='alert'] {
		flex-basis: 100%;
		color: var(--alarm);
	}
</style>
