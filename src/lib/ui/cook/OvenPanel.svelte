<!-- The ovens that are on: what each is set to, when it is hot, and what it reads: its lamp and a thermometer teach the record. -->
<script lang="ts">
	import type { OvenOn } from '../../core/run/ovens';
	import { formatClock } from '../../core/units/time';
	import Stepper from '../Stepper.svelte';
	import { getUnits } from '../units';

	interface Props {
		ovens: readonly OvenOn[];
		clock: number;
		nameOf: (lane: string) => string;
		wallOf: (clock: number) => number;
		onlamp: (oven: OvenOn) => void;
		onread: (oven: OvenOn, celsius: number) => void;
	}
	const { ovens, clock, nameOf, wallOf, onlamp, onread }: Props = $props();

	const units = getUnits();
	/** What is being dialled, by oven, until it is said. */
	const dialled: Record<string, number | undefined> = $state({});
	const at = (o: OvenOn) => dialled[o.lane] ?? o.read ?? o.setting;
	/** A lamp can tell as long as nobody has, and nothing went in long ago. */
	const mayTell = (o: OvenOn) => o.told === undefined && clock < o.hot + 600;
</script>

<ul>
	{#each ovens as o (o.lane)}
		<li>
			<div class="row">
				<p>
					<strong>{nameOf(o.lane)}</strong>
					{units.say(`${o.setting} °C`)}{#if o.knob !== o.setting}, {units.say(`its knob at ${o.knob} °C`)}{/if}
					<span class="soft"
						>set at {formatClock(wallOf(o.since))}, {#if o.told !== undefined}hot at {formatClock(
								wallOf(o.told)
							)}{:else if clock < o.hot}to be hot by {formatClock(wallOf(o.hot))}{:else}hot by the plan{/if}{#if o.read !== undefined},
							{units.say(`read ${o.read} °C`)}{/if}</span
					>
				</p>
				{#if mayTell(o)}<button
						type="button"
						onclick={() => {
							onlamp(o);
						}}>Its lamp says hot</button
					>{/if}
			</div>
			<div class="row">
				<Stepper
					label="Thermometer"
					value={at(o)}
					least={40}
					most={400}
					step={5}
					unit="°C"
					onchange={(celsius) => {
						dialled[o.lane] = celsius;
					}}
				/>
				<button
					type="button"
					onclick={() => {
						onread(o, at(o));
						dialled[o.lane] = undefined;
					}}>Keep {units.say(`${at(o)} °C`)}</button
				>
			</div>
		</li>
	{/each}
</ul>

<style>
	ul {
		display: grid;
		gap: var(--space-2);
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
	p {
		flex: 1;
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
