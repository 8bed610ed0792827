// What really happened, from the log: which cues were done and when, which steps have begun and ended, what is in force.
import type { Plan } from '../model/plan';
import type { Reading } from '../probe/posterior';
import type { LogNormal } from '../learn/spread';
import { lookCue } from './cues';
import { active, originOf, type Run } from './events';
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

/** Times in the plan's clock, seconds. */
export interface Facts {
	/** The plan in force: the last one that was accepted. */
	readonly plan: Plan;
	/** When it was; the beginning of the run, where it is the first one. */
	readonly since: number;
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
	/** What probes read, by part: the plan's clock, °C. */
	readonly readings: ReadonlyMap<string, readonly Reading[]>;
	/** How hot each fire was when it was measured last, °C. */
	readonly heats: ReadonlyMap<string, number>;
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
	let late: { step: string; seconds: number; at: number }[] = [];
	let moved: readonly string[] = [];
	const away = new Set<string>();
	const joined = new Set<string>();
	const heats = new Map<string, number>();
	const readings = new Map<string, Reading[]>();
	const looks = new Map<string, Looked>();
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
				// The new plan has taken in what was late until then.
				late = [];
				for (const [step, looked] of looks) looks.set(step, { ...looked, isNew: false });
				break;
			case 'out':
				away.add(e.what);
				break;
			case 'reading': {
				const own = readings.get(e.part) ?? [];
				own.push([at, e.celsius]);
				readings.set(e.part, own);
				break;
			}
			case 'heat':
				heats.set(e.station, e.celsius);
				break;
			case 'back':
				if (!away.delete(e.what)) joined.add(e.what);
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
			// What is told for the record, and what a replan takes in, leaves the plan in force as it is.
			case 'note':
			case 'early':
			case 'failed':
			case 'guests':
			case 'service':
			case 'pin':
			case 'unpin':
			case 'undo':
				break;
		}
	}
	return { plan, since, done, begun, late, looks, away, joined: [...joined], readings, heats, moved };
}
