// Runs for tests: of a plan, on some day, with events that name themselves.
import type { Plan } from '../model/plan';
import { beginRun, instantAt, type Happening, type Run } from '../run/events';
import { cuesOf, type Cue } from '../run/cues';
import { factsOf } from '../run/facts';

const someDay = { run: 'evening', date: '2026-06-12', zone: 'Europe/Lisbon', clock: { kind: 'wall' } } as const;

export function runOf(plan: Plan, of: Partial<Pick<Run, 'run' | 'date' | 'zone'>> = {}): Run {
	return beginRun(plan, { ...someDay, ...of });
}

/** The run with one more event; its name tells how many there were before, and who tells of it. */
export function withEvent(run: Run, happening: Happening, at: number, by = 'cook'): Run {
	const id = `${by}-${String(run.events.length).padStart(4, '0')}`;
	return { ...run, events: [...run.events, { ...happening, id, at, by }] };
}

/** When a cue is done where life goes by the plan: handwork when it is over, all else when it is due. */
export function doneAt(plan: Plan, cue: Cue): number {
	const hand = cue.hand === undefined ? undefined : plan.steps.find((s) => s.id === cue.step)?.hands[cue.hand];
	return hand?.whole === true ? cue.until : cue.at;
}

/** Everything is done as planned, until a clock time of the plan in force. */
export function runUntil(run: Run, clock: number): Run {
	const { plan, done } = factsOf(run);
	return cuesOf(plan)
		.map((cue) => ({ cue, at: doneAt(plan, cue) }))
		.filter(({ cue, at }) => at <= clock && !done.has(cue.id))
		.toSorted((a, b) => a.at - b.at)
		.reduce((now, { cue, at }) => withEvent(now, { kind: 'done', cue: cue.id }, instantAt(now, at)), run);
}
