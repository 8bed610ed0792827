<!-- The steps of an evening: what was thought, what it took, and where in the band that lies. -->
<script lang="ts">
	import { tookOf, type CookedEvening, type CookedStep } from '../../core/record/evening';
	import { plainSay, wordNoLesson, wordTook } from '../../core/words/record';
	import { formatClock, formatDuration } from '../../core/units/time';

	interface Props {
		evening: CookedEvening;
		chosen: string | undefined;
		onchoose: (id: string) => void;
	}
	const { evening, chosen, onchoose }: Props = $props();

	const partName = (s: CookedStep) => evening.parts.find((p) => p.id === s.part)?.name ?? '';
	const steps = $derived(evening.steps.toSorted((a, b) => (a.began ?? a.from) - (b.began ?? b.from)));
	/** Place of a time in the drawing of its band: p10 at a quarter, p90 at three quarters, on the logarithm. */
	function placeOf(s: CookedStep, seconds: number): number {
		const width = Math.max(0.02, Math.log(s.p90 / s.p10));
		return Math.min(98, Math.max(2, 25 + (50 * Math.log(seconds / s.p10)) / width));
	}
</script>

<div class="scroll">
	<table>
		<thead>
			<tr>
				<th>Step</th>
				<th>Begun</th>
				<th class="number">Thought</th>
				<th class="number">Took</th>
				<th class="band">In its band</th>
			</tr>
		</thead>
		<tbody>
			{#each steps as s (s.id)}
				{@const took = tookOf(s)}
				<tr aria-selected={chosen === s.id}>
					<td>
						<button
							type="button"
							onclick={() => {
								onchoose(s.id);
							}}>{plainSay(s)}</button
						>
						<span class="soft">{partName(s)}</span>
					</td>
					<td
						>{formatClock(s.began ?? s.from)}{#if s.began === undefined}<span class="soft"> planned</span>{/if}</td
					>
					<td class="number">{formatDuration(s.p50)}</td>
					<td class="number">{took === undefined ? '' : formatDuration(took)}</td>
					<td class="band">
						<span class="bar" aria-hidden="true">
							<span class="inside"></span>
							{#if took !== undefined}<span
									class="dot"
									data-out={took < s.p10 || took > s.p90}
									style:left="{placeOf(s, took)}%"
								></span>{/if}
						</span>
						<span class="say"
							>{wordTook(s)}{#if wordNoLesson(s) !== ''}; {wordNoLesson(s)}{/if}</span
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.scroll {
		overflow-x: auto;
	}
	table {
		width: 100%;
		border-collapse: collapse;
		background: var(--enamel);
		border-radius: var(--corner);
	}
	th {
		padding: var(--space-2);
		text-align: left;
		color: var(--ink-soft);
		font-size: var(--text-s);
		font-weight: 600;
	}
	td {
		padding: 0 var(--space-2);
		border-top: 1px solid var(--rim);
	}
	tr[aria-selected='true'] td {
		background: color-mix(in oklab, var(--copper-fill) 14%, transparent);
	}
	button {
		min-height: var(--touch);
		padding: 0;
		border: 0;
		background: none;
		text-align: left;
		font-weight: 600;
		justify-content: start;
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.number {
		text-align: right;
		white-space: nowrap;
	}
	.band {
		width: 40%;
		min-width: 14rem;
	}
	.bar {
		position: relative;
		display: inline-block;
		vertical-align: middle;
		width: 110px;
		height: 10px;
		border-radius: 5px;
		background: var(--enamel-2);
		box-shadow: inset 0 0 0 1px var(--rim);
	}
	.inside {
		position: absolute;
		inset: 1px 25%;
		background: var(--herb-wash);
		border-inline: 2px solid var(--herb-fill);
	}
	.dot {
		position: absolute;
		top: -1px;
		width: 12px;
		height: 12px;
		margin-left: -6px;
		border-radius: 50%;
		background: var(--herb-fill);
	}
	.dot[data-out='true'] {
		border-radius: 2px;
		background: var(--alarm);
	}
	.say {
		margin-left: var(--space-2);
		font-size: var(--text-s);
		color: var(--ink-soft);
	}
</style>
