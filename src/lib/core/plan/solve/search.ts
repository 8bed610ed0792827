// What to decide next: backwards from service, around the best plan, or where the conflicts are.
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Schedule } from '../problem';
import { Decisions } from './decisions';
import type { Engine } from './engine';
import { Following } from './follow';
import type { Draft } from './bound/part-prices';
import { ActivityHeap } from './heap';
import type { Incumbent } from './incumbent';
import type { Literal } from './model/literals';
import type { Model } from './model/model';
import { aroundChoices, neighbourhoods, type Neighbourhood } from './neighbourhood';
import {
	complete,
	conflictsPerTurn,
	firstConflicts,
	improving,
	improvingTurns,
	lateTurns,
	luby,
	mostLateTurns,
	mostRepeats,
	openTurns,
	provingTurns,
	staleAfter,
	type Manner
} from './turns';

/** `refused`: the assumptions cannot all hold; `core` names some that cannot. */
export type Outcome = 'found' | 'closed' | 'paused' | 'refused';

/** A slice of work ends early where its propagators have so many variables that it would take long. */
const EFFORT_PER_WORK = 8;

/** Shares of the gap, as divisors, that a step is asked to win. */
const strides = [50, 20, 10, 5, 3];

/** A step to another option of a choice, and the tasks that it frees. */
interface Flip {
	readonly choice: number;
	readonly option: number;
	readonly free: readonly number[];
}
/** More options are not tried one by one. */
const mostFlips = 60;
/** One of so many steps near the best plan takes another option of a choice. */
const flipsOneIn = 5;

/** One of so many turns goes by the order of a draft. */
const draftsOneIn = 3;
/** How far from its place in the best plan a task may go in the nearby manner, units. */
const nearRooms = [0, 4, 12, 40, 120];

/**
 * The search over one model: restarts in turns of different manners over one engine, whose clauses all of them share.
 *
 * *backward*: the undecided task that can end last goes as late as it can (list scheduling from service backwards).
 * *activity*: the variable that took part in most recent conflicts (VSIDS: Moskewicz et al. 2001), towards its value in
 * the best plan (solution-guided search: Beck 2007, J. AI Res. 29, 49–77). *orders*: the same for modes, options and orders
 * only (Grimes & Hebrard 2015, INFORMS J. Comput. 27, 268–284). *greedy*: backward in the best plan's order,
 * but for a few tasks (iterated greedy: Ruiz & Stützle 2007). *nearby*: all but a neighbourhood stays where it is (large
 * neighbourhood search: Shaw 1998; Godard, Laborie & Nuijten 2005 for schedules). *follow*: all as in the plan in force, what
 * cannot be as near to it as can be; with patience forward in its order. *sooner*: the whole of a late plan as it is,
 * earlier. Now and then it goes greedily in the order of
 * a draft, what the parts would do at their prices (Möhring, Schulz, Stork & Uetz 2003).
 */
