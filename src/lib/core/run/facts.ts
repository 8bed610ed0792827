// What really happened, from the log: which cues were done and when, which steps have begun and ended, what is in force.
import type { Plan } from '../model/plan';
import type { Reading } from '../probe/posterior';
import type { LogNormal } from '../learn/spread';
import { lookCue } from './cues';
import { active, originOf, type Run, type RunEvent } from './events';
import type { Look } from './looks';

/** A step that was looked at and was not done. */
export interface Looked {
	/** What was thought of its length before the first look. */
	readonly prior: LogNormal;
	/** Its length in the plan then, seconds. */
	readonly length: number;
	/** The plan's clock. */
	readonly looks: readonly Look[];
	/** Whether no plan has taken in yet what was seen. */
	readonly isNew: boolean;
}

/** What changes the meal itself: something failed, other guests, a course at another time. */
export type MealChange = Extract<RunEvent, { kind: 'failed' | 'guests' }> | CourseMoved;
interface CourseMoved {
	readonly kind: 'service';
	readonly course: string;
	/** The plan's clock, seconds. */
	readonly to: number;
}

/** Times in the plan's clock, seconds. */
export interface Facts {
	/** The plan in force: the last one that was accepted. */
	readonly plan: Plan;
	/** When it was; the beginning of the run, where it is the first one. */
	readonly since: number;
	/** As of when it was made: what it has before that had begun then; `-Infinity` where that is not known. */
	readonly asOf: number;
	/** When each cue was done or left out. */
	readonly done: ReadonlyMap<string, number>;
	/** When work on a step began, where that was said. */
	readonly begun: ReadonlyMap<string, number>;
	/** Steps that take longer, or less long, in order. */
	readonly late: readonly { readonly step: string; readonly seconds: number; readonly at: number }[];
	/** Looks that found a step not done, by step. */
	readonly looks: ReadonlyMap<string, Looked>;
	/** What is not there any more: cooks, stations; and cooks who were not there at first, in the order in which they came. */
	readonly away: ReadonlySet<string>;
	readonly joined: readonly string[];
	/** Cooks who are away for a while, in order. */
	readonly breaks: readonly { readonly cook: string; readonly from: number; readonly to: number }[];
	/** What has become different about the meal, in order. */
	readonly changes: readonly MealChange[];
	/** Steps that stay where they are in every replan. */
	readonly pinned: ReadonlySet<string>;
	/** What probes read, by part: the plan's clock, °C. */
	readonly readings: ReadonlyMap<string, readonly Reading[]>;
	/** How hot each fire was when it was measured last, °C. */
	readonly heats: ReadonlyMap<string, number>;
	/** When the lamp of each oven told that it was hot, the plan's clock. */
	readonly lamps: ReadonlyMap<string, number>;
	/** The steps that the last replan moved, where nothing was done since. */
	readonly moved: readonly string[];
}

/** The state of a run: a fold over its events that does not depend on the order in which they came. */
export function factsOf(run: Run): Facts {
	const origin = originOf(run);
	const clock = (at: number) => (at - origin) / 1000;
	const events = active(run.events);
	const done = new Map<string, number>();
	const begun = new Map<string, number>();
	let plan = run.plan;
	let since = -Infinity;
	let asOf = -Infinity;
	let late: { step: string; seconds: number; at: number }[] = [];
	let moved: readonly string[] = [];
	const away = new Set<string>();
	const joined = new Set<string>();
	const heats = new Map<string, number>();
	const lamps = new Map<string, number>();
	const readings = new Map<string, Reading[]>();
	const looks = new Map<string, Looked>();
	let breaks: { cook: string; from: number; to: number }[] = [];
	const changes: MealChange[] = [];
	const pinned = new Set<string>();
	for (const e of events) {
		moved = [];
		const at = clock(e.at);
		switch (e.kind) {
			case 'done':
			case 'skipped':
				// Done twice, on two devices, is done once.
				if (!done.has(e.cue)) done.set(e.cue, at);
				break;
			case 'begin':
				if (!begun.has(e.step)) begun.set(e.step, at);
				break;
			case 'late':
				late.push({ step: e.step, seconds: e.seconds, at });
				break;
			case 'replan':
				({ plan, moved } = e);
				since = at;
				asOf = e.asOf === undefined ? -Infinity : clock(e.asOf);
				// The new plan has taken in what was late until then.
				late = [];
				for (const [step, looked] of looks) looks.set(step, { ...looked, isNew: false });
				break;
			case 'out':
				if (e.seconds === undefined) away.add(e.what);
				else breaks.push({ cook: e.what, from: at, to: at + e.seconds });
				break;
			case 'reading': {
				const own = readings.get(e.part) ?? [];
				own.push([at, e.celsius]);
				readings.set(e.part, own);
				break;
			}
			case 'heat':
				if (e.lamp === true) lamps.set(e.station, at);
				else heats.set(e.station, e.celsius);
				break;
			case 'back':
				if (breaks.some((b) => b.cook === e.what && b.to > at))
					breaks = breaks.map((b) => (b.cook === e.what && b.to > at ? { ...b, to: at } : b));
				else if (!away.delete(e.what)) joined.add(e.what);
				break;
			case 'failed':
			case 'guests':
				changes.push(e);
				break;
			case 'service':
				changes.push({ kind: 'service', course: e.course, to: Math.round(clock(e.to)) });
				break;
			case 'pin':
				pinned.add(e.step);
				break;
			case 'unpin':
				pinned.delete(e.step);
				break;
			case 'early':
				if (!begun.has(e.step)) begun.set(e.step, at);
				break;
			case 'notYet': {
				const step = plan.steps.find((s) => s.id === e.step);
				if (!step) break;
				const length = Math.max(1, step.to - step.from);
				const before = looks.get(e.step) ?? { prior: { mu: Math.log(length), sigma: step.sigma }, length, looks: [] };
				// A look answers the look that was due.
				done.set(lookCue(e.step, before.looks.length), at);
				looks.set(e.step, { ...before, looks: [...before.looks, { at, how: e.how }], isNew: true });
				break;
			}
			// What is told for the record leaves the plan in force as it is.
			case 'note':
			case 'undo':
				break;
		}
	}
	return {
		plan,
		since,
		asOf,
		done,
		begun,
		late,
		looks,
		away,
		joined: [...joined],
		breaks,
		changes,
		pinned,
		readings,
		heats,
		lamps,
		moved
	};
}
