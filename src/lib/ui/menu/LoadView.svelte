<!-- One load: how it is split, why, and how it lies on its tray or in its pan, to scale. -->
<script lang="ts">
	import { layPieces } from './lay-pieces';
	import type { Batches } from '../../core/plan/compile/load';
	import { wordBatches, wordLoad } from '../../core/words/loads';
	import { getUnits } from '../units';

	interface Props {
		name: string;
		say: string;
		load: Batches;
	}
	const { name, say, load }: Props = $props();

	const units = getUnits();
	const why = $derived(units.say(wordLoad(load)));
	const warning = $derived.by(() => {
		const words = wordBatches(load);
		return words === undefined ? undefined : units.say(words);
	});

	const perVessel = $derived(Math.ceil(load.whole / (load.batches * load.vessels)));
	const words = $derived.by(() => {
		const { batches, vessels, on, unit, whole } = load;
		const all = unit === 'pieces' ? `${whole} pieces` : `${whole.toFixed(1)} ${unit}`;
		const at = vessels > 1 ? (on === 'dish' ? ` in ${vessels} dishes` : ` on ${vessels} ${on}s`) : '';
		return batches === 1 ? `${all}${at}, at once` : `${all}${at}, in ${batches} batches`;
	});
	const laid = $derived(load.piece && load.vessel ? layPieces(perVessel, load.piece, load.vessel) : []);
	const cm = (metres: number) => metres * 100;
</script>

<article data-split={load.batches > 1}>
	<h3>{name}</h3>
	<p class="soft">{say}</p>
	<p><strong>{units.say(words)}</strong></p>
	{#if load.piece && load.vessel}
		{@const { piece, vessel } = load}
		<svg
			viewBox="-1 -1 {cm(vessel.length) + 2} {cm(vessel.width) + 2}"
			role="img"
			aria-label="{perVessel} pieces on the {vessel.name}, to scale"
		>
			<rect
				class="vessel"
				width={cm(vessel.length)}
				height={cm(vessel.width)}
				rx={vessel.isRound ? cm(vessel.length) / 2 : 1.5}
			/>
			{#each laid as at, i (i)}
				<rect
					class="piece"
					x={cm(at.x - at.long / 2)}
					y={cm(at.y - at.wide / 2)}
					width={cm(at.long)}
					height={cm(at.wide)}
					rx={piece.kind === 'round' ? cm(piece.long) / 2 : 0.4}
				/>
			{/each}
		</svg>
		<p class="soft">{units.say(vessel.name)}, {Math.round(100 * load.coverage)} % covered. {why}</p>
	{:else}
		<div
			class="bar"
			role="img"
			aria-label={units.say(
				`${(load.whole / load.batches).toFixed(2)} ${load.unit} of at most ${load.most.toFixed(2)} ${load.unit}`
			)}
		>
			<span style:width="{Math.min(100, (100 * load.whole) / load.batches / load.most)}%"></span>
		</div>
		<p class="soft">{why}</p>
	{/if}
	{#if warning}<p class="warning">{warning}</p>{/if}
</article>

<style>
	article {
		display: grid;
		align-content: start;
		gap: var(--space-1);
		padding: var(--space-3) var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	svg {
		width: 100%;
		max-height: 11rem;
	}
	.vessel {
		fill: var(--enamel-2);
		stroke: var(--ink);
		stroke-width: 0.6;
	}
	.piece {
		fill: var(--copper-fill);
		fill-opacity: 0.75;
		stroke: var(--copper);
		stroke-width: 0.2;
	}
	.bar {
		height: 1.1rem;
		border: 1.5px solid var(--ink);
		border-radius: 6px;
		overflow: hidden;
	}
	.bar span {
		display: block;
		height: 100%;
		background: var(--copper-fill);
	}
	.warning {
		padding: var(--space-2) var(--space-3);
		border-left: 6px solid var(--saffron);
		background: var(--saffron-wash);
		font-size: var(--text-s);
	}
</style>