export class Search {
	best: Incumbent | undefined;
	/** Positions, among the model's assumptions, of those that cannot all hold. */
	core: readonly number[] = [];
	private readonly engine: Engine;
	private readonly heap: ActivityHeap;
	private readonly random: (below: number) => number;
	private manner: Manner = 'backward';
	private turns = 0;
	private turnEnds = 0;
	/** Whether the next turn begins from `previous`. */
	private isFollowing: boolean;
	private following: Following | undefined;
	/** Whether nothing was tried yet with the best plan. */
	private isNew = false;
	/** The turn that found the best plan. */
	private improvedAt = 0;
	private maxLearnts = 4000;
	/** Rank of each task in the greedy manner: higher first. */
	private rank = new Float64Array(0);
	/** Modes and options wanted in the greedy manner; −1: no wish. */
	private wantedModes = new Int32Array(0);
	/** Instants wanted while there is no plan. */
	private wantedInstants: readonly number[] = [];
	/** Literals (pairs) to decide first, and how far that has come. */
	private pins: number[] = [];
	private turnPins: readonly number[] = [];
	private repeats = 0;
	private drafted: Draft | undefined;
	/** Whether the draft was not tried yet. */
	private isFresh = false;
	/** Share of the gap that the next probe asks for, and what the last one asked for. */
	private probeShare = 1 / 16;
	private probes = 0;
	/** Whether only what is one of two is decided by activity: modes, options, orders; starts follow backwards. */
	private isOrdering = false;
	private probed: number | undefined;
	/** Whether the best plan is shown to be the best. */
	private isClosed = false;
	/** Made when there is a plan to begin from. */
	private drawn: Neighbourhood | undefined;
	private isFlipping = false;
	/** Options that were not tried yet as one step from a plan. */
	private readonly untried: { readonly choice: number; readonly option: number }[];
	/** Tasks of the parts that a choice is about, by choice. */
	private readonly around: readonly (readonly number[])[];
	private readonly startOf: Int32Array;
	private readonly decisions: Decisions;
	private readonly isBoolean: Uint8Array;
	private readonly phase: Int8Array;

	/** @param previous a plan to begin from */
	constructor(
		readonly model: Model,
		seed: number,
		previous?: Schedule
	) {
		const { engine, branching, tasks } = model;
		this.engine = engine;
		const generator = xoroshiro128plus(seed);
		this.random = (below) => (below <= 1 ? 0 : uniformInt(generator, 0, below - 1));
		this.heap = new ActivityHeap(engine.variables, () => engine.activity);
		this.around = aroundChoices(model.problem);
		const all = model.options.flatMap((options, choice) => options.map((_, option) => ({ choice, option })));
		this.untried = all.length <= mostFlips ? all : [];
		this.startOf = new Int32Array(engine.variables).fill(-1);
		tasks.forEach((t, i) => (this.startOf[t.start] = i));
		this.isBoolean = new Uint8Array(engine.variables);
		this.phase = new Int8Array(engine.variables).fill(-1);
		const isService = new Set(model.services);
		for (const x of branching) {
			this.isBoolean[x] = this.startOf[x]! < 0 && !isService.has(x) ? 1 : 0;
			this.heap.insert(x);
		}
		const canBranch = new Set(branching);
		engine.onActivity = (x) => {
			this.heap.rise(x);
		};
		engine.onUndo = (x) => {
			if (canBranch.has(x)) this.heap.insert(x);
		};
		this.decisions = new Decisions(model);
		this.isFollowing = previous !== undefined;
		if (previous) this.following = new Following(this.decisions, previous);
		this.beginTurn();
	}

	/** Go on until a better plan is found, all is proven, or so much work is done. */
	run(workLimit: number): Outcome {
		const { engine } = this;
		const stopAt = engine.work + workLimit;
		if (this.isClosed) return 'closed';
		engine.allow(EFFORT_PER_WORK * workLimit);
		for (;;) {
			if (!engine.propagate()) {
				if (!engine.resolve()) return 'closed';
				this.following?.again();
				if (engine.conflicts >= this.turnEnds) {
					engine.backTo(0);
					this.beginTurn();
				}
				continue;
			}
			if (engine.isPaused || engine.work >= stopAt) return 'paused';
			const assumed = this.assume();
			if (assumed === 'refused') return 'refused';
			if (assumed === 'decided') continue;
			if (!this.decide()) {
				this.adopt(this.decided());
				this.goOn();
				return 'found';
			}
		}
	}

	/** Take in what another search of this problem has found: its bound holds here, and its plan is followed if it is better. */
	hear(answer: Schedule): void {
		const { engine, model } = this;
		const { cost } = model.objective;
		engine.backTo(0);
		if (cost !== undefined && answer.bound !== undefined) {
			const { constant, scale, moves } = model.objective;
			const least = (answer.bound - constant) * scale - moves;
			if (!engine.clause([2 * cost, least])) this.isClosed = true;
		}
		this.isFollowing =
			answer.starts !== undefined &&
			answer.objective !== undefined &&
			answer.objective < (this.best?.objective ?? Infinity);
		if (this.isFollowing) this.following = new Following(this.decisions, answer);
		this.beginTurn();
	}

