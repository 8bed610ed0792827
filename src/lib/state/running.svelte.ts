// The run that is on: its log, its clock, its replans. What it is at any moment follows from the log and the clock alone.
import type { Plan } from '../core/model/plan';
import type { Standing } from '../core/plan/replan';
import {
	active,
	beginRun,
	instantAt,
	merged,
	originOf,
	undoable,
	type Happening,
	type Run,
	type RunEvent
} from '../core/run/events';
import { demoFrom, readTicking, takeUp, wallTicking, type Clocks, type Ticking } from '../core/run/run-clock';
import { cuesOf } from '../core/run/cues';
import { factsOf, type Facts } from '../core/run/facts';
import type { HowFar } from '../core/run/looks';
import { standingOf, viewRun, type View } from '../core/run/view';
import { isWorthIt, type Prospects } from '../core/rehearse/going-on';
import type { Training } from '../core/rehearse/training';
import { minute } from '../core/units/time';
import { clockAt, dateAt, instantOf } from '../core/units/zoned';
import type { RunKeeping } from './run-keeping';

/** The demo clock begins this long before the first cue, seconds. */
const before = minute;
/** An end that moves by less needs no new plan, seconds. */
const worthReplan = 60;
/** Often enough to show whole seconds, milliseconds. */
const tick = 250;

/** Plans the rest: tells of each plan and what it moves; the answer says why there is none, or nothing. */
export type Replanner = (
	standing: Standing,
	onPlan: (plan: Plan, moved: readonly string[]) => void,
	/** What has happened until then. */
	facts: Facts
) => Promise<string | undefined>;

/** What may be expected of going on as before, and of a plan of the rest; nothing where that cannot be told. */
export type Weigher = (standing: Standing, anew: Plan, facts: Facts) => Promise<Prospects | undefined>;

/** A plan of the rest that is not worth being read anew: what it is about, what may be expected, and the plan all the same. */
interface Held {
	readonly because: RunEvent;
	readonly prospects: Prospects;
	readonly instead: RunEvent;
}

/** Whether something only took another time than planned: then it may be gone on with as before. */
const isOfTime = ({ kind }: RunEvent) => kind === 'late' || kind === 'notYet' || kind === 'done';

/** What is told for the record leaves what is planned and being planned as it is. */
const isAside = ({ kind }: Happening) => kind === 'reading' || kind === 'note' || kind === 'heat';

/** What a run needs of the machine. */
export interface Machine {
	readonly clocks: () => Clocks;
	readonly zone: () => string;
	/** A name that nothing else has. */
	readonly newId: () => string;
	/** Which device or cook this is. */
	readonly by: string;
}

const sameStretch = (a: { from: number; to: number }, b: { from: number; to: number }) =>
	a.from === b.from && a.to === b.to;

/** Whether two forecasts of one plan say the same. */
function isSamePlan(a: Plan, b: Plan): boolean {
	if (a === b) return true;
	return (
		a.meal === b.meal &&
		a.objective === b.objective &&
		a.steps.length === b.steps.length &&
		a.services.every((s, i) => s.at === b.services[i]?.at) &&
		a.steps.every((s, i) => {
			const other = b.steps[i];
			return (
				other?.id === s.id &&
				other.say === s.say &&
				other.lane === s.lane &&
				sameStretch(s, other) &&
				s.hands.length === other.hands.length &&
				s.hands.every((h, k) => h.cook === other.hands[k]?.cook && sameStretch(h, other.hands[k] ?? h))
			);
		})
	);
}

export class Running {
	/** As it is kept. */
	run: Run;
	/** What the machine's clocks read last. */
	private reading: Clocks;
	private ticking: Ticking;
	/** A better plan of the replan that is being looked for: shown, and kept once the search has ended. */
	private offer: RunEvent | undefined = $state.raw();
	/** The instant of the run, milliseconds since 1970. */
	readonly at = $derived.by(() => readTicking(this.ticking, this.reading));
	readonly view: View = $derived.by(() => this.steadied(viewRun(this.shown(), this.at)));
	readonly now = $derived.by(() => this.view.clock);
	readonly isLive = $derived.by(() => this.ticking.clock.kind === 'wall');
	readonly speed = $derived.by(() => (this.ticking.clock.kind === 'wall' ? 1 : this.ticking.clock.speed));
	readonly hasBegun = $derived.by(() => active(this.run.events).length > 0);
	readonly canUndo = $derived.by(() => this.offer !== undefined || undoable(this.run.events) !== undefined);
	/** Why the last replan was not to be had, in words. */
	trouble: string | undefined = $state();
	isReplanning = $state(false);
	/** That the evening goes on as before, and why: told until something happens. */
	held: Held | undefined = $state.raw();
	/** The evening that is only played, if one is. */
	training: Training | undefined = $state.raw();

