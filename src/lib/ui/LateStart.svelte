<!-- That it is too late to begin as planned, by the clock on the wall, and one touch for what is possible still. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import { withBeginningAt } from '../core/model/edit-meal';
	import type { Meal } from '../core/model/meal';
	import type { Plan } from '../core/model/plan';
	import { lateStart } from '../core/run/late-start';
	import { formatClock, timeOfDay } from '../core/units/time';
	import { wordLateStart } from '../core/words/evening';

	interface Props {
		plan: Plan;
		meal: Meal;
		isCooked: (meal: string) => Promise<boolean>;
		/** Put the meal in force that begins now. */
		onbegin: (meal: Meal) => void;
	}
	const { plan, meal, isCooked, onbegin }: Props = $props();

	/** By the clock on the wall; a page built ahead has none. */
	let now: number | undefined = $state();
	onMount(() => {
		const read = () => {
			now = timeOfDay(new Date());
		};
		read();
		const ticking = setInterval(read, 20_000);
		return () => {
			clearInterval(ticking);
		};
	});

	/** The meal that is known not to be cooked yet. */
	let waiting = $state('');
	$effect(() => {
		const { id } = meal;
		void isCooked(id).then((is) => {
			waiting = is ? '' : id;
		});
	});
	const late = $derived(now === undefined || waiting !== meal.id ? undefined : lateStart(plan, now));
</script>

{#if late && now !== undefined}
	{@const at = now}
	<p class="clocked" role="status">
		{wordLateStart(plan, late)}
		<button
			type="button"
			onclick={() => {
				onbegin(withBeginningAt(meal, at, late.by));
			}}>Begin now, serve {formatClock(late.possible)}</button
		>
		<span class="soft">Or leave it: the plan is for another day.</span>
	</p>
{/if}

<style>
	.clocked {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
		padding: var(--space-2) var(--space-4);
		border-left: 6px solid var(--saffron);
		border-radius: var(--corner);
		background: var(--saffron-wash);
	}
	.soft {
		color: var(--ink-soft);
	}
</style>