	/** Whether the best plan is on time, or thought to be late for good. */
	get isSettled(): boolean {
		return this.best !== undefined && (this.turns >= mostLateTurns || !this.isLate(this.best));
	}

	/** Take in clauses that hold for every better plan; `false` where they leave none. */
	learn(clauses: readonly (readonly number[])[]): boolean {
		this.engine.backTo(0);
		if (!clauses.every((c) => this.engine.clause(c))) this.isClosed = true;
		else this.beginTurn();
		return !this.isClosed;
	}

	/** A plan that need not hold, in whose order some of the next turns try to plan. */
	draft(draft: Draft | undefined): void {
		this.drafted = draft;
		this.isFresh = true;
	}

	/** Decide the next assumption that is open. */
	private assume(): 'done' | 'decided' | 'refused' {
		const { engine } = this;
		const { assumptions } = this.model;
		for (const x of assumptions) {
			const h = 2 * x;
			if (engine.isTrue(h, 1)) continue;
			if (engine.isFalse(h, 1)) {
				const halves = new Set([h, ...engine.culprits(h, 1)]);
				this.core = assumptions.flatMap((a, k) => (halves.has(2 * a) ? [k] : []));
				return 'refused';
			}
			engine.decide(h, 1);
			return 'decided';
		}
		return 'done';
	}

	private beginTurn(): void {
		const { engine, best } = this;
		if (engine.learntCount > this.maxLearnts) {
			engine.forget();
			this.maxLearnts *= 1.05;
		}
		const turns = best ? this.improvingTurns(best) : openTurns;
		this.manner = turns[this.turns % turns.length]!;
		if (best && this.untried.length > 0) this.manner = 'nearby';
		const draft = best && this.turns % draftsOneIn === 0 ? this.drafted : undefined;
		if (draft) this.manner = 'greedy';
		if (this.isNew && best && this.isLate(best)) this.manner = 'sooner';
		if (this.isFollowing) this.manner = 'follow';
		const following = this.manner === 'follow' ? this.following : undefined;
		const conflictsToFollow = following?.begin();
		this.isFollowing = following?.isWorthMore === true && !best;
		this.turns++;
		this.turnEnds =
			engine.conflicts +
			(best
				? conflictsPerTurn[this.manner] * (complete.has(this.manner) ? luby(this.turns) : 1)
				: (conflictsToFollow ?? Math.min(conflictsPerTurn[this.manner], firstConflicts * this.turns ** 2)));
		this.pins = [];
		this.isOrdering = this.manner === 'orders' || (this.manner === 'probe' && this.probes++ % 2 === 0);
		if (complete.has(this.manner)) for (const x of this.model.branching) this.heap.insert(x);
		this.wantedInstants = best ? [] : this.postponed();
		if (!best) return;
		this.wantedModes = best.modes.slice();
		if (this.manner === 'greedy' && draft) this.trace(draft);
		else if (this.manner === 'greedy') this.shuffle(best);
		if (this.manner === 'sooner') this.pinSooner(best);
		this.isNew = false;
		if (this.manner === 'nearby') this.pin(best);
		if (this.manner === 'probe') this.probe();
		this.turnPins = this.pins.slice();
		if (this.manner === 'nearby' || this.manner === 'greedy') this.stride();
		this.repeats = 0;
	}

	private improvingTurns(best: Incumbent): readonly Manner[] {
		if (this.turns < mostLateTurns && this.isLate(best)) return lateTurns;
		return this.turns > this.improvedAt + staleAfter ? provingTurns : improvingTurns;
	}

