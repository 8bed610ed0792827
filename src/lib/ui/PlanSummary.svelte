<!-- One glance at a plan: what it is for, when to begin, whether it is on time, how good it is. -->
<script lang="ts">
	import { hasRoom } from '../core/model/edit-meal';
	import { serviceOf, type Meal } from '../core/model/meal';
	import type { Kitchen } from '../core/model/kitchen';
	import { formatClock, formatDuration } from '../core/units/time';
	import { isHard } from '../core/plan/warnings';
	import { clock } from '../core/safety/rules';
	import { wordBegin } from '../core/words/evening';
	import { wordCare } from '../core/words/steps';
	import type { Planning } from '../state/planning.svelte';
	import LateStart from './LateStart.svelte';
	import { getUnits } from './units';

	interface Props {
		planning: Planning;
		/** The meal that is open: what is said of it holds while its plan is not there yet. */
		meal: Meal;
		kitchen: Kitchen;
		/** Put the meal of a cure in force. */
		oncure: (cure: { readonly meal: Meal }) => void;
		/** How likely it is on time, in words; absent where that is nobody's question. */
		chance?: string | undefined;
		/** Whether a meal is being cooked today: then it has begun. */
		isCooked: (meal: string) => Promise<boolean>;
	}
	const { planning, meal, kitchen, oncure, chance, isCooked }: Props = $props();

	const units = getUnits();

	const { plan, isCurrent, isWorking, spent, problems, cures } = $derived(planning);

	const cooks = $derived(kitchen.cooks.length === 1 ? 'one cook' : `${kitchen.cooks.length} cooks`);
	const isEmpty = $derived(meal.parts.length === 0);
	const isOf = $derived(plan.meal === meal.id && isCurrent);
	const services = $derived(
		(isOf ? plan.services : meal.courses.map((c) => ({ name: c.name, at: serviceOf(meal, c) })))
			.map((s) => `${s.name.toLowerCase()} ${formatClock(s.at)}`)
			.join(', ')
	);
	const late = $derived(plan.services.filter((s) => s.at > s.due));
	const longest = $derived(
		plan.parts.reduce(
			(a, b) => (b.wait - b.free > a.wait - a.free ? b : a),
			plan.parts[0] ?? { name: '', wait: 0, free: 0 }
		)
	);
	/** Hundredths by which a better plan could cost less, where that is known. */
	const gap = $derived(plan.bound > 0 ? Math.ceil((100 * (plan.objective - plan.bound)) / plan.objective) : undefined);
	/** When that would be served. */
	const wordCure = (cured: typeof plan) =>
		`begin ${formatClock(cured.from)}, ${cured.services.map((s) => `${s.name.toLowerCase()} ${formatClock(s.at)}`).join(', ')}`;
	const wordBetween = (p: { readonly name: string; readonly between: number }) =>
		`${p.name} is ${formatDuration(p.between)} neither cold nor hot: more than ${formatDuration(clock.afterCooking.trade)} is not to be eaten. Begin it later, keep it hot, or cool it in time.`;
	/** What a plan must not go on with, each once; guests who must not have all that they get. */
	const unsafe = $derived(
		isOf
			? [
					...new Set(plan.steps.flatMap((s) => s.care.filter(isHard).map((c) => units.say(wordCare(c))))),
					...plan.parts.filter((p) => p.between > clock.afterCooking.trade).map(wordBetween)
				]
			: []
	);
	const clashes = $derived(isOf ? plan.clashes : []);
	const notFor = $derived([...new Set(clashes.map((c) => c.name))]);
	const overdue = $derived(longest.wait - longest.free);
</script>

