<!-- Cook: the live run. What is now, what is on, what could be done; where the evening stands; what life does to it. -->
<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import type { ComponentProps } from 'svelte';
	import { bowlsOf } from '$lib/core/model/bowls';
	import { stationRow } from '$lib/core/model/stations';
	import { asPlanned } from '$lib/core/plan/describe/as-planned';
	import type { Cue } from '$lib/core/run/cues';
	import { kitchenDuring, mealDuring } from '$lib/core/run/during';
	import { eveningFrom } from '$lib/core/record/from-run';
	import { sensitivityOf } from '$lib/core/record/usual-in';
	import { debriefOf, isOfLife } from '$lib/core/run/debrief';
	import { planClock, type Happening, type Run, type RunEvent } from '$lib/core/run/events';
	import { factsOf, type Facts } from '$lib/core/run/facts';
	import { mayFailIn } from '$lib/core/run/may-fail';
	import { passOf } from '$lib/core/run/pass';
	import { nextHelper } from '$lib/core/run/posts';
	import { laidOut, layAhead, wordWhere } from '$lib/core/words/cook';
	import { wordNotFor } from '$lib/core/words/guests';
	import { wordHappening, wordPrice } from '$lib/core/words/life';
	import { wordHeld } from '$lib/core/words/odds';
	import { inUnits } from '$lib/core/words/quantities';
	import { speakCue, speakMoved, speakPlan } from '$lib/core/words/speak';
	import { wordFilled } from '$lib/core/words/steps';
	import { getApp } from '$lib/state/app.svelte';
	import { clocks, newName, zone } from '$lib/state/clocks';
	import { serverProbe } from '$lib/state/probe-link';
	import { occasionOf, Offering } from '$lib/state/offering.svelte';
	import { Played } from '$lib/state/played.svelte';
	import { Probing } from '$lib/state/probing.svelte';
	import { Running } from '$lib/state/running.svelte';
	import { Announcing } from '$lib/state/announcing.svelte';
	import { possibleSignals, signalKinds, stayAwake, type SignalKind } from '$lib/state/signals';
	import { recall, remember } from '$lib/state/small-store';
	import CordSlice from '$lib/ui/cords/CordSlice.svelte';
	import ClockBar from '$lib/ui/cook/ClockBar.svelte';
	import CookOptions from '$lib/ui/cook/CookOptions.svelte';
	import CrewPanel from '$lib/ui/cook/CrewPanel.svelte';
	import OvenPanel from '$lib/ui/cook/OvenPanel.svelte';
	import FirePanel from '$lib/ui/cook/FirePanel.svelte';
	import IdleCard from '$lib/ui/cook/IdleCard.svelte';
	import { commandOf } from '$lib/ui/cook/keys';
	import LifeDialog from '$lib/ui/cook/LifeDialog.svelte';
	import NextList from '$lib/ui/cook/NextList.svelte';
	import NowCard from '$lib/ui/cook/NowCard.svelte';
	import OnList from '$lib/ui/cook/OnList.svelte';
	import PassPanel from '$lib/ui/cook/PassPanel.svelte';
	import ProbePanel from '$lib/ui/cook/ProbePanel.svelte';
	import RunNotes from '$lib/ui/cook/RunNotes.svelte';
	import DebriefPanel from '$lib/ui/cook/DebriefPanel.svelte';
	import TrainingPanel from '$lib/ui/cook/TrainingPanel.svelte';

	const app = getApp();
	/** The meal that is cooked: another may have been opened meanwhile. */
	const cookedMeal = (id: string) => app.meals.find((m) => m.id === id) ?? app.meal;
	/** The meal in its kitchen, as both have become until then. */
	function situationOf(id: string, facts: Pick<Facts, 'changes' | 'away' | 'joined' | 'heats'>) {
		const meal = mealDuring(cookedMeal(id), facts, app.techniques);
		const situation = app.situationOf(meal);
		return { ...situation, kitchen: kitchenDuring(situation.kitchen, facts) };
	}
	const running: Running = new Running(
		untrack(() => app.planning.plan),
		(standing, onPlan, facts) => app.planning.replan(situationOf(standing.plan.meal, facts), standing, onPlan),
		(standing, anew, facts) => app.planning.prospects(situationOf(standing.plan.meal, facts), standing, anew),
		{ clocks, zone, newId: newName, by: 'this device' }
	);
	const probing = new Probing(running, (...asked) => app.planning.probe(...asked), serverProbe);
	const view = $derived(running.view);
	const plan = $derived(running.run.plan);
	const own = (text: string) => inUnits(text, app.measure.now);
	const nextShown = 8;
	const spoken = (cue: Cue) => speakCue(cue, view.plan, app.measure.now);
	/** Whose cues are shown; empty: everybody's. The device remembers whose it is. */
	let only = $state(recall('juntos-cook') ?? '');
	const shownCook = $derived(plan.cooks.some((c) => c.id === only) ? only : '');
	const isShown = (cue: Cue) => shownCook === '' || cue.cook === undefined || cue.cook === shownCook;
	const now = $derived(view.now.filter(isShown).map(spoken));
	const next = $derived(view.next.filter(isShown).slice(0, nextShown).map(spoken));
	const kitchen = $derived(app.situationOf(cookedMeal(plan.meal)).kitchen);
	const on = $derived(
		view.on.map((o) => ({
			...o,
			say: own(wordFilled(o.step.say, o.step)),
			where: own(wordWhere(o.step, view.plan)),
			next: o.next && spoken(o.next)
		}))
	);
	const { wallOf } = running;
	const partOf = (id: string | undefined) => view.plan.parts.find((p) => p.id === id);
	const toneOf = (id: string) => partOf(id)?.tone ?? 0;
	const shownPlan = $derived(view.plan);
	const spokenPlan = $derived(speakPlan(shownPlan, app.measure.now));
	/** The plan on the table is another than the one being cooked. */
	const isOther = $derived(
		app.planning.isCurrent && JSON.stringify(app.planning.plan.steps) !== JSON.stringify(plan.steps)
	);
	const hasBegun = $derived(running.hasBegun);
	const isOver = $derived(view.isOver);
	/** The meal as it is cooked by now: with what failed, and who came. */
	const meal = $derived(mealDuring(cookedMeal(plan.meal), factsOf(running.run), app.techniques));
	/** What is set out for it. */
	const bowls = $derived(bowlsOf(asPlanned(meal, shownPlan), app.techniques, app.kitchen.learnt));
	/** What goes into the step that a cue begins, what has to stand ready, and whose it is. */
	function cardOf(cue: Cue): Pick<ComponentProps<typeof NowCard>, 'taken' | 'ready' | 'cook'> {
		const { taken, ready } = laidOut(cue, view.plan, bowls);
		const cook = view.plan.cooks.length > 1 ? (view.plan.cooks.find((c) => c.id === cue.cook)?.name ?? '') : '';
		return { taken: taken.map(own), ready: ready.map(own), cook };
	}

	const free = $derived(
		shownCook === '' ? (view.idle.size > 0 ? Math.min(...view.idle.values()) : undefined) : view.idle.get(shownCook)
	);
	const isIdle = $derived(now.every((c) => c.hand === undefined));
	const offering = new Offering(() => app.planning.offers(situationOf(plan.meal, view), running.stands()));
	const occasion = $derived(hasBegun && isIdle ? occasionOf(view, free) : '');
	$effect(() => {
		const now = occasion;
		untrack(() => void offering.come(now));
	});
	const offered = $derived(
		offering.found.flatMap((o) => {
			const step = view.plan.steps.find((s) => s.id === o.step);
			const isTheirs = shownCook === '' || step?.hands.some((h) => h.cook === shownCook);
			if (!step || !isTheirs) return [];
			return [{ ...o, say: own(wordFilled(step.say, step)), part: partOf(step.part)?.name ?? '' }];
		})
	);
	const ahead = $derived(
		layAhead(view.next.filter(isShown), view.plan, view.clock, bowls).map((a) => ({
			...a,
			say: own(a.say),
			ready: a.ready.map(own)
		}))
	);

	const played = new Played(running, cookedMeal);
	/** It replays the whole log: once, not with each tick of the clock. */
	const debrief = $derived(
		isOver
			? debriefOf(
					running.run,
					untrack(() => running.at)
				)
			: undefined
	);

	let life: ReturnType<typeof LifeDialog> | undefined = $state();
	/** Parts that may fail: of the meal, as long as they are not out. */
	const mayFail = $derived(mayFailIn(meal, app.techniques, view.served));
	const mayBeOut = $derived(
		kitchen.stations
			.filter((s) => stationRow(s.kind).isHot)
			.map(({ id, name }) => ({ id, name, isOut: view.away.has(id) }))
	);
	async function price(happening: Happening): Promise<string> {
		const { facts, standing } = running.asIf(happening);
		const found = await app.planning.preview(situationOf(plan.meal, facts), standing);
		if ('steps' in found) return own(wordPrice(view.plan, found));
		return found[0] ?? 'no plan in a moment';
	}
	/** What is told of may be gone from the plan by then. */
	const everKnown = $derived({
		...view.plan,
		steps: [...view.plan.steps, ...plan.steps],
		parts: [...view.plan.parts, ...plan.parts]
	});
	const wordEvent = (event: RunEvent) =>
		own(wordHappening(event, everKnown, (at) => wallOf(planClock(running.run, at))));
	/** A mishap is told as what it would be in the log. */
	const wordMishap = (happening: Happening) => wordEvent({ ...happening, id: 'mishap', at: running.at, by: '' });
	const reason = $derived(running.reason ? wordEvent(running.reason) : '');
	/** Why the evening goes on as before, where the rest was looked at. */
	const held = $derived(running.held && wordHeld(wordEvent(running.held.because), running.held.prospects));
	const nameOfCue = (id: string | undefined, part: string | undefined) => {
		const step = everKnown.steps.find((s) => s.id === id);
		const name = everKnown.parts.find((p) => p.id === part)?.name ?? plan.name;
		return step ? `${own(wordFilled(step.say, step))} (${name})` : name;
	};

	/** Ways in which cues reach a cook, besides the screen. */
	const signalWords: Readonly<Record<SignalKind, string>> = {
		voice: 'Voice',
		sound: 'Sound',
		shake: 'Shake',
		awake: 'Stay awake'
	};
	const announcing = new Announcing();
	let possible: ReadonlySet<SignalKind> = $state.raw(new Set());
	$effect(() => {
		// Before anything is done, with a clock that stands, there is nobody to be told.
		if (!hasBegun && running.speed === 0) return;
		const due = view.now.filter(isShown);
		const { run } = running.run;
		const { clock } = view;
		untrack(() => {
			announcing.hear(run, due, clock, (cue) => spoken(cue).say);
		});
	});
	$effect(() => (announcing.on.has('awake') && hasBegun && !isOver ? stayAwake() : undefined));

	onMount(() => {
		possible = possibleSignals();
		return () => {
			probing.stop();
			running.stop();
		};
	});
	// Time passes: probes read on.
	$effect(() => {
		const { clock } = running.view;
		untrack(() => {
			probing.tick(clock);
		});
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

	// What happens writes itself into the record; a played evening does not.
	$effect(() => {
		const { run } = running;
		if (running.training || !hasBegun) return;
		untrack(() => {
			app.record.keepUp(recordOf(run));
		});
	});
	function recordOf(run: Run) {
		const cooked = cookedMeal(run.id);
		const sensitivity = sensitivityOf(cooked, kitchen, app.techniques, run.plan);
		return eveningFrom(run, { meal: cooked, kitchen, sensitivity, say: wordOfLife });
	}
	/** What was not planned, in words. */
	const wordOfLife = (event: RunEvent) => (isOfLife(event) ? wordEvent(event) : undefined);

	function done(cue: Cue): void {
		if (cue.kind === 'look' && cue.step !== undefined) running.itIs(cue.step);
		else running.done(cue.id);
	}
	/** Whether a card asks how far a step is. */
	const mayWait = (cue: Cue) => {
		const step = view.plan.steps.find((s) => s.id === cue.step);
		const isSeen = step?.sign !== undefined || step?.pull !== undefined;
		return cue.kind === 'look' || (cue.kind === 'end' && isSeen && view.begun.has(step.id));
	};
	function key(event: KeyboardEvent): void {
		const command = commandOf(event);
		if (event.key === ' ' && command) event.preventDefault();
		const cue = command?.kind === 'done' ? now[command.index] : undefined;
		const timer = view.on[0];
		const looked = now.find(mayWait);
		if (cue) done(cue);
		else if (command?.kind === 'undo') running.undo();
		else if (command?.kind === 'late' && timer) running.late(timer.step.id, command.seconds);
		else if (command?.kind === 'notYet' && looked?.step !== undefined) running.notYet(looked.step, command.how);
		else if (command?.kind === 'life') life?.show();
	}
</script>

<svelte:window onkeydown={key} />

<h1 class="out-of-sight">Cook: {plan.name}</h1>
<p class="out-of-sight" role="status" aria-label="Due">{announcing.heard}</p>
<ClockBar
	clock={running.now}
	plan={view.plan}
	late={view.late}
	served={view.served}
	{free}
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
	isChanged={isOther && hasBegun && view.changes.length === 0}
	trouble={running.trouble}
	moved={speakMoved(view.moved, view.plan, app.measure.now, wallOf, view.clock)}
	{reason}
	held={held ?? ''}
	isReplanning={running.isReplanning}
	onrestart={() => {
		running.restart(app.planning.plan);
	}}
	oninstead={() => {
		running.takeInstead();
	}}
	onrefuse={() => {
		running.refuse();
	}}
	onpin={() => {
		running.pin(view.moved);
	}}
/>
{#if running.training}{@render training()}{/if}
<div class="columns">
	<div>
		<section class="now first" aria-label="Now">
			<h2>Now</h2>
			<div class="cards" data-many={shownCook === '' && plan.cooks.length > 1}>
				{#each now as cue, i (cue.id)}
					<NowCard
						{cue}
						digit={i + 1}
						clock={running.now}
						tone={partOf(cue.part)?.tone}
						partName={partOf(cue.part)?.name ?? plan.name}
						allergens={partOf(cue.part)?.allergens ?? []}
						{...cardOf(cue)}
						notFor={wordNotFor(cue, view.plan)}
						seen={played.seenOf(cue)}
						ondone={() => {
							done(cue);
						}}
						onnot={mayWait(cue)
							? (how) => {
									if (cue.step !== undefined) running.notYet(cue.step, how);
								}
							: undefined}
					/>
				{/each}
			</div>
			{#if view.isOver}
				<p class="calm">Everything is served. {view.done} things done.</p>
				{#if debrief}
					<DebriefPanel
						courses={debrief.courses}
						cues={debrief.cues}
						late={debrief.late.map(({ cue, step, part, seconds }) => ({ cue, seconds, say: nameOfCue(step, part) }))}
						parts={debrief.parts.map((p) => ({ ...p, name: partOf(p.part)?.name ?? p.part }))}
						happened={debrief.happened.map(wordEvent).filter((w) => w !== '')}
						record={running.training ? undefined : running.run.run}
					/>
				{/if}
			{:else if !hasBegun && now.length === 0}
				<p class="calm">The run begins with the first cue. Start the clock: 1×, faster, or live.</p>
			{:else if isIdle || ahead.length > 0}
				<IdleCard
					free={isIdle ? free : undefined}
					offers={offered}
					{ahead}
					calm="Nothing this minute. Wipe the board, look at the pots."
					ontake={(step) => {
						running.tell({ kind: 'early', step });
					}}
				/>
			{/if}
			<div class="back">
				<button
					type="button"
					onclick={() => {
						life?.show();
					}}><TriangleAlert size={20} aria-hidden="true" /> Life differs</button
				>
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
		<section aria-label="Where the evening is">
			<CordSlice plan={spokenPlan} clock={running.now} />
		</section>
		<section aria-label="Next">
			<h2>Next</h2>
			<NextList {next} clock={running.now} {toneOf} {wallOf} count={nextShown} />
		</section>
	</div>
	<div>
		<section class="first" aria-label="On">
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
		{#if probing.steps.length > 0}
			<section aria-label="Probes">
				<h2>Probes</h2>
				<ProbePanel
					steps={probing.steps.map((step) => ({
						step,
						say: own(wordFilled(step.say, step)),
						name: partOf(step.part)?.name ?? step.part
					}))}
					clock={running.now}
					readingsOf={(step) => probing.readingsOf(step)}
					told={probing.told}
					playing={new Set(probing.players.keys())}
					unheeded={probing.unheeded}
					onread={(step, celsius) => {
						running.probe(step.part, celsius);
					}}
					onplay={(step, isOn) => {
						probing.play(step, isOn);
					}}
					onheed={(step, isHeeded) => {
						probing.heed(step, isHeeded);
					}}
				/>
			</section>
		{/if}
		{#if view.ovens.length > 0}
			<section aria-label="The oven">
				<h2>{view.ovens.length > 1 ? 'The ovens' : 'The oven'}</h2>
				<OvenPanel
					ovens={view.ovens}
					clock={running.now}
					nameOf={(lane) => view.plan.lanes.find((l) => l.id === lane)?.name ?? lane}
					{wallOf}
					onlamp={(oven) => {
						running.lamp(oven.lane, oven.knob);
					}}
					onread={(oven, celsius) => {
						running.thermometer(oven.lane, celsius);
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
		<section class="first" aria-label="Pass">
			<h2>At the pass</h2>
			<PassPanel courses={passOf(view)} clock={running.now} {wallOf} {partOf} />
		</section>
		<section aria-label="Who is here">
			<h2>Who is here</h2>
			<CrewPanel
				{view}
				{kitchen}
				{spoken}
				{wallOf}
				shown={shownCook}
				onshow={(cook) => {
					only = cook;
					remember('juntos-cook', cook === '' ? undefined : cook);
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
		{#if !running.training}<section aria-label="Training">{@render training()}</section>{/if}
		<section aria-label="Signals">
			<h2>How cues reach you</h2>
			<CookOptions
				kinds={signalKinds.map((kind) => ({ kind, words: signalWords[kind], isPossible: possible.has(kind) }))}
				on={announcing.on}
				onswitch={(kind) => {
					announcing.switch(kind);
				}}
			/>
		</section>
	</div>
</div>
{#snippet training()}
	<TrainingPanel
		isOn={running.training !== undefined}
		{hasBegun}
		mishaps={played.wrong.map(({ id, happening }) => ({ id, say: `${wordMishap(happening)}.` }))}
		onbegin={(seed, rate) => {
			played.begin(app.planning.plan, { seed, mishaps: rate });
		}}
		onend={() => {
			running.endTraining(app.planning.plan);
		}}
		ontake={(id) => {
			played.take(id);
		}}
	/>
{/snippet}
<LifeDialog
	bind:this={life}
	on={on.map(({ step, say }) => ({ id: step.id, say }))}
	parts={mayFail}
	stations={mayBeOut}
	cooks={view.plan.cooks}
	courses={view.plan.services
		.filter((s) => !view.served.has(s.course))
		.map(({ course, name, at }) => ({ id: course, name, at }))}
	covers={meal.covers}
	{wallOf}
	ontell={(happening) => {
		if (happening.kind === 'note') running.note(happening.text);
		else running.tell(happening);
	}}
	onleave={(cook, seconds) => {
		running.leave(cook, seconds);
	}}
	onserve={(course, clock) => {
		running.serveAt(course, clock);
	}}
	onprice={price}
/>

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
	section + section,
	.now {
		display: grid;
		gap: var(--space-2);
	}
	.cards {
		display: grid;
		gap: var(--space-2);
	}
	.cards[data-many='true'] {
		grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
		align-items: start;
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
		flex-wrap: wrap;
		gap: var(--space-2);
	}
	.back button {
		min-height: var(--touch-cook);
	}
	@media (max-width: 860px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
			gap: 0;
		}
		/* One column: what is on and the pass come before the slice of the cords. */
		.columns > div {
			display: contents;
		}
		.columns section {
			order: 2;
			margin-top: var(--space-4);
		}
		.columns section.first {
			order: 1;
		}
	}
</style>