	/** Whether some service is later than the model itself makes it. */
	private isLate(best: Incumbent): boolean {
		return this.model.services.some((x, k) => best.instants[k]! > this.engine.lb[2 * x]!);
	}

	/** After a better plan: the same turn again, as long as it finds more. From a late plan larger steps are wanted. */
	private goOn(): void {
		const isLate = this.best !== undefined && this.isLate(this.best);
		if (isLate || !improving.has(this.manner) || ++this.repeats > mostRepeats) {
			this.beginTurn();
			return;
		}
		this.pins = this.turnPins.slice();
		if (this.isFlipping) this.stride(true);
		this.turnEnds = this.engine.conflicts + conflictsPerTurn[this.manner];
	}

	/** Without a plan: on time at first, then later and later; every other time each service by itself. */
	private postponed(): readonly number[] {
		const { due, horizon } = this.model;
		const some = () => (this.turns < 4 ? 0 : this.random(Math.ceil(horizon * Math.min(0.5, (this.turns - 3) / 40))));
		const all = some();
		const isApart = due.length > 1 && this.turns % 2 === 1;
		return due.map((d) => d + (isApart ? some() : all));
	}

	/** Decide one thing; `false` when everything is decided. */
	private decide(): boolean {
		const { engine } = this;
		if (this.manner === 'follow' && this.following) return this.following.keep() || this.following.goOn();
		while (this.pins.length > 0) {
			const v = this.pins.pop()!;
			const h = this.pins.pop()!;
			if (engine.isTrue(h, v) || engine.isFalse(h, v)) continue;
			engine.decide(h, v);
			return true;
		}
		return complete.has(this.manner) ? this.decideActive() : this.decideBackward();
	}

	private decideActive(): boolean {
		const { engine, best } = this;
		for (;;) {
			const x = this.heap.pop();
			if (x < 0) return this.decideBackward();
			if (engine.isFixed(x) || (this.isOrdering && !this.isBoolean[x])) continue;
			const task = this.startOf[x]!;
			if (task >= 0 && !this.decisions.isThere(task)) continue;
			const [low, high] = [engine.lb[2 * x]!, -engine.lb[2 * x + 1]!];
			if (this.isBoolean[x]) {
				const value = best ? best.values[x]! : this.phase[x]! >= 0 ? this.phase[x]! : 1;
				if (value >= 1) engine.decide(2 * x, 1);
				else engine.decide(2 * x + 1, 0);
			} else {
				const isInstant = task < 0;
				let value = isInstant ? low : best ? best.values[x]! : high;
				if (value < low || value > high) value = isInstant ? low : high;
				if (value > low) engine.decide(2 * x, value);
				else engine.decide(2 * x + 1, -value);
				// Half of it may be open still.
				this.heap.insert(x);
			}
			return true;
		}
	}

	private decideBackward(): boolean {
		const { engine, model } = this;
		const greedy = this.manner === 'greedy' && this.best;
		for (let c = 0; c < model.options.length; c++) {
			const wanted = greedy ? greedy.options[c]! : -1;
			if (this.decisions.oneOf(model.options[c]!, wanted)) return true;
		}
		const { decisions } = this;
		if (decisions.service(this.wantedInstants)) return true;
		const { lb } = engine;
		const { starts, ends, endShifts } = decisions;
		decisions.lookAtAll();
		let next = -1;
		let highest = -Infinity;
		for (let i = 0; i < starts.length; i++) {
			const rank = greedy ? this.rank[i]! : -lb[2 * ends[i]! + 1]! + endShifts[i]!;
			// Most are decided already, or would not come next: the cheap looks first.
			if (rank <= highest || !this.decisions.isThere(i) || this.decisions.isDecided(i)) continue;
			highest = rank;
			next = i;
		}
		if (next < 0) return false;
		const task = model.tasks[next]!;
		const wanted = this.best ? this.wantedModes[next]! : -1;
		if (this.decisions.oneOf(task.modes, wanted, task.durations)) return true;
		engine.decide(2 * task.start, -lb[2 * task.start + 1]!);
		return true;
	}

