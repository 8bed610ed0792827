<!-- The steps of a part: how long each takes, with its spread, and why. -->
<script lang="ts">
	import type { Part } from '../../core/model/meal';
	import type { SpokenStep } from '../../core/words/speak';
	import type { Technique } from '../../core/model/technique';
	import { formatDuration } from '../../core/units/time';

	interface Props {
		part: Part;
		technique: Technique;
		covers: number;
		steps: readonly SpokenStep[];
	}
	const { part, technique, covers, steps }: Props = $props();

	const scaled = (id: string) => {
		const scale = technique.steps.find((s) => s.id === id)?.time.scale ?? [];
		const words = scale.map(({ by, exponent }) => {
			const parameter = technique.parameters.find((p) => p.id === by);
			const much = exponent === 1 ? '' : exponent > 1 ? ', more than in step' : ', less than in step';
			return `grows with ${parameter ? parameter.name.toLowerCase() : `the number of people (${covers})`}${much}`;
		});
		return ['a starting estimate, until your records correct it', ...words].join('; ');
	};
</script>

<table>
	<thead><tr><th>Step</th><th>Takes</th><th>Spread</th><th>Why</th></tr></thead>
	<tbody>
		{#each steps as step (step.id)}
			<tr>
				<td>{step.say}</td>
				<td>{formatDuration(step.to - step.from)}</td>
				<td>{formatDuration(step.shortest)}–{formatDuration(step.longest)}</td>
				<td>
					{#if step.reason}
						{step.reason.from}. <span class="soft">{step.reason.model}. {step.reason.off}.</span>
					{:else}
						{scaled(step.id.slice(part.id.length + 1))}
					{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	table {
		width: 100%;
		margin-top: var(--space-1);
		border-collapse: collapse;
		font-size: var(--text-s);
	}
	th,
	td {
		padding: 3px var(--space-3) 3px 0;
		border-top: 1px solid var(--rim);
		text-align: left;
		vertical-align: top;
	}
	th,
	.soft {
		color: var(--ink-soft);
		font-weight: 400;
	}
	@media (max-width: 700px) {
		td:last-child,
		th:last-child {
			display: none;
		}
	}
</style>