<div class="summary">
	<h1>{meal.name}</h1>
	<p class="for">
		{meal.covers} at {kitchen.name} · {cooks} · {services}{isOf ? ` · ${wordBegin(plan)}` : ''}
	</p>
	<div class="state" role="status">
		{#if isEmpty}
			<p class="busy">Nothing to cook yet</p>
		{:else if problems.length > 0}
			<p class="bad">No plan</p>
		{:else if !isCurrent}
			<p class="busy">Planning …</p>
		{:else if late.length > 0}
			<p class="bad">
				{late.map((s) => `${s.name} ${formatDuration(s.at - s.due)} late`).join(', ')}{hasRoom(meal)
					? ': room behind the steps may be why'
					: ''}
			</p>
		{:else if unsafe.length > 0}
			<p class="bad">Not safe as it is</p>
		{:else if notFor.length > 0}
			<p class="bad">Not for {notFor.join(', ')}</p>
		{:else}
			<p class="good">On time</p>
		{/if}
		{#if problems.length === 0 && isCurrent && !isEmpty}
			<p class="proof">
				{overdue > 30 ? `past its best: ${longest.name}, ${formatDuration(overdue)}` : 'nothing waits too long'} ·
				{#if unsafe.length > 0 || clashes.length > 0}to be mended first{:else if plan.status === 'optimal'}proven the
					best{:else if gap !== undefined}at most {gap} % from the best{:else if isWorking}looking for a better plan{:else}best
					found{/if}
			</p>
			{#if chance}<p class="proof"><a href="#odds">{chance}</a></p>{/if}
		{/if}
	</div>
	{#if isWorking}
		<div class="work">
			<progress max="1" value={spent} aria-label="Work done on the plan"></progress>
			<button
				type="button"
				onclick={() => {
					planning.stop();
				}}>Stop</button
			>
		</div>
	{/if}
</div>
{#if isOf && !isEmpty && problems.length === 0}
	<LateStart
		{plan}
		{meal}
		{isCooked}
		onbegin={(changed) => {
			oncure({ meal: changed });
		}}
	/>
{/if}
{#if unsafe.length > 0 && problems.length === 0}
	<ul class="problems" role="alert" aria-label="Not safe as it is">
		{#each unsafe as say, i (i)}<li>{say}</li>{/each}
	</ul>
{/if}
{#if clashes.length > 0 && problems.length === 0}
	<p class="guests">
		{notFor.join(', ')}: {clashes.length === 1 ? 'one thing is' : `${clashes.length} things are`} not for everybody.
		<a href="/menu/guests">See what, and what to do</a>
	</p>
{/if}
{#if problems.length > 0 && !isEmpty}
	<ul class="problems" role="alert">
		{#each problems as problem, i (i)}<li>{problem}</li>{/each}
		{#if cures.length > 0}
			<li class="cures">
				<p>One of these would do:</p>
				<ul aria-label="Cures">
					{#each cures as cure (cure.id)}
						<li>
							<span>{cure.say}</span>
							<span class="soft">{wordCure(cure.plan)}</span>
							{#if cure.apply}
								{@const change = cure.apply}
								<button
									type="button"
									aria-label="Apply: {cure.say}"
									onclick={() => {
										oncure(change);
									}}>Apply</button
								>
							{/if}
						</li>
					{/each}
				</ul>
			</li>
		{/if}
	</ul>
{/if}

<style>
	.summary {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: var(--space-1) var(--space-4);
		min-height: var(--touch);
	}
	.for {
		flex: 1 1 18rem;
		color: var(--ink-soft);
	}
	.state {
		margin-left: auto;
		text-align: right;
	}
	.guests {
		color: var(--alarm);
	}
	.good {
		color: var(--herb);
		font-weight: 700;
	}
	.bad {
		color: var(--alarm);
		font-weight: 700;
	}
	.busy {
		font-weight: 700;
	}
	.proof {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.work {
		display: flex;
		align-items: center;
		gap: var(--space-2);
	}
	progress {
		width: 5rem;
		accent-color: var(--copper-fill);
	}
	.cures {
		margin-top: var(--space-2);
		list-style: none;
	}
	.cures li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
		min-height: var(--touch);
	}
	.cures li span:first-child {
		font-weight: 600;
	}
	.soft {
		color: var(--ink-soft);
	}
	.problems {
		margin-top: var(--space-2);
		padding: var(--space-3) var(--space-4);
		border-left: 6px solid var(--alarm);
		border-radius: var(--corner);
		background: var(--alarm-wash);
	}
</style>