	/** Ask for more than the least step: plans better by a little would come one after another. */
	private stride(isWanted = !this.isFlipping && this.random(this.best && this.isLate(this.best) ? 4 : 2) > 0): void {
		const { engine } = this;
		const { cost } = this.model.objective;
		if (cost === undefined || !isWanted) return;
		const [low, high] = [engine.lb[2 * cost]!, -engine.lb[2 * cost + 1]!];
		const step = Math.floor((high - low) / strides[this.random(strides.length)]!);
		this.pins.push(2 * cost + 1, -(high - step));
	}

	/** The best plan's order, disturbed. */
	private shuffle(best: Incumbent): void {
		const { tasks, horizon } = this.model;
		this.rank = Float64Array.from(tasks, (t, i) =>
			best.starts[i]! < 0 ? this.random(horizon) : best.starts[i]! + t.durations[best.modes[i]!]!
		);
		const spread = Math.max(2, Math.floor((horizon * (1 + this.random(20))) / 100));
		const changeModes = this.random(2) === 0;
		for (const i of this.neighbourhood(best)) {
			this.rank[i]! += this.random(2 * spread) - spread;
			if (changeModes) this.wantedModes[i] = this.random(tasks[i]!.modes.length);
		}
	}

	/** The order and modes of a draft; disturbed, where that was tried already. */
	private trace({ starts, modes }: Draft): void {
		const { tasks, horizon } = this.model;
		this.wantedModes = modes.slice();
		const spread = this.isFresh ? 1 : 1 + this.random(Math.ceil(horizon / 50));
		this.isFresh = false;
		this.rank = Float64Array.from(tasks, (t, i) =>
			starts[i]! < 0 ? this.random(horizon) : starts[i]! + t.durations[modes[i]!]! + this.random(spread)
		);
	}

	/** A late plan as it is, earlier by all that it is late, or by a part of that once that was tried; what does not fit is decided anew. */
	private pinSooner(best: Incumbent): void {
		const { model, engine } = this;
		const least = (k: number) => engine.lb[2 * model.services[k]!]!;
		const late = Math.max(...best.instants.map((at, k) => at - least(k)));
		const by = this.isNew ? late : 1 + this.random(late);
		const order = [...best.starts.keys()].filter((i) => best.starts[i]! >= 0);
		for (const i of order.sort((a, b) => best.starts[a]! - best.starts[b]!)) {
			const { start, modes } = model.tasks[i]!;
			const at = best.starts[i]! - by;
			this.pins.push(2 * start, at, 2 * start + 1, -at, ...modes[best.modes[i]!]!);
		}
		model.options.forEach((literals, c) => this.pins.push(...literals[best.options[c]!]!));
		model.services.forEach((x, k) => {
			this.pins.push(2 * x + 1, -Math.max(least(k), best.instants[k]! - by));
		});
	}

	/**
	 * Now and then, and each once as soon as there is a plan: another option of one choice, and the tasks of all of its
	 * options with those of their parts.
	 */
	private flip(best: Incumbent): Flip | undefined {
		const next = this.untried.pop();
		if (next && next.option !== best.options[next.choice]) return { ...next, free: this.around[next.choice]! };
		if (this.model.options.length === 0 || this.random(flipsOneIn) > 0) return undefined;
		const choice = this.random(this.model.options.length);
		const count = this.model.options[choice]!.length;
		const option = (best.options[choice]! + 1 + this.random(Math.max(1, count - 1))) % count;
		return { choice, option, free: this.around[choice]! };
	}

	private neighbourhood(best: Incumbent): readonly number[] {
		this.drawn ??= neighbourhoods(this.model, this.random);
		return this.drawn(best);
	}

