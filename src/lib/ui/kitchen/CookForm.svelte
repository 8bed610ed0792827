<!-- A cook: name, pace, what they do not do; and a sample of knife work that measures the pace. -->
<script lang="ts">
	import { knifeRates, type KnifeTask } from '../../core/learn/handwork';
	import { measuredPace } from '../../core/learn/measured';
	import { duties, type Cook } from '../../core/model/kitchen';
	import { without } from '../../core/model/edit-kitchen';
	import Stepper from '../Stepper.svelte';
	import Measuring from './Measuring.svelte';

	interface Props {
		cook: Cook;
		onchange: (cook: Cook) => void;
	}
	const { cook, onchange }: Props = $props();

	const id = $props.id();
	const tasks = Object.keys(knifeRates) as KnifeTask[];
	const dutyWords = { knife: 'no knife work', frying: 'no hot oil', stove: 'no stove', oven: 'no oven' };
	let task: KnifeTask = $state('dice onion');
	let grams = $state(500);
	let minutes = $state(6);
	const found = $derived(Math.round(100 * measuredPace(task, grams / 1000, minutes * 60)) / 100);
	const words = (pace: number) =>
		pace === 1 ? 'a home cook’s pace' : `${Math.round(100 * pace)} % of a home cook’s time`;
</script>

<li>
	<div class="row">
		<label class="out-of-sight" for="{id}-name">Name of the cook</label>
		<input
			id="{id}-name"
			type="text"
			maxlength="80"
			value={cook.name}
			onchange={(event) => {
				const name = event.currentTarget.value.trim();
				if (name === '') event.currentTarget.value = cook.name;
				else onchange({ ...cook, name });
			}}
		/>
		<Stepper
			label="Handwork takes"
			value={Math.round(100 * (cook.pace ?? 1))}
			least={20}
			most={500}
			step={10}
			unit="%"
			onchange={(n) => {
				onchange({ ...cook, pace: n / 100 });
			}}
		/>
		{#each duties as duty (duty)}
			<label class="check">
				<input
					type="checkbox"
					checked={cook.avoids?.includes(duty) ?? false}
					onchange={(event) => {
						const rest = (cook.avoids ?? []).filter((d) => d !== duty);
						onchange({ ...cook, avoids: event.currentTarget.checked ? [...rest, duty] : rest });
					}}
				/>
				{dutyWords[duty]}
			</label>
		{/each}
	</div>
	<Measuring
		isMeasured={cook.measuredPace !== undefined}
		use="Use the measured pace"
		forget="Go by the assumed again"
		onuse={() => {
			onchange({ ...cook, measuredPace: found });
		}}
		onforget={() => {
			onchange(without(cook, 'measuredPace'));
		}}
	>
		{#snippet known()}
			Assumed {words(cook.pace ?? 1)}{#if cook.measuredPace !== undefined}, <strong
					>measured {words(cook.measuredPace)}</strong
				>{/if}
		{/snippet}

		<label for="{id}-task">A sample: to</label>
		<select id="{id}-task" bind:value={task}
			>{#each tasks as t (t)}<option value={t}>{t}</option>{/each}</select
		>
		<Stepper
			label="weighing"
			value={grams}
			least={20}
			most={5000}
			step={50}
			unit="g"
			onchange={(n) => {
				grams = n;
			}}
		/>
		<Stepper
			label="took"
			value={minutes}
			least={1}
			most={120}
			step={0.5}
			unit="min"
			onchange={(n) => {
				minutes = n;
			}}
		/>
		<span>so {words(found)}.</span>
	</Measuring>
</li>

<style>
	li {
		padding: var(--space-2) var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
		font-size: var(--text-s);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
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
</style>
