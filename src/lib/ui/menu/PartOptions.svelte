<!-- More of a part: its name, how many it is for, other ways, guests' wishes, making it before, its pan, allergens. -->
<script lang="ts">
	import type { Part, Wish } from '../../core/model/meal';
	import type { Plan } from '../../core/model/plan';
	import type { SpokenPlan } from '../../core/words/speak';
	import { allergensOf } from '../../core/model/quantities';
	import { allergens as allTags, type Allergen } from '../../core/foods/allergens';
	import type { Technique } from '../../core/model/technique';
	import type { Measure } from '../../core/units/amount';
	import Stepper from '../Stepper.svelte';
	import Choice from './Choice.svelte';
	import SwapPreview from './SwapPreview.svelte';
	import WaysTable from './WaysTable.svelte';
	import Wishes from './Wishes.svelte';

	interface Props {
		part: Part;
		technique: Technique;
		others: readonly Technique[];
		/** People of the meal. */
		covers: number;
		measure: Measure;
		plan: SpokenPlan;
		/** Parts whose vessel this one could go on in; the one that it does. */
		vessels: readonly { readonly id: string; readonly name: string }[];
		vesselOf: string | undefined;
		/** Parts whose tray it could share. */
		mates: readonly { readonly id: string; readonly name: string }[];
		onfacts: (facts: Partial<Pick<Part, 'name' | 'covers' | 'choose' | 'ahead' | 'allergens'>>) => void;
		/** Parts that it could finish, as a sauce or a dressing. */
		finishable: readonly { readonly id: string; readonly name: string }[];
		onvessel: (part: string | undefined) => void;
		onfinish: (part: string | undefined) => void;
		/** Parts that it could be built onto. */
		bases: readonly { readonly id: string; readonly name: string }[];
		onbase: (part: string | undefined) => void;
		ontray: (part: string | undefined) => void;
		onwish: (wish: Wish) => void;
		onunwish: (wish: string) => void;
		onpreview: (technique: Technique) => Promise<Plan | readonly string[]>;
		ontechnique: (technique: Technique) => void;
	}
	const {
		part,
		technique,
		others,
		covers,
		measure,
		plan,
		vessels,
		vesselOf,
		mates,
		finishable,
		bases,
		onbase,
		onfacts,
		onvessel,
		ontray,
		onfinish,
		onwish,
		onunwish,
		onpreview,
		ontechnique
	}: Props = $props();

	const id = $props.id();
	const tags = $derived<readonly Allergen[]>(part.allergens ?? allergensOf(technique, part.settings));
	const vesselWords = $derived(
		technique.madeIn === undefined
			? 'Goes on in the pan or tray of'
			: technique.madeIn === 'tray'
				? 'From the tray of'
				: 'In the pan of'
	);
	const aheadWords = [
		{ id: 'evening', words: 'in the evening' },
		{ id: 'before', words: 'before the evening' }
	];
	const worded = (parts: Props['mates'], say: (name: string) => string) =>
		parts.map(({ id, name }) => ({ id, words: say(name) }));
	/** What it may be tied to: a pan, a part that it finishes, one under it, a tray. */
	const ties = $derived([
		{
			label: vesselWords,
			chosen: vesselOf,
			options: worded(vessels, (name) => name),
			none: technique.madeIn === undefined ? 'its own' : 'none yet',
			onchoose: onvessel
		},
		{
			label: 'Finishes',
			chosen: part.finishes,
			options: worded(finishable, (name) => `${name}, as its last step`),
			none: 'nothing: plated by itself',
			onchoose: onfinish
		},
		{
			label: 'On the plate',
			chosen: part.onTop,
			options: worded(bases, (name) => `on top of ${name}`),
			none: 'beside the others',
			onchoose: onbase
		},
		{
			label: 'Shares the tray of',
			chosen: part.trayOf,
			options: worded(mates, (name) => `${name}, added at its own minute`),
			none: 'none: apart',
			onchoose: ontray
		}
	]);
</script>

<div class="options">
	<div class="row">
		<span class="pair"
			><label for="{id}-name">Called</label>
			<input
				id="{id}-name"
				type="text"
				maxlength="80"
				value={part.name}
				onchange={(event) => {
					const name = event.currentTarget.value.trim();
					if (name === '') event.currentTarget.value = part.name;
					else onfacts({ name });
				}}
			/></span
		>
		<Stepper
			label="For"
			value={part.covers ?? covers}
			least={1}
			most={60}
			onchange={(n) => {
				onfacts({ covers: n === covers ? undefined : n });
			}}
		/>
		{#if technique.ahead}
			<Choice
				label="Made"
				chosen={part.ahead}
				options={aheadWords}
				none="as the plan needs it"
				onchoose={(when) => {
					onfacts({ ahead: when === 'evening' || when === 'before' ? when : undefined });
				}}
			/>
		{/if}
		{#each ties as { label, chosen, options, none, onchoose } (label)}
			{#if options.length > 0}<Choice {label} {chosen} {options} {none} {onchoose} />{/if}
		{/each}
	</div>
	{#if others.length > 1}
		<label class="check">
			<input
				type="checkbox"
				checked={part.choose ?? false}
				onchange={(event) => {
					onfacts({ choose: event.currentTarget.checked || undefined });
				}}
			/>
			Let the planner choose among {others.length} ways to make {technique.makes}
		</label>
		<SwapPreview {part} {technique} {others} {plan} {onpreview} ontake={ontechnique} />
		<WaysTable {part} {technique} {others} {plan} {onpreview} ontake={ontechnique} />
	{/if}
	<Wishes {part} {technique} covers={part.covers ?? covers} {measure} {onwish} onremove={onunwish} />
	<fieldset>
		<legend>Allergens: yours to know</legend>
		<div class="row">
			{#each allTags as tag (tag)}
				<label class="check">
					<input
						type="checkbox"
						checked={tags.includes(tag)}
						onchange={(event) => {
							const rest = tags.filter((t) => t !== tag);
							onfacts({ allergens: event.currentTarget.checked ? [...rest, tag] : rest });
						}}
					/>
					{tag}
				</label>
			{/each}
		</div>
	</fieldset>
</div>

<style>
	.options {
		display: grid;
		gap: var(--space-3);
		margin-top: var(--space-2);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
	}
	.pair {
		display: inline-flex;
		flex: 0 1 auto;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1);
		max-width: 100%;
	}
	.check {
		display: inline-flex;
		align-items: center;
		gap: var(--space-1);
		min-height: var(--touch);
	}
	input[type='checkbox'] {
		width: 20px;
		height: 20px;
		accent-color: var(--herb-fill);
	}
	input[type='text'] {
		flex: 1 1 16rem;
		min-width: 0;
	}
	fieldset {
		margin: 0;
		padding: 0 var(--space-2);
		border: 1px solid var(--rim);
		border-radius: var(--corner);
	}
	legend {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
