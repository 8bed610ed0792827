// The run that is on: its events, its clock, and the keeping of both.
import type { Plan } from '../core/model/plan';
import { minute } from '../core/units/time';
import { atSpeed, readClock, setTo, type KitchenClock } from '../core/run/kitchen-clock';
import type { Standing } from '../core/plan/replan';
import { beginRun, standingOf, viewRun, withEvent, withoutLast, type Run, type View } from '../core/run/run';
import { wallClock } from './wall-clock';
import type { Records } from '../data/records';

/** The demo clock begins this long before the first cue, seconds. */
const before = minute;
/** Twice a second is enough to show whole seconds. */
const tick = 250;

/** Plans the rest: tells of each plan and what it moves; the answer says why there is none, or nothing. */
export type Replanner = (
	standing: Standing,
	onPlan: (plan: Plan, moved: readonly string[]) => void
) => Promise<string | undefined>;

export class Running {
	run: Run;
	wall = $state(0);
	clock: KitchenClock;
	/** Whether the clock is the wall's. */
	isLive = $state(false);
	readonly now = $derived.by(() => Math.floor(readClock(this.clock, this.wall)));
	readonly view: View = $derived.by(() => viewRun(this.run, this.now));
	/** The steps that the last replan moved, as long as nothing was done since. */
	readonly moved: readonly string[] = $derived.by(() => {
		const last = this.run.events.at(-1);
		return last?.kind === 'replan' ? last.moved : [];
	});
	readonly canUndo = $derived.by(() => this.run.events.length > 0);

	/** Whether somebody has set the clock, and whether to where the next cue was. */
	private isSet = false;
	private isAtCue = false;
	/** Why the last replan was not to be had, in words. */
	trouble: string | undefined = $state();
	isReplanning = $state(false);

	private replans = 0;
	private timer: ReturnType<typeof setInterval> | undefined;
	private records: Records<Run> | undefined;
	private revision = 0;

	constructor(
		plan: Plan,
		private readonly replanner: Replanner
	) {
		this.run = $state.raw(beginRun(plan));
		this.clock = $state.raw({ at: plan.from - before, since: 0, speed: 0 });
	}

	/** Let time pass; take up the run of this meal if one was begun. */
	async start(records: Records<Run> | undefined): Promise<void> {
		this.records = records;
		this.wall = Date.now();
		this.clock = { ...this.clock, since: this.wall };
		this.timer = setInterval(() => (this.wall = Date.now()), tick);
		const stored = await records?.get(this.run.id);
		if (!stored) return;
		this.revision = stored.revision;
		if (stored.value.events.length === 0) return;
		this.run = stored.value;
		const last = this.run.events.at(-1);
		if (last && !this.isLive) this.clock = setTo(this.clock, this.wall, last.at);
	}

	stop(): void {
		clearInterval(this.timer);
	}

	/** Begin again, with another plan. */
	restart(plan: Plan): void {
		this.isSet = false;
		this.isLive = false;
		this.follow(plan);
		this.keep();
	}

	/** Before anything is done, take the better plan; a clock that was set goes on. */
	follow(plan: Plan): void {
		this.run = beginRun(plan);
		if (!this.isSet) this.clock = { at: plan.from - before, since: Date.now(), speed: 0 };
		else if (this.isAtCue) this.skip();
	}

	done(cue: string): void {
		this.record({ kind: 'done', cue, at: this.now });
	}

	stretch(step: string, seconds: number): void {
		this.record({ kind: 'stretch', step, seconds, at: this.now });
		void this.replan();
	}

	/** Plan the rest anew around what has happened, moving as little as can be. */
	async replan(): Promise<void> {
		const mine = ++this.replans;
		this.isReplanning = true;
		this.trouble = undefined;
		const isStill = () => mine === this.replans;
		const answer = await this.replanner(standingOf(this.run, this.now), (plan, moved) => {
			if (isStill()) this.adopt(plan, moved);
		});
		if (!isStill()) return;
		this.isReplanning = false;
		this.trouble = answer;
	}

	/** A better plan of the same replan takes the place of the one before. */
	private adopt(plan: Plan, moved: readonly string[]): void {
		const { events } = this.run;
		const before = events.at(-1)?.kind === 'replan' ? events.slice(0, -1) : events;
		this.run = { ...this.run, events: [...before, { kind: 'replan', plan, moved: [...moved], at: this.now }] };
		this.keep();
	}

	undo(): void {
		this.replans++;
		this.isReplanning = false;
		this.trouble = undefined;
		this.run = withoutLast(this.run);
		this.keep();
	}

	speed(times: number): void {
		this.isAtCue = false;
		this.isSet = true;
		this.isLive = false;
		this.clock = atSpeed(this.clock, Date.now(), times);
	}

	/** Go to the next cue at once (demo clock). */
	skip(): void {
		this.isSet = true;
		this.isAtCue = true;
		const next = this.view.next[0];
		if (next) this.clock = setTo(this.clock, Date.now(), next.at);
	}

	/** Follow the wall's clock. */
	live(): void {
		this.isAtCue = false;
		const { wall, clock } = wallClock();
		this.isSet = true;
		this.isLive = true;
		this.clock = { at: clock, since: wall, speed: 1 };
	}

	private record(event: Run['events'][number]): void {
		this.isAtCue = false;
		this.wall = Date.now();
		this.run = withEvent(this.run, event);
		this.keep();
	}

	private keep(): void {
		const { records, run } = this;
		if (!records) return;
		void records.save(run, this.revision).then((saved) => {
			this.revision = saved.ok ? saved.revision : saved.theirs.revision;
		});
	}
}
