<!-- All ways to make a part in one table, each planned with the rest of the meal; sorted by any column, taken from here. -->
<script lang="ts">
	import type { Technique } from '../../core/model/technique';
	import { sortedWays, wayOf, type Way, type WayColumn } from '../../core/plan/advise/ways';
	import { formatClock, formatDuration } from '../../core/units/time';
	import type { WaysProps } from './ways';

	const { part, technique, others, plan, onpreview, ontake }: WaysProps = $props();

	interface Row {
		readonly technique: Technique;
		readonly way: Way | undefined;
		/** Why it has no plan; absent while it is planned. */
		readonly why?: readonly string[];
	}
	let rows: readonly Row[] = $state.raw([]);
	let by: WayColumn = $state('minutes');
	let isPlanning = $state(false);
	const sorted = $derived(sortedWays(rows, by));
	const columns: readonly (readonly [WayColumn, string])[] = [
		['minutes', 'Takes'],
		['hands', 'Hands'],
		['begins', 'Must start'],
		['most', 'Keeps'],
		['evening', 'Evening']
	];

	const wordMoves = (names: readonly string[]) =>
		names.length === 0 ? 'nothing' : names.length < 3 ? names.join(', ') : `${names.length} other parts`;

	async function compare(): Promise<void> {
		isPlanning = true;
		rows = others.map((t): Row => ({ technique: t, way: undefined }));
		let now: Parameters<typeof wayOf>[0] = plan;
		// One after the other: a newer look takes the place of an older one. What is there now comes first, planned as shortly.
		for (const other of others.toSorted((a, b) => Number(b === technique) - Number(a === technique))) {
			const found = await onpreview(other);
			if (other === technique && 'steps' in found) now = found;
			const row: Row =
				'steps' in found
					? { technique: other, way: wayOf(now, found, part.id, other) }
					: { technique: other, way: undefined, why: found };
			rows = rows.map((r) => (r.technique.id === other.id ? row : r));
		}
		isPlanning = false;
	}
</script>

<div class="ways">
	<button type="button" disabled={isPlanning} onclick={() => void compare()}
		>{isPlanning ? 'Planning each …' : `Compare all ${others.length} ways`}</button
	>
	{#if rows.length > 0}
		<div class="scroll">
			<table>
				<caption class="out-of-sight">Ways to make {part.name}</caption>
				<thead>
					<tr>
						<th scope="col">Way</th>
						{#each columns as [column, name] (column)}
							<th
								scope="col"
								aria-sort={by === column
									? column === 'begins' || column === 'most'
										? 'descending'
										: 'ascending'
									: 'none'}
							>
								<button
									type="button"
									class="sort"
									aria-label="Sort by {name.toLowerCase()}"
									onclick={() => {
										by = column;
									}}>{name}{by === column ? ' ▾' : ''}</button
								>
							</th>
						{/each}
						<th scope="col">Where</th>
						<th scope="col">Moves</th>
						<th scope="col"><span class="out-of-sight">Take it</span></th>
					</tr>
				</thead>
				<tbody>
					{#each sorted as row (row.technique.id)}
						{@const { way, why } = row}
						<tr>
							<th scope="row">{row.technique.name}</th>
							{#if way}
								<td>{formatDuration(way.minutes)}</td>
								<td>{way.hands < 30 ? 'none' : formatDuration(way.hands)}</td>
								<td>{formatClock(way.begins)}</td>
								<td
									>{formatDuration(way.most)}{#if way.before !== undefined}, or {formatDuration(way.before)} made before{/if}</td
								>
								<td
									>{formatDuration(way.evening)}{#if way.late > 0}<b class="bad">, {formatDuration(way.late)} late</b
										>{/if}</td
								>
								<td>{way.stations.join(', ')}</td>
								<td>{wordMoves(way.moves)}</td>
							{:else}
								<td colspan="7">{why === undefined ? 'planning …' : `no plan: ${why[0] ?? ''}`}</td>
							{/if}
							<td>
								{#if row.technique.id === technique.id}<span class="soft">now</span>{:else}
									<button
										type="button"
										disabled={!way}
										aria-label="Take {row.technique.name}"
										onclick={() => {
											rows = [];
											ontake(row.technique);
										}}>Take</button
									>
								{/if}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
</div>

<style>
	.ways {
		display: grid;
		justify-items: start;
		gap: var(--space-2);
		min-width: 0;
	}
	.scroll {
		max-width: 100%;
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		font-size: var(--text-s);
	}
	th,
	td {
		padding: var(--space-1) var(--space-2);
		border-top: 1px solid var(--rim);
		text-align: left;
		vertical-align: top;
		font-weight: 400;
	}
	thead th {
		vertical-align: bottom;
		font-weight: 700;
	}
	tbody th {
		min-width: 9rem;
		font-weight: 700;
	}
	.sort {
		min-height: 0;
		padding: 0;
		font-size: inherit;
		border-color: transparent;
		background: transparent;
		font-weight: 700;
	}
	.bad {
		color: var(--alarm);
	}
	.soft {
		color: var(--ink-soft);
	}
</style>
