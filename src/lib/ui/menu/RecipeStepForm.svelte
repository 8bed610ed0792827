<!-- A step of a recipe put right: its kind, place, time, hands, what it waits for; joined, cut in two, dropped. -->
<script lang="ts">
	import ListX from '@lucide/svelte/icons/list-x';
	import ArrowUpToLine from '@lucide/svelte/icons/arrow-up-to-line';
	import Scissors from '@lucide/svelte/icons/scissors';
	import type { ReadStep } from '../../core/recipe/read';
	import { cutsIn } from '../../core/recipe/split';
	import type { StepChange } from '../../state/pasting.svelte';
	import { formatDuration } from '../../core/units/time';
	import { spreadAbout } from './recipe-times';

	interface Props {
		step: ReadStep;
		/** Steps that stand before it. */
		before: readonly ReadStep[];
		onchange: (change: StepChange) => void;
		onwait: (before: string, waits: boolean) => void;
		ondrop: () => void;
		onjoin: () => void;
		onsplit: (at: number) => void;
	}
	const { step, before, onchange, onwait, ondrop, onjoin, onsplit }: Props = $props();

	const kinds =
		'prep mix heat sear fry simmer boil bake roast grill steam rest chill soak marinate drain finish plate'.split(
			' '
		) as readonly ReadStep['kind'][];
	const stations = ['board', 'burner', 'oven', 'grill', 'fryer', 'water bath', 'steamer', 'cold', 'none'] as const;
	const hands = { whole: 'hands all the time', touches: 'a touch now and then', none: 'by itself' } as const;
	const short = (text: string) => (text.length > 46 ? `${text.slice(0, 44).replace(/\s+\S*$/, '')} …` : text);
	let refused = $state('');

	function setTime(text: string): void {
		const seconds = spreadAbout(text);
		refused = typeof seconds === 'string' ? seconds : '';
		if (typeof seconds !== 'string') onchange({ seconds });
	}
</script>

<div class="edit">
	<label
		>What kind
		<select
			value={step.kind}
			onchange={(event) => {
				const kind = kinds.find((k) => k === event.currentTarget.value);
				if (kind) onchange({ kind });
			}}
			>{#each kinds as k (k)}<option value={k}>{k}</option>{/each}</select
		></label
	>
	<label
		>Where
		<select
			value={step.station}
			onchange={(event) => {
				const station = stations.find((k) => k === event.currentTarget.value);
				if (station) onchange({ station });
			}}
			>{#each stations as k (k)}<option value={k}>{k === 'none' ? 'nowhere in particular' : k}</option>{/each}</select
		></label
	>
	{#if step.station === 'oven'}
		<label
			>°C
			<input
				inputmode="numeric"
				value={step.celsius ?? ''}
				onchange={(event) => {
					const celsius = Number(event.currentTarget.value);
					if (celsius >= 50 && celsius <= 300) onchange({ celsius });
					else refused = 'An oven has between 50 and 300 °C.';
				}}
			/></label
		>
	{/if}
	<label
		>How long
		<input
			value={step.seconds === null ? '' : formatDuration(step.seconds[1])}
			onchange={(event) => {
				setTime(event.currentTarget.value);
			}}
		/></label
	>
	<label
		>Hands
		<select
			value={step.hands}
			onchange={(event) => {
				const { value } = event.currentTarget;
				if (value === 'whole' || value === 'touches' || value === 'none') onchange({ hands: value });
			}}
			>{#each Object.entries(hands) as [k, say] (k)}<option value={k}>{say}</option>{/each}</select
		></label
	>
	<fieldset>
		<legend>Waits for</legend>
		{#each before as o, k (o.id)}
			<label class="wait"
				><input
					type="checkbox"
					checked={step.after.includes(o.id)}
					onchange={(event) => {
						onwait(o.id, event.currentTarget.checked);
					}}
				/>
				{k + 1}
				{short(o.text)}</label
			>
		{:else}nothing{/each}
	</fieldset>
	<div class="row">
		{#if before.length > 0}<button
				type="button"
				onclick={() => {
					onjoin();
				}}><ArrowUpToLine size={16} /> One with the step before</button
			>{/if}
		<button
			type="button"
			onclick={() => {
				ondrop();
			}}><ListX size={16} /> Drop it</button
		>
		{#each cutsIn(step.text) as at (at)}<button
				type="button"
				class="cut"
				onclick={() => {
					onsplit(at);
				}}><Scissors size={16} /> Cut before “{short(step.text.slice(at))}”</button
			>{/each}
	</div>
	{#if refused !== ''}<p role="alert">{refused}</p>{/if}
</div>

<style>
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
	.cut {
		font-size: var(--text-s);
	}
</style>
