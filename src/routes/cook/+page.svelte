<!-- Cook: the live run. What is now, what is next, what is on. -->
<script lang="ts">
	import { SvelteMap, SvelteSet } from 'svelte/reactivity';
	import { onMount, untrack } from 'svelte';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import type { ComponentProps } from 'svelte';
	import { bowlsOf } from '$lib/core/model/bowls';
	import { asPlanned } from '$lib/core/plan/describe/as-planned';
	import { wordReady, wordTaken } from '$lib/core/words/amounts';
	import type { Cue } from '$lib/core/run/cues';
	import { wordNotFor } from '$lib/core/words/guests';
	import { inUnits } from '$lib/core/words/quantities';
	import { speakCue, speakMoved } from '$lib/core/words/speak';
	import { wordFilled } from '$lib/core/words/steps';
	import { getApp } from '$lib/state/app.svelte';
	import { clocks, newName, zone } from '$lib/state/clocks';
	import { Running } from '$lib/state/running.svelte';
	import type { PlannedStep } from '$lib/core/model/plan';
	import type { Told } from '$lib/core/probe/estimate';
	import { playing } from '$lib/core/probe/simulate';
	import { probedAs, mayBeProbed, readingsIn } from '$lib/core/run/probed';
	import { nextHelper, withCrew, withHeats } from '$lib/core/run/posts';
	import CrewPanel from '$lib/ui/cook/CrewPanel.svelte';
	import ClockBar from '$lib/ui/cook/ClockBar.svelte';
	import NextList from '$lib/ui/cook/NextList.svelte';
	import ProbePanel from '$lib/ui/cook/ProbePanel.svelte';
	import FirePanel from '$lib/ui/cook/FirePanel.svelte';
	import NowCard from '$lib/ui/cook/NowCard.svelte';
	import OnList from '$lib/ui/cook/OnList.svelte';
	import RunNotes from '$lib/ui/cook/RunNotes.svelte';
	import { commandOf } from '$lib/ui/cook/keys';

	const app = getApp();
	const running: Running = new Running(
		untrack(() => app.planning.plan),
		// Another meal may have been opened meanwhile.
		(standing, onPlan) => {
			const cooked = app.meals.find((m) => m.id === standing.plan.meal) ?? app.meal;
			const situation = app.situationOf(cooked);
			const fired = withHeats(situation.kitchen, standing.heats ?? new Map());
			const kitchen = standing.crew ? withCrew(fired, standing.crew) : fired;
			return app.planning.replan({ ...situation, kitchen }, standing, onPlan);
		},
		{ clocks, zone, newId: newName, by: 'this device' }
	);
	const view = $derived(running.view);
	const nextShown = 8;
	const spoken = (cue: Cue) => speakCue(cue, view.plan, app.measure.now);
	/** Whose cues are shown; empty: everybody's. */
	let only = $state('');
	const isShown = (cue: Cue) => only === '' || cue.cook === undefined || cue.cook === only;
	const now = $derived(view.now.filter(isShown).map(spoken));
	const next = $derived(view.next.filter(isShown).slice(0, nextShown).map(spoken));
	const kitchen = $derived(app.situationOf(app.meals.find((m) => m.id === plan.meal) ?? app.meal).kitchen);
	const on = $derived(
		view.on.map((o) => ({
			...o,
			say: inUnits(wordFilled(o.step.say, o.step), app.measure.now),
			next: o.next && spoken(o.next)
		}))
	);
	const { wallOf } = running;
	const plan = $derived(running.run.plan);
	const partOf = (id: string | undefined) => plan.parts.find((p) => p.id === id);
	const toneOf = (id: string) => partOf(id)?.tone ?? 0;
	/** The plan on the table is another than the one being cooked. */
	const isOther = $derived(
		app.planning.isCurrent && JSON.stringify(app.planning.plan.steps) !== JSON.stringify(plan.steps)
	);
	const hasBegun = $derived(running.hasBegun);
	/** What is set out for the meal that is cooked. */
	const bowls = $derived.by(() => {
		const meal = app.meals.find((m) => m.id === plan.meal);
		return meal ? bowlsOf(asPlanned(meal, plan), app.techniques) : [];
	});
	/** What goes into the step that a cue begins, what has to stand ready, and whose it is. */
	function laidOut({ step: id, kind, cook }: Cue): Pick<ComponentProps<typeof NowCard>, 'taken' | 'ready' | 'cook'> {
		const step = kind === 'start' || kind === 'touch' ? view.plan.steps.find((s) => s.id === id) : undefined;
		const own = (words: readonly string[]) => words.map((w) => inUnits(w, app.measure.now));
		const name = plan.cooks.length > 1 ? (plan.cooks.find((c) => c.id === cook)?.name ?? '') : '';
		if (!step) return { taken: [], ready: [], cook: name };
		return { taken: own(wordTaken(step, view.plan, bowls)), ready: own(wordReady(step, view.plan, bowls)), cook: name };
	}
	/** What is on that a probe may be in; what each stream says; those that play. */
	const probed = $derived(
		on
			.filter((o) => mayBeProbed(o.step, view.plan.steps))
			.map(({ step, say }) => ({ step, say, name: partOf(step.part)?.name ?? step.part }))
	);
	const told = new SvelteMap<string, Told>();
	const players = new SvelteMap<string, (seconds: number) => number>();
	/** Readings that were asked about, by step; those that are being worked out. */
	const asked: Record<string, number> = {};
	const asking = new SvelteSet<string>();
	/** A probe that plays reads this often, seconds. */
	const playEvery = 10;
	function play(step: PlannedStep, isOn: boolean): void {
		const food = isOn ? probedAs(step) : undefined;
		if (food) players.set(step.id, playing(food, food.medium, step.from));
		else players.delete(step.id);
	}
	$effect(() => {
		const { now } = running;
		untrack(() => {
			for (const { step } of probed) {
				const readings = readingsIn(step, view.readings);
				const player = players.get(step.id);
				const at = now - step.from;
				if (player && at - (readings.at(-1)?.[0] ?? -Infinity) >= playEvery)
					running.probe(step.part, Number(player(at).toFixed(1)));
			}
		});
	});
	$effect(() => {
		for (const { step } of probed) {
			const readings = readingsIn(step, view.readings);
			const isAsked = untrack(() => asking.has(step.id));
			if (readings.length === 0 || asked[step.id] === readings.length || isAsked) continue;
			asked[step.id] = readings.length;
			untrack(() => asking.add(step.id));
			void app.planning
				.probe(
					step,
					readings,
					untrack(() => running.now - step.from)
				)
				.then((answer) => {
					asking.delete(step.id);
					if (answer) told.set(step.id, answer);
				});
		}
	});
	onMount(() => {
		return () => {
			running.stop();
		};
	});
	// The database opens after the page: a run that was begun is taken up then.
	let isStarted = false;
	$effect(() => {
		if (!app.isReady || isStarted) return;
		isStarted = true;
		untrack(() => void running.start(app.runs));
	});
	// Until a run has begun it follows the plan.
	$effect(() => {
		if (isOther && !hasBegun)
			untrack(() => {
				running.follow(app.planning.plan);
			});
	});

	function key(event: KeyboardEvent): void {
		const command = commandOf(event);
		if (event.key === ' ' && command) event.preventDefault();
		const cue = command?.kind === 'done' ? now[command.index] : undefined;
		const timer = view.on[0];
		if (cue) running.done(cue.id);
		else if (command?.kind === 'undo') running.undo();
		else if (command?.kind === 'late' && timer) running.late(timer.step.id, command.seconds);
	}
