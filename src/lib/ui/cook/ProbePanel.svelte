<!-- Probes in what is on: readings typed or from the probe that plays, time left with its band, the curve, doubts in words. -->
<script lang="ts">
	import type { PlannedStep } from '../../core/model/plan';
	import type { Told } from '../../core/probe/estimate';
	import type { Reading } from '../../core/probe/posterior';
	import { wordDoubt } from '../../core/words/probe';
	import { formatDuration } from '../../core/units/time';
	import Stepper from '../Stepper.svelte';
	import { getUnits } from '../units';

	interface Props {
		/** What is on and may have a probe, as it is said. */
		steps: readonly { readonly step: PlannedStep; readonly say: string; readonly name: string }[];
		clock: number;
		readingsOf: (step: PlannedStep) => readonly Reading[];
		/** What the stream says; `undefined`: nothing was read yet, or it is being worked out. */
		told: ReadonlyMap<string, Told>;
		playing: ReadonlySet<string>;
		onread: (step: PlannedStep, celsius: number) => void;
		onplay: (step: PlannedStep, isOn: boolean) => void;
		/** Steps that stay as they are planned, whatever is read. */
		unheeded: ReadonlySet<string>;
		onheed: (step: PlannedStep, isHeeded: boolean) => void;
	}
	const { steps, clock, readingsOf, told, playing, unheeded, onread, onplay, onheed }: Props = $props();
	const units = getUnits();

	/** Readings, what is foretold and its band, as a picture 300 by 90. */
	function pictureOf(step: PlannedStep, { curve, pull }: Told, readings: readonly Reading[]) {
		const until = Math.max(step.to - step.from, ...curve.map((c) => c.at), ...readings.map(([t]) => t));
		const values = [...curve.flatMap((c) => [c.low, c.high]), ...readings.map(([, c]) => c), pull.p90];
		const [low, high] = [Math.min(...values), Math.max(...values)];
		const x = (t: number) => Math.round((3000 * t) / until) / 10;
		const y = (c: number) => Math.round(900 - (900 * (c - low)) / Math.max(1, high - low)) / 10;
		const line = (of: (c: (typeof curve)[number]) => number) => curve.map((c) => `${x(c.at)},${y(of(c))}`);
		return {
			band: [...line((c) => c.low), ...line((c) => c.high).toReversed()].join(' '),
			middle: line((c) => c.middle).join(' '),
			dots: readings
				.filter((_, i) => i % Math.ceil(readings.length / 60) === 0)
				.map(([t, c]) => ({ x: x(t), y: y(c) })),
			pull: y(pull.p50)
		};
	}
</script>

<ul>
	{#each steps as { step, say, name } (step.id)}
		{@const readings = readingsOf(step)}
		{@const last = readings.at(-1)}
		{@const found = told.get(step.id)}
		<li>
			<p><strong>{name}</strong> <span class="soft">{say}</span></p>
			<div class="row">
				<Stepper
					label="Probe reads"
					value={last ? Math.round(last[1]) : Math.round(step.pull ?? 50)}
					least={-20}
					most={120}
					unit="°C"
					onchange={(celsius) => {
						onread(step, celsius);
					}}
				/>
				<button
					type="button"
					aria-pressed={playing.has(step.id)}
					onclick={() => {
						onplay(step, !playing.has(step.id));
					}}>{playing.has(step.id) ? 'Playing probe on' : 'A probe that plays'}</button
				>
			</div>
			{#if found && last}
				{@const left = Math.max(0, found.left.p50 - (clock - step.from - last[0]))}
				<p class="told" aria-live="polite">
					{#if left < 15}Out now{:else}Out in <strong>{formatDuration(left)}</strong>{/if}
					<span class="soft"
						>{formatDuration(Math.max(0, found.left.p10 - (clock - step.from - last[0])))} to {formatDuration(
							Math.max(0, found.left.p90 - (clock - step.from - last[0]))
						)}</span
					>, {units.say(`at ${Math.round(found.pull.p50)} °C in the middle; it reads ${last[1].toFixed(1)} °C now`)}
				</p>
				{@const picture = pictureOf(step, found, readings)}
				<svg viewBox="-2 -4 304 98" role="img" aria-label="{readings.length} readings of {name}, and where they lead">
					<polygon class="band" points={picture.band} />
					<polyline class="middle" points={picture.middle} />
					<line class="pull" x1="0" x2="300" y1={picture.pull} y2={picture.pull} />
					{#each picture.dots as dot, i (i)}<circle cx={dot.x} cy={dot.y} r="2" />{/each}
				</svg>
				{#if found.doubt}<p class="warning">{wordDoubt(found.doubt)}</p>{/if}
				<label>
					<input
						type="checkbox"
						checked={!unheeded.has(step.id)}
						onchange={(event) => {
							onheed(step, event.currentTarget.checked);
						}}
					/> The plan follows it
				</label>
			{/if}
		</li>
	{/each}
</ul>

<style>
	ul {
		display: grid;
		gap: var(--space-2);
	}
	label {
		display: inline-flex;
		align-items: center;
		gap: var(--space-2);
		min-height: var(--touch-cook);
	}
	li {
		display: grid;
		gap: var(--space-2);
		padding: var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-3);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.told {
		font-size: var(--text-l);
	}
	svg {
		width: 100%;
		max-height: 8rem;
	}
	.band {
		fill: var(--copper-fill);
		fill-opacity: 0.25;
	}
	.middle {
		fill: none;
		stroke: var(--copper);
		stroke-width: 1.5;
	}
	.pull {
		stroke: var(--ink);
		stroke-dasharray: 4 3;
	}
	circle {
		fill: var(--ink);
	}
	.warning {
		padding: var(--space-2) var(--space-3);
		border-left: 6px solid var(--saffron);
		background: var(--saffron-wash);
	}
</style>