	/** Whether somebody has set the clock, and whether to where the next cue was. */
	private isSet = false;
	private isAtCue = false;
	private replans = 0;
	/** What the rest is being planned anew for, while no plan of it is shown. */
	private wanted: RunEvent | undefined;
	/** The plan that was shown last. */
	private drawn: Plan | undefined;
	private timer: ReturnType<typeof setInterval> | undefined;
	private keeping: RunKeeping | undefined;
	private deafen: (() => void) | undefined;

	constructor(
		plan: Plan,
		private readonly replanner: Replanner,
		private readonly weigher: Weigher,
		private readonly machine: Machine
	) {
		this.reading = $state.raw(machine.clocks());
		const run = this.newRun(plan);
		this.run = $state.raw(run);
		this.ticking = $state.raw(this.beforeFirst(run));
	}

	/** Let time pass; take up the run of this meal if one was begun. */
	async start(keeping: RunKeeping | undefined): Promise<void> {
		this.keeping = keeping;
		this.timer = setInterval(() => {
			this.reading = this.machine.clocks();
		}, tick);
		this.deafen = keeping?.listen(({ what, id }) => {
			if (what === 'events' && id === this.run.run) void this.catchUp();
			if (what === 'head' && id === this.run.id) void this.takeUp();
		});
		await this.takeUp();
	}

	stop(): void {
		clearInterval(this.timer);
		this.deafen?.();
		this.commit();
	}

	/** Play an evening of this plan: nothing of it is kept, and the run that was on waits. */
	train(plan: Plan, training: Training): void {
		this.training = training;
		this.isSet = false;
		this.dropReplan();
		this.run = this.newRun(plan);
		this.ticking = this.beforeFirst(this.run);
	}

	/** Back from a played evening to the run that is kept, if there is one. */
	endTraining(plan: Plan): void {
		this.training = undefined;
		this.isSet = false;
		this.dropReplan();
		this.run = this.newRun(plan);
		this.ticking = this.beforeFirst(this.run);
		void this.takeUp();
	}

	/** Begin again, with another plan; what was done so far stays in the log of the run before. */
	restart(plan: Plan): void {
		this.isSet = false;
		this.dropReplan();
		this.run = this.newRun(plan);
		this.ticking = this.beforeFirst(this.run);
		this.keepHead();
	}

	/** Before anything is done, take the better plan; a clock that was set goes on. */
	follow(plan: Plan): void {
		if (plan.meal !== this.run.id) {
			// Another meal came onto the table: its run goes on where it was.
			this.isSet = false;
			this.run = this.newRun(plan);
			this.ticking = this.beforeFirst(this.run);
			void this.takeUp();
			return;
		}
		this.run = { ...this.run, plan };
		if (!this.isSet) this.ticking = this.beforeFirst(this.run);
		else if (this.isAtCue) this.skip();
		else this.keepHead();
	}

	done(cue: string): void {
		this.record({ kind: 'done', cue });
	}

	/** Something is different from what was planned: it is told, and the rest is planned for it. */
	tell(happening: Happening): void {
		void this.replan(this.record(happening));
	}

	late(step: string, seconds: number): void {
		this.tell({ kind: 'late', step, seconds });
	}

	/** A cook leaves, for good or for so many seconds: what is in their hands waits for them, or is done by who is there. */
	leave(cook: string, seconds?: number): void {
		if (seconds === undefined) {
			this.tell({ kind: 'out', what: cook });
			return;
		}
		const inHand = this.view.now.find((c) => {
			const step = this.view.plan.steps.find((s) => s.id === c.step);
			return c.cook === cook && step?.hands.some((h) => h.whole) === true;
		});
		if (inHand?.step !== undefined) this.record({ kind: 'late', step: inHand.step, seconds });
		this.tell({ kind: 'out', what: cook, seconds });
	}

	/** A cook comes back, or comes to help; a station works again. */
	come(what: string): void {
		this.tell({ kind: 'back', what });
	}

	/** A step was looked at: it is not done, and how far it is; the rest is planned for what is thought of it now. */
	notYet(step: string, how: HowFar): void {
		const before = this.view.plan.steps.find((s) => s.id === step)?.to ?? 0;
		const told = this.record({ kind: 'notYet', step, ...(how === undefined ? {} : { how }) });
		const after = this.view.plan.steps.find((s) => s.id === step)?.to ?? 0;
		if (Math.abs(after - before) > worthReplan) void this.replan(told);
	}

	/** A step was looked at and is done: its end is now, whatever was planned. */
	itIs(step: string): void {
		const { view } = this;
		const planned = view.plan.steps.find((s) => s.id === step);
		const end = cuesOf(view.plan).find((c) => c.step === step && c.kind === 'end');
		if (!planned) return;
		const sooner = planned.to - view.clock;
		const told = end
			? this.record({ kind: 'done', cue: end.id })
			: this.record({ kind: 'late', step, seconds: Math.round(-sooner) });
		if (Math.abs(sooner) > worthReplan) void this.replan(told);
	}

