<!-- The parts at the pass as a list, in plating order: the plan in words, and what the drawing shows where it is narrow. -->
<script lang="ts">
	import type { SpokenPlan } from '../../core/words/speak';
	import { clock } from '../../core/safety/rules';
	import { clashesOfPart, wordShortly } from '../../core/words/guests';
	import { wordInto } from '../../core/words/steps';
	import { formatClock, formatDuration } from '../../core/units/time';
	import Swatch from '../Swatch.svelte';

	interface Props {
		plan: SpokenPlan;
		onchoose: (step: string) => void;
	}
	const { plan, onchoose }: Props = $props();

	const lastStep = (part: string) =>
		plan.steps
			.filter((s) => s.part === part)
			.toSorted((a, b) => a.to - b.to)
			.at(-1)?.id ?? '';
	const firstStep = (part: string) => plan.steps.filter((s) => s.part === part).toSorted((a, b) => a.from - b.from)[0];
</script>

<div class="courses">
	{#each plan.services as service (service.course)}
		<section>
			<h2>{service.name} <span>{formatClock(service.at)}</span></h2>
			{#if service.warm !== undefined}<p class="soft">plates to warm at {formatClock(service.warm)}</p>{/if}
			<ol>
				{#each plan.parts.filter((p) => p.course === service.course) as part (part.id)}
					{@const into = wordInto(part, plan)}
					<li>
						<button
							type="button"
							onclick={() => {
								onchoose(lastStep(part.id));
							}}
						>
							<Swatch tone={part.tone} />
							<span class="name">{part.name}</span>
							<span class="soft">
								from {formatClock(firstStep(part.id)?.from ?? part.ready)}, ready {formatClock(part.ready)},
								{#if into !== undefined}into {into} at {formatClock(part.plated)}
								{:else}{part.wait < 60 ? 'straight to the plate' : `waits ${formatDuration(part.wait)}`}{/if}
								{#if part.before}· made before, {part.before}{/if}
								{#if part.allergens?.length}
									· <span class="tags">contains {part.allergens.join(', ')}</span>
								{/if}
								{#each clashesOfPart(part, plan.clashes) as clash, i (i)}
									· <span data-over="true">{wordShortly(clash)}</span>
								{/each}
								{#if part.between > 0}
									· <span data-over={part.between > clock.afterCooking.home}
										>{formatDuration(part.between)} between cold and hot, of {formatDuration(clock.afterCooking.home)} at
										the most; local codes rule</span
									>
								{/if}
							</span>
						</button>
					</li>
				{/each}
			</ol>
		</section>
	{/each}
</div>

<style>
	[data-over='true'] {
		color: var(--alarm);
		font-weight: 600;
	}
	.courses {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(26rem, 100%), 1fr));
		gap: var(--space-4);
		margin-top: var(--space-4);
	}
	h2 {
		margin-bottom: var(--space-2);
	}
	h2 span,
	.soft {
		color: var(--ink-soft);
		font-weight: 400;
	}
	li + li {
		margin-top: var(--space-1);
	}
	button {
		justify-content: flex-start;
		width: 100%;
		padding-block: var(--space-1);
		border-color: transparent;
		text-align: left;
	}
	.tags {
		color: var(--saffron-ink);
	}
	.name {
		flex: 0 0 11rem;
		font-weight: 600;
	}
	.soft {
		font-size: var(--text-s);
	}
</style>
