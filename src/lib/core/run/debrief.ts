// After the evening: where time was lost, which cues were late, and what it did to each part.
import type { Plan } from '../model/plan';
import { isWash } from '../plan/compile/clean';
import { active, planClock, type Run, type RunEvent } from './events';
import { viewRun } from './view';

/** A cue that was done later than it was due, as things stood then. */
interface LateCue {
	readonly cue: string;
	readonly step: string | undefined;
	readonly part: string | undefined;
	readonly seconds: number;
}

interface PartDebrief {
	readonly part: string;
	/** Seconds later than first planned that it was ready, and that it stood past its best. */
	readonly late: number;
	readonly stood: number;
}

export interface Debrief {
	/** Courses, seconds after they were first planned. */
	readonly courses: readonly { readonly course: string; readonly name: string; readonly late: number }[];
	/** The latest first; those that were done within a minute are not late. */
	readonly late: readonly LateCue[];
	readonly cues: number;
	readonly parts: readonly PartDebrief[];
	/** What happened that was not planned, in order. */
	readonly happened: readonly RunEvent[];
}

const punctual = 60;
const ofLife: ReadonlySet<RunEvent['kind']> = new Set<RunEvent['kind']>([
	'late',
	'failed',
	'out',
	'guests',
	'service',
	'notYet',
	'heat'
]);
/** Whether it was not planned. */
export const isOfLife = (event: RunEvent): boolean => ofLife.has(event.kind);

/** The evening as it went, from its log: what was due when is what stood on the screen then. */
export function debriefOf(run: Run, at: number): Debrief {
	const events = active(run.events);
	const late: LateCue[] = [];
	let cues = 0;
	events.forEach((event, i) => {
		if (event.kind !== 'done') return;
		cues++;
		const before = viewRun({ ...run, events: [...events.slice(0, i)] }, event.at);
		const cue = [...before.now, ...before.next].find((c) => c.id === event.cue);
		if (!cue) return;
		// Handwork is done when it is over.
		const isWork = before.plan.steps.find((s) => s.id === cue.step)?.hands[cue.hand ?? -1]?.whole === true;
		const seconds = Math.round(planClock(run, event.at) - (isWork ? cue.until : cue.at));
		if (seconds > punctual) late.push({ cue: cue.id, step: cue.step, part: cue.part, seconds });
	});
	const { plan } = viewRun(run, at);
	return {
		courses: plan.services.map(({ course, name, at: out }) => {
			const served = events.find((e) => e.kind === 'done' && e.cue === `${course}#serve`);
			const planned = run.plan.services.find((s) => s.course === course)?.at ?? out;
			return { course, name, late: Math.round((served ? planClock(run, served.at) : out) - planned) };
		}),
		late: late.toSorted((a, b) => b.seconds - a.seconds),
		cues,
		parts: plan.parts.filter((p) => p.into === undefined).map((p) => partOf(p, plan, run, events)),
		happened: events.filter(isOfLife)
	};
}

function partOf(
	{ id, course, ready, free }: Plan['parts'][number],
	plan: Plan,
	run: Run,
	events: readonly RunEvent[]
): PartDebrief {
	const ends = plan.steps.flatMap((s) => (s.part === id && !isWash(s.id) ? [s.to] : []));
	const was = ends.length > 0 ? Math.max(...ends) : ready;
	const first = run.plan.parts.find((p) => p.id === id)?.ready ?? was;
	const served = events.find((e) => e.kind === 'done' && e.cue === `${course}#serve`);
	const out = served ? planClock(run, served.at) : (plan.services.find((s) => s.course === course)?.at ?? was);
	return { part: id, late: Math.round(was - first), stood: Math.max(0, Math.round(out - was - free)) };
}