	/** Something to remember; it changes nothing. */
	note(text: string): void {
		this.record({ kind: 'note', text });
	}

	/** Steps stay where they are from now on, whatever is planned anew. */
	pin(steps: readonly string[]): void {
		for (const step of steps) this.record({ kind: 'pin', step });
	}

	/** A course is wanted at another time of the plan's clock. */
	serveAt(course: string, clock: number): void {
		this.tell({ kind: 'service', course, to: instantAt(this.run, clock) });
	}

	/** Not as it was planned anew: all stays in its order, later where it has to be. */
	refuse(): void {
		const { offer } = this;
		this.dropReplan();
		if (offer) return;
		const last = active(this.run.events).at(-1);
		if (last?.kind === 'replan') this.add({ kind: 'undo', event: last.id });
	}

	/** A probe reads: kept for the part that it is in. */
	probe(part: string, celsius: number): void {
		this.record({ kind: 'reading', part, celsius });
	}

	/** A fire is hotter or cooler than it was planned: the rest is planned for what it is. */
	heat(station: string, celsius: number): void {
		this.tell({ kind: 'heat', station, celsius });
	}

	/** An oven's lamp says that it has come to what it is set to. */
	lamp(station: string, celsius: number): void {
		this.record({ kind: 'heat', station, celsius, lamp: true });
	}

	/** A thermometer in an oven reads: kept for the record, and the plan goes on. */
	thermometer(station: string, celsius: number): void {
		this.record({ kind: 'heat', station, celsius });
	}

	/** How it would stand if something had happened just now. */
	asIf(happening: Happening): { readonly facts: Facts; readonly standing: Standing } {
		const run = { ...this.run, events: [...this.run.events, this.named(happening)] };
		return { facts: factsOf(run), standing: standingOf(run, this.at) };
	}

	/** How it stands now. */
	stands(): Standing {
		return standingOf(this.run, this.at);
	}

	/** Why the rest was planned anew last, where nothing was done since. */
	readonly reason: RunEvent | undefined = $derived.by(() => {
		const events = active(this.shown().events);
		const last = events.at(-1);
		return last?.kind === 'replan' ? events.find((e) => last.because.includes(e.id)) : undefined;
	});

	undo(): void {
		this.dropReplan();
		const last = undoable(this.run.events);
		if (last) this.add({ kind: 'undo', event: last.id });
	}

	/**
	 * Plan the rest anew because of what has just happened, moving as little as can be. Where only time was lost or won it is gone
	 * on with as before, unless the new plan promises more: a plan of the usual times uses up all room that is left.
	 */
	private async replan(reason: RunEvent): Promise<void> {
		const mine = ++this.replans;
		this.isReplanning = true;
		this.wanted = reason;
		this.trouble = undefined;
		const isStill = () => mine === this.replans;
		const because = [reason.id];
		const standing = standingOf(this.run, this.at);
		const facts = factsOf(this.run);
		const asOf = instantAt(this.run, standing.now);
		let found: (Happening & { readonly kind: 'replan' }) | undefined;
		const answer = await this.replanner(
			standing,
			(plan, moved) => {
				if (!isStill()) return;
				found = { kind: 'replan', plan, moved: [...moved], because, asOf };
				if (!isOfTime(reason)) this.offer = this.named(found);
			},
			facts
		);
		if (!isStill()) return;
		if (found && isOfTime(reason)) {
			const weighed = found.moved.length > 0 ? await this.weigher(standing, found.plan, facts) : undefined;
			if (!isStill()) return;
			const instead = this.named(found);
			if (weighed && !isWorthIt(weighed)) this.held = { because: reason, prospects: weighed, instead };
			else this.offer = instead;
		}
		this.commit();
		this.isReplanning = false;
		this.wanted = undefined;
		this.trouble = this.held ? undefined : answer;
	}

	/** Go by the plan of the rest all the same. */
	takeInstead(): void {
		const { held } = this;
		this.held = undefined;
		if (held) this.append(held.instead);
	}

	/** The demo clock goes on at so many times the speed; 0 stops it. */
	setSpeed(times: number): void {
		this.isAtCue = false;
		this.setClock(demoFrom(this.instant(), times, this.read()));
	}

	/** Go to the next cue at once (demo clock). */
	skip(): void {
		this.isAtCue = true;
		const next = this.view.next[0];
		if (next) this.setClock(demoFrom(instantAt(this.run, next.at), this.speed, this.read()));
	}

	/** Follow the wall's clock; before anything is done, on the day to which its service is nearest. */
	live(): void {
		this.isAtCue = false;
		if (!this.hasBegun) this.run = { ...this.run, date: this.nearestDay(this.run.plan) };
		this.setClock(wallTicking(this.read()));
	}

