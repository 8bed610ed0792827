<!-- One step of a cook's own technique: words, time, place, hands, waits, sign. -->
<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { stepKinds, type Need, type Step, type Technique } from '../../core/model/technique';
	import { valueOf, type Quantity } from '../../core/model/time-model';
	import Stepper from '../Stepper.svelte';

	interface Props {
		step: Step;
		technique: Technique;
		onchange: (facts: Partial<Step>) => void;
		onremove: () => void;
	}
	const { step, technique, onchange, onremove }: Props = $props();

	const id = $props.id();
	const minutes = (seconds: number | undefined) => Math.round(((seconds ?? 300) / 60) * 10) / 10;
	/** Places as they are offered, and the need that each stands for. */
	const places: readonly (readonly [string, Need | undefined])[] = [
		['nowhere that is scarce', undefined],
		['the board', { kind: 'board' }],
		['a burner', { kind: 'burner' }],
		['the oven', { kind: 'oven', racks: 1, settings: [180] }],
		['heat from above', { kind: 'broiler', racks: 1 }],
		['the fryer', { kind: 'fryer' }],
		['the grill', { kind: 'grill' }],
		['the griddle', { kind: 'griddle' }],
		['the steamer', { kind: 'steamer' }],
		['the water bath', { kind: 'water bath', setting: 60 }],
		['the wood oven', { kind: 'wood oven' }],
		['the cold', { kind: 'cold' }],
		['the warm drawer', { kind: 'warm' }]
	];
	const at = $derived(places.findIndex(([, need]) => need?.kind === step.need?.kind));

	function setMinutes(usual: number): void {
		const seconds = Math.max(1, Math.round(usual * 60));
		const time = { shortest: Math.round(seconds * 0.75), usual: seconds, longest: Math.round(seconds * 1.4) };
		onchange({ time });
	}

	function setHands(kind: string): void {
		if (kind === 'whole' || kind === 'none') {
			onchange({ hands: { kind } });
			return;
		}
		const touch = (share: number, say: string) => ({ share, seconds: 30, say: say.slice(0, 80) });
		onchange({ hands: { kind: 'touches', at: [touch(0, `Start: ${step.say}`), touch(1, `Done: ${step.say}`)] } });
	}

	/** The longest wait after the steps before it: the same for all of them. */
	const most = $derived(step.after.find((a) => a.most !== undefined)?.most);
	/** Where a parameter decides when it is, as that usually is. */
	const shareOf = (share: Quantity) =>
		valueOf(share, (by) => technique.parameters.find((p) => p.id === by)?.usual ?? 0);
</script>

<fieldset>
	<legend class="out-of-sight">{step.say}</legend>
	<div class="row">
		<label for="{id}-say">Do</label>
		<input
			class="wide"
			id="{id}-say"
			type="text"
			maxlength="80"
			value={step.say}
			onchange={(event) => {
				const say = event.currentTarget.value.trim();
				if (say === '') event.currentTarget.value = step.say;
				else onchange({ say });
			}}
		/>
		<label for="{id}-kind">which is to</label>
		<select
			id="{id}-kind"
			value={step.kind}
			onchange={(event) => {
				const kind = stepKinds.find((k) => k === event.currentTarget.value);
				if (kind) onchange({ kind });
			}}
		>
			{#each stepKinds as kind (kind)}<option value={kind}>{kind}</option>{/each}
		</select>
		<button
			type="button"
			aria-label="Take out the step “{step.say}”"
			disabled={technique.steps.length < 2}
			onclick={onremove}><Trash2 size={16} /></button
		>
	</div>
	<div class="row">
		{#if step.time.model}
			<span>takes as long as is computed</span>
			<button
				type="button"
				onclick={() => {
					setMinutes(10);
				}}>Say it myself</button
			>
		{:else}
			<Stepper
				label="Takes"
				value={minutes(step.time.usual)}
				least={0.1}
				most={10080}
				unit="min"
				onchange={setMinutes}
			/>
		{/if}
		<label for="{id}-where">at</label>
		<select
			id="{id}-where"
			value={String(at)}
			onchange={(event) => {
				onchange({ need: places[Number(event.currentTarget.value)]?.[1] });
			}}
		>
			{#each places as [words], i (words)}<option value={String(i)}>{words}</option>{/each}
		</select>
		{#if step.need?.kind === 'oven'}
			<Stepper
				label="Set to"
				value={step.need.settings[0] ?? 180}
				least={50}
				most={300}
				step={5}
				unit="°C"
				onchange={(setting) => {
					onchange({ need: { kind: 'oven', racks: 1, settings: [setting] } });
				}}
			/>
		{/if}
		<label for="{id}-hands">with</label>
		<select
			id="{id}-hands"
			value={step.hands.kind}
			onchange={(event) => {
				setHands(event.currentTarget.value);
			}}
		>
			<option value="whole">both hands, all the time</option>
			<option value="touches">a touch here and there</option>
			<option value="none">no hands</option>
		</select>
	</div>
	<div class="row">
		{#if step.after.length > 0}
			<span class="soft"
				>after {step.after
					.map((a) => `“${technique.steps.find((s) => s.id === a.step)?.say ?? a.step}”`)
					.join(' and ')},</span
			>
			<Stepper
				label="within"
				value={minutes(most ?? 3600)}
				least={0}
				most={10080}
				unit="min"
				onchange={(m) => {
					onchange({ after: step.after.map((a) => ({ ...a, most: Math.max(a.least, Math.round(m * 60)) })) });
				}}
			/>
		{/if}
		<label for="{id}-sign">Done when</label>
		<input
			class="wide"
			id="{id}-sign"
			type="text"
			maxlength="160"
			value={step.sign ?? ''}
			onchange={(event) => {
				const sign = event.currentTarget.value.trim();
				onchange({ sign: sign === '' ? undefined : sign });
			}}
		/>
	</div>
	{#if step.hands.kind === 'touches'}
		{@const { hands } = step}
		{#each hands.at as touch, i (i)}
			<div class="row touch">
				<Stepper
					label="Touch {i + 1} at"
					value={Math.round(100 * shareOf(touch.share))}
					least={0}
					most={100}
					step={10}
					unit="%"
					onchange={(percent) => {
						onchange({
							hands: { ...hands, at: hands.at.map((t, k) => (k === i ? { ...t, share: percent / 100 } : t)) }
						});
					}}
				/>
				<input
					class="wide"
					type="text"
					aria-label="Touch {i + 1}: what to do"
					maxlength="80"
					value={touch.say}
					onchange={(event) => {
						const say = event.currentTarget.value.trim();
						if (say === '') event.currentTarget.value = touch.say;
						else onchange({ hands: { ...hands, at: hands.at.map((t, k) => (k === i ? { ...t, say } : t)) } });
					}}
				/>
			</div>
		{/each}
	{/if}
</fieldset>

<style>
	fieldset {
		display: grid;
		gap: var(--space-2);
		margin: 0 0 var(--space-2);
		padding: var(--space-2) var(--space-3);
		border: 1px solid var(--rim);
		border-radius: var(--corner);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-2);
		font-size: var(--text-s);
	}
	.wide {
		flex: 1 1 14rem;
		min-width: 0;
	}
	.touch {
		padding-left: var(--space-4);
	}
	.soft {
		color: var(--ink-soft);
	}
</style>
