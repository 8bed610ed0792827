<!-- A tray that several parts share: all that lies on it, to scale, and when each is added. -->
<script lang="ts">
	import { layKinds } from './lay-pieces';
	import type { SharedTray } from '../../core/plan/compile/trays';
	import { wordAdded, wordFull } from '../../core/words/loads';
	import Swatch from '../Swatch.svelte';
	import { getUnits } from '../units';

	const { shared }: { shared: SharedTray } = $props();

	const units = getUnits();
	const names = $derived(shared.members.map((m) => m.part.name).join(' · '));
	const added = $derived(wordAdded(shared));
	/** As the last of them goes in: what lies there already has shrunk. */
	const kinds = $derived.by(() => {
		const last = shared.members.at(-1)?.seconds ?? 0;
		return shared.members.map(({ load, loss, seconds }) => {
			const shrunk = (1 - loss * (1 - last / seconds)) ** (1 / 3);
			const { long = 0, wide = 0 } = load.piece ?? {};
			return { count: Math.ceil(load.whole / shared.vessels), long: long * shrunk, wide: wide * shrunk };
		});
	});
	const laid = $derived(layKinds(kinds, shared.tray));
	const cm = (metres: number) => metres * 100;
</script>

<article>
	<h3>{names}</h3>
	<p><strong>{shared.vessels > 1 ? `On ${shared.vessels} trays, each like this` : 'On one tray'}</strong></p>
	<svg
		viewBox="-1 -1 {cm(shared.tray.length) + 2} {cm(shared.tray.width) + 2}"
		role="img"
		aria-label="{shared.members
			.map((m, i) => `${kinds[i]?.count ?? 0} pieces of ${m.part.name}`)
			.join(', ')} on the {shared.tray.name}, to scale"
	>
		<rect class="vessel" width={cm(shared.tray.length)} height={cm(shared.tray.width)} rx="1.5" />
		{#each laid as pieces, k (k)}
			{@const round = shared.members[k]?.load.piece?.kind === 'round'}
			{#each pieces as at, i (i)}
				<rect
					class="piece"
					style:fill="var(--tone-{shared.members[k]?.part.tone})"
					x={cm(at.x - at.long / 2)}
					y={cm(at.y - at.wide / 2)}
					width={cm(at.long)}
					height={cm(at.wide)}
					rx={round ? cm(at.long) / 2 : 0.4}
				/>
			{/each}
		{/each}
	</svg>
	<ol>
		{#each shared.members as { part }, i (part.id)}
			<li><Swatch tone={part.tone} /> {units.say(added[i] ?? '')}</li>
		{/each}
	</ol>
	<p class="soft">{units.say(`${shared.tray.name}; at ${shared.settings[0]} °C. ${wordFull(shared)}`)}</p>
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
	svg {
		width: 100%;
		max-height: 13rem;
	}
	.vessel {
		fill: var(--enamel-2);
		stroke: var(--ink);
		stroke-width: 0.6;
	}
	.piece {
		fill-opacity: 0.85;
		stroke: var(--ink);
		stroke-width: 0.15;
	}
	ol {
		margin: 0;
		padding: 0;
		list-style: none;
	}
	li {
		display: flex;
		align-items: center;
		gap: var(--space-2);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