	/** What clocks show at a clock time of the plan, seconds after midnight: they differ where the clocks change. */
	readonly wallOf = (clock: number): number => clockAt(instantAt(this.run, clock), this.run.zone);

	/** The view with the plan that was shown before, where nothing of it has moved: what is drawn of it stays. */
	private steadied(view: View): View {
		const before = this.drawn;
		if (before && isSamePlan(before, view.plan)) return { ...view, plan: before };
		this.drawn = view.plan;
		return view;
	}

	private instant(): number {
		return readTicking(this.ticking, this.read());
	}

	private read(): Clocks {
		this.reading = this.machine.clocks();
		return this.reading;
	}

	private shown(): Run {
		return this.offer ? { ...this.run, events: [...this.run.events, this.offer] } : this.run;
	}

	private setClock(ticking: Ticking): void {
		this.isSet = true;
		this.ticking = ticking;
		this.keepHead();
	}

	private record(happening: Happening): RunEvent {
		this.isAtCue = false;
		if (isAside(happening)) return this.add(happening);
		this.held = undefined;
		// What was offered until now is in force; what is still looked for is looked for anew, as things stand then.
		const wanted = this.offer ? undefined : this.wanted;
		this.commit();
		if (this.isReplanning) this.replans++;
		this.isReplanning = false;
		const event = this.add(happening);
		if (wanted) void this.replan(wanted);
		return event;
	}

	/** Nothing is planned anew any more, nor told of it. */
	private dropReplan(): void {
		this.replans++;
		this.isReplanning = false;
		this.trouble = undefined;
		this.offer = undefined;
		this.wanted = undefined;
		this.held = undefined;
	}

	/** The plan that is offered becomes the plan in force. */
	private commit(): void {
		const { offer } = this;
		this.offer = undefined;
		if (offer) this.append(offer);
	}

	private named(happening: Happening): RunEvent {
		return { ...happening, id: this.machine.newId(), at: this.instant(), by: this.machine.by };
	}

	private add(happening: Happening): RunEvent {
		const event = this.named(happening);
		this.append(event);
		return event;
	}

	private append(event: RunEvent): void {
		if (this.run.events.length === 0) this.keepHead();
		this.run = { ...this.run, events: [...this.run.events, event] };
		if (!this.training) this.keeping?.add(this.run.run, event);
	}

	private keepHead(): void {
		this.run = { ...this.run, clock: this.ticking.clock };
		if (!this.training) this.keeping?.keepHead(this.run);
	}

	private isPlayed(): boolean {
		return this.training !== undefined;
	}

	/** The run of this meal as it lies in the database. */
	private async takeUp(): Promise<void> {
		if (this.isPlayed()) return;
		const kept = await this.keeping?.load(this.run.id);
		// Meanwhile a training may have begun.
		if (!kept || this.isPlayed()) return;
		const isOther = kept.run !== this.run.run;
		const events = isOther ? kept.events : merged(kept.events, this.run.events);
		// A clock that was set before anything was done is taken up; the plan is the one on the table.
		const isUnbegun = events.length === 0;
		this.run = { ...kept, plan: isUnbegun ? this.run.plan : kept.plan, events: [...events] };
		this.isSet = true;
		this.ticking = takeUp(kept.clock, this.read());
	}

	/** Events that another tab has added. */
	private async catchUp(): Promise<void> {
		if (this.training) return;
		const { run } = this.run;
		const theirs = (await this.keeping?.events(run)) ?? [];
		if (this.run.run === run) this.run = { ...this.run, events: [...merged(this.run.events, theirs)] };
	}

	private newRun(plan: Plan): Run {
		const { machine } = this;
		const zone = machine.zone();
		return beginRun(plan, {
			run: machine.newId(),
			date: dateAt(machine.clocks().wall, zone),
			zone,
			clock: { kind: 'wall' }
		});
	}

	/** A demo clock that stands a minute before the first cue. */
	private beforeFirst(run: Run): Ticking {
		return demoFrom(originOf(run) + (run.plan.from - before) * 1000, 0, this.machine.clocks());
	}

	/** Of yesterday, today and tomorrow the day whose evening is nearest to now. */
	private nearestDay(plan: Plan): string {
		const { wall } = this.read();
		const { zone } = this.run;
		const days = [-1, 0, 1].map((n) => dateAt(instantOf(dateAt(wall, zone), 43_200, zone) + n * 86_400_000, zone));
		const distance = (date: string) => {
			const origin = originOf({ plan, date, zone });
			return Math.max(0, origin + plan.from * 1000 - wall, wall - (origin + plan.to * 1000));
		};
		return days.reduce((best, day) => (distance(day) < distance(best) ? day : best));
	}
}