</script>

<svelte:window onkeydown={key} />

<h1 class="out-of-sight">Cook: {plan.name}</h1>
<ClockBar
	clock={running.now}
	{plan}
	late={view.late}
	{wallOf}
	speed={running.speed}
	isLive={running.isLive}
	onspeed={(speed) => {
		running.setSpeed(speed);
	}}
	onskip={() => {
		running.skip();
	}}
	onlive={() => {
		running.live();
	}}
/>
<RunNotes
	cooked={plan.name}
	open={plan.meal === app.meal.id
		? undefined
		: { name: app.meal.name, isPlanned: app.planning.plan.meal === app.meal.id }}
	{hasBegun}
	problems={app.planning.isWorking ? [] : app.planning.problems}
	isChanged={isOther && hasBegun}
	trouble={running.trouble}
	moved={speakMoved(view.moved, view.plan, app.measure.now, wallOf)}
	onrestart={() => {
		running.restart(app.planning.plan);
	}}
/>
<div class="columns">
	<section class="now" aria-label="Now">
		<h2>Now</h2>
		{#each now as cue, i (cue.id)}
			<NowCard
				{cue}
				digit={i + 1}
				clock={running.now}
				tone={partOf(cue.part)?.tone}
				partName={partOf(cue.part)?.name ?? plan.name}
				allergens={partOf(cue.part)?.allergens ?? []}
				{...laidOut(cue)}
				notFor={wordNotFor(cue, plan)}
				ondone={() => {
					running.done(cue.id);
				}}
			/>
		{:else}
			<p class="calm">
				{#if view.isOver}Everything is served. {view.done} things done.{:else if hasBegun}Nothing this minute. Wipe the
					board, look at the pots.{:else}The run begins with the first cue. Start the clock: 1×, faster, or live.{/if}
			</p>
		{/each}
		<div class="back">
			<button
				type="button"
				disabled={!running.canUndo}
				onclick={() => {
					running.undo();
				}}><Undo2 size={20} /> Undo</button
			>
			<button
				type="button"
				disabled={!hasBegun}
				onclick={() => {
					running.restart(app.planning.plan);
				}}><RotateCcw size={20} /> Begin again</button
			>
		</div>
	</section>
	<div>
		<section aria-label="On">
			<h2>On</h2>
			<OnList
				{on}
				clock={running.now}
				{toneOf}
				{wallOf}
				onstretch={(step, seconds) => {
					running.late(step, seconds);
				}}
			/>
		</section>
		{#if probed.length > 0}
			<section aria-label="Probes">
				<h2>Probes</h2>
				<ProbePanel
					steps={probed}
					clock={running.now}
					readingsOf={(step) => readingsIn(step, view.readings)}
					{told}
					playing={new Set(players.keys())}
					onread={(step, celsius) => {
						running.probe(step.part, celsius);
					}}
					onplay={play}
					onfollow={(step: PlannedStep, left: number) => {
						running.late(step.id, Math.round((running.now + left - step.to) / 15) * 15);
					}}
				/>
			</section>
		{/if}
		{#if view.plan.fires}
			<section aria-label="The fire">
				<h2>The fire</h2>
				<FirePanel
					plan={view.plan}
					clock={running.now}
					{wallOf}
					heats={view.heats}
					onheat={(station, celsius) => {
						running.heat(station, celsius);
					}}
				/>
			</section>
		{/if}
		<section aria-label="Who is here">
			<h2>Who is here</h2>
			<CrewPanel
				{view}
				{kitchen}
				{spoken}
				{wallOf}
				shown={only}
				onshow={(cook) => {
					only = cook;
				}}
				onleave={(cook) => {
					if (only === cook) only = '';
					running.leave(cook);
				}}
				onback={(cook) => {
					running.come(cook);
				}}
				onhelp={() => {
					running.come(nextHelper(view, kitchen));
				}}
			/>
		</section>
		<section aria-label="Next">
			<h2>Next</h2>
			<NextList {next} clock={running.now} {toneOf} {wallOf} count={nextShown} />
		</section>
	</div>
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(18rem, 2fr);
		align-items: start;
		gap: var(--space-5);
		margin-top: var(--space-4);
	}
	h2 {
		margin-bottom: var(--space-2);
	}
	section + section {
		margin-top: var(--space-4);
	}
	.now {
		display: grid;
		gap: var(--space-2);
	}
	.calm {
		padding: var(--space-5);
		border-radius: var(--corner);
		background: var(--herb-wash);
		color: var(--herb);
		font-size: var(--text-l);
	}
	.back {
		display: flex;
		gap: var(--space-2);
	}
	.back button {
		min-height: 56px;
	}
	@media (max-width: 860px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