	/** Everything but a neighbourhood where it is in the best plan, or not far from there. */
	private pin(best: Incumbent): void {
		const { model } = this;
		const flipped = this.flip(best);
		this.isFlipping = flipped !== undefined;
		const free = new Set(flipped?.free ?? this.neighbourhood(best));
		// What is free may be done in any way: the latest, the best plan's, or one drawn.
		const draw = this.random(4);
		if (draw < 2)
			for (const i of free) this.wantedModes[i] = draw === 0 ? -1 : this.random(model.tasks[i]!.modes.length);
		const room = nearRooms[this.random(nearRooms.length)]!;
		const keepsModes = this.random(3) > 0;
		model.tasks.forEach(({ start, modes }, i) => {
			if (free.has(i) || best.starts[i]! < 0) return;
			const [low, high] = [best.starts[i]! - room, best.starts[i]! + room];
			this.pins.push(2 * start, low, 2 * start + 1, -high);
			if (keepsModes) this.pins.push(...modes[best.modes[i]!]!);
		});
		model.options.forEach((literals, c) => {
			if (c !== flipped?.choice && this.random(4) > 0) this.pins.push(...literals[best.options[c]!]!);
		});
		// What is decided first stands last.
		if (flipped) this.pins.push(...model.options[flipped.choice]![flipped.option]!);
	}

	/**
	 * Ask for a plan within a part of the gap. Where there is none the bound rises: destructive improvement (Klein & Scholl
	 * 1999, EJOR 112, 322–346), with a step that grows when it succeeds.
	 */
	private probe(): void {
		const { engine } = this;
		const { cost } = this.model.objective;
		if (cost === undefined) return;
		const [low, high] = [engine.lb[2 * cost]!, -engine.lb[2 * cost + 1]!];
		if (this.probed !== undefined) {
			this.probeShare = low > this.probed ? Math.min(1 / 2, 2 * this.probeShare) : Math.max(1e-3, this.probeShare / 2);
		}
		this.probed = low + Math.floor((high - low) * this.probeShare);
		this.pins.push(2 * cost + 1, -this.probed);
	}

	/** The plan that the engine has decided. */
	private decided(): Incumbent {
		const { engine, model } = this;
		const pick = (literals: readonly Literal[]) =>
			literals.findIndex((l) => l.length === 0 || engine.isTrue(l[0]!, l[1]!));
		const values = Int32Array.from({ length: engine.variables }, (_, x) => engine.lb[2 * x]!);
		const { terms, coefficients, constant, scale, moves } = model.objective;
		let cost = moves;
		terms.forEach((h, i) => (cost += coefficients[i]! * engine.lb[h]!));
		const whole = Math.floor(cost / scale);
		return {
			objective: whole + constant,
			moves: cost - whole * scale,
			starts: Int32Array.from(model.tasks, (t, i) => (this.decisions.isThere(i) ? values[t.start]! : -1)),
			modes: Int32Array.from(model.tasks, (t, i) => (this.decisions.isThere(i) ? pick(t.modes) : -1)),
			options: Int32Array.from(model.options, pick),
			instants: Int32Array.from(model.services, (x) => values[x]!),
			values
		};
	}

	/** Take over a plan, and ask for a better one from now on. */
	private adopt(best: Incumbent): void {
		const { engine, model } = this;
		engine.backTo(0);
		this.best = best;
		this.isNew = true;
		this.improvedAt = this.turns;
		for (let x = 0; x < engine.variables; x++) if (this.isBoolean[x]) this.phase[x] = best.values[x]!;
		const { sum, cost, constant, scale, moves } = model.objective;
		const below = (best.objective - constant) * scale + best.moves - moves - 1;
		if (cost === undefined) {
			sum.limit = below;
			engine.wake(sum);
		} else this.isClosed = !engine.clause([2 * cost + 1, -below]);
	}
}
