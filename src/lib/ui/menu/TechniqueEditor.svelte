<!-- A cook's own technique, to be changed: what is consistent is kept at once, what is not is said and not kept. -->
<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { wordIssue } from '../../core/words/issues';
	import { withNewStep, withoutStepOf, withStepFacts } from '../../core/model/edit-technique';
	import { partKinds, readTechnique, type Technique } from '../../core/model/technique';
	import Stepper from '../Stepper.svelte';
	import StepEditor from './StepEditor.svelte';

	interface Props {
		technique: Technique;
		onkeep: (technique: Technique) => void;
	}
	const { technique, onkeep }: Props = $props();

	const id = $props.id();
	let refused: readonly string[] = $state.raw([]);

	function keep(next: Technique): void {
		const read = readTechnique(next);
		refused = read.ok ? [] : read.issues.map(wordIssue);
		if (read.ok) onkeep(read.value);
	}
	const { plate } = $derived(technique);
</script>

<div class="row">
	<label for="{id}-name">Called</label>
	<input
		id="{id}-name"
		type="text"
		maxlength="80"
		value={technique.name}
		onchange={(event) => {
			keep({ ...technique, name: event.currentTarget.value });
		}}
	/>
	<label for="{id}-kind">which is a</label>
	<select
		id="{id}-kind"
		value={technique.kind}
		onchange={(event) => {
			const kind = partKinds.find((k) => k === event.currentTarget.value);
			if (kind) keep({ ...technique, kind });
		}}
	>
		{#each partKinds as kind (kind)}<option value={kind}>{kind}</option>{/each}
	</select>
</div>
{#if refused.length > 0}
	<ul class="refused" role="alert">
		{#each refused as words, i (i)}<li>Not kept: {words}</li>{/each}
	</ul>
{/if}
{#each technique.steps as step (step.id)}
	<StepEditor
		{step}
		{technique}
		onchange={(facts) => {
			keep(withStepFacts(technique, step.id, facts));
		}}
		onremove={() => {
			keep(withoutStepOf(technique, step.id));
		}}
	/>
{/each}
<div class="row">
	<button
		type="button"
		onclick={() => {
			keep(withNewStep(technique));
		}}><Plus size={16} /> One more step</button
	>
	<Stepper
		label="Stays right for"
		value={Math.round(plate.free / 60)}
		least={0}
		most={1440}
		unit="min"
		onchange={(m) => {
			keep({ ...technique, plate: { ...plate, free: m * 60, most: Math.max(plate.most, m * 60) } });
		}}
	/>
	<Stepper
		label="at the most"
		value={Math.round(plate.most / 60)}
		least={Math.round(plate.free / 60)}
		most={1440}
		unit="min"
		onchange={(m) => {
			keep({ ...technique, plate: { ...plate, most: m * 60 } });
		}}
	/>
</div>

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
		margin-bottom: var(--space-2);
	}
	.row > input {
		flex: 1 1 14rem;
		min-width: 0;
	}
	.refused {
		margin-bottom: var(--space-2);
		padding: var(--space-2) var(--space-3);
		border-left: 6px solid var(--alarm);
		background: var(--alarm-wash);
	}
</style>
