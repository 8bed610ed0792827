// In the middle of an evening: whether to go on as before, or by a plan of the rest made anew.
import type { Plan } from '../model/plan';
import { compileOnce } from '../plan/compile/once';
import { scheduleOf } from '../plan/compile/schedule-of';
import type { Problem, Schedule } from '../plan/problem';
import { movedIn, withFacts, type Standing } from '../plan/replan';
import type { Sought } from '../plan/seek';
import { Lengths, type Spread } from './draws';
import { spreadsOf } from './evening';
import { Network } from './network';
import { usualTolerance } from './usual';

/** What may be expected of the rest of an evening. */
interface Prospect {
	/** Mean cost of the evenings that may still come, by the problem's own prices. */
	readonly cost: number;
	/** Share of them with all that is still to be served on time. */
	readonly onTime: number;
}

/** Both ways on. */
export interface Prospects {
	readonly goOn: Prospect;
	readonly anew: Prospect;
	/** What it costs a cook to read what was moved. */
	readonly reading: number;
}

/** Evenings that are drawn for it. */
const usualEvenings = 256;

/**
 * Both ways on from a moment, on the same evenings that may still come: what has ended took what it took; what is on takes what
 * is thought of it now, the more surely the less of it is left; what has not begun is drawn as ever (rollout: Bertsekas & Castañon
 * 1999, J. Heuristics 5, 89–108). `undefined` where the meal cannot be made so any more.
 *
 * @param request the meal and the kitchen as they are now, and how it stands
 * @param anew a plan of the rest
 */
export function prospects(
	{ meal, kitchen, techniques, seed, standing }: Omit<Sought, 'budget' | 'standing'> & { readonly standing: Standing },
	anew: Plan,
	evenings = usualEvenings
): Prospects | undefined {
	const read = compileOnce(meal, kitchen, new Map(techniques.map((t) => [t.id, t])), 'pooled');
	if (!read.ok) return undefined;
	const { problem } = withFacts(read.value, scheduleOf(standing.plan, read.value, kitchen), standing);
	const served = new Set(standing.served);
	const due = problem.services.map((s) => (served.has(s.id) ? Infinity : s.due + usualTolerance));
	const passed = new Map(standing.begun.map((b) => [b.step, Math.min(b.to, standing.now) - b.from]));
	const look = (plan: Plan): Prospect => {
		const net = new Network(problem, withFixed(problem, scheduleOf(plan, read.value, kitchen)));
		const drawn = new Lengths(net.tasks, net.lengths, spreadsNow(plan, standing), seed);
		const least = net.tasks.map((id) => passed.get(id) ?? 0);
		const lengths = new Float64Array(net.tasks.length);
		let [cost, onTime] = [0, 0];
		for (let k = 0; k < evenings; k++) {
			drawn.draw(k, lengths);
			least.forEach((seconds, i) => (lengths[i] = Math.max(lengths[i]!, seconds)));
			net.play(lengths);
			cost += net.cost(lengths) / evenings;
			if (due.every((d, s) => net.instants[s]! <= d)) onTime++;
		}
		return { cost, onTime: onTime / evenings };
	};
	const reading = rereading * problem.weights.slip * movedIn(anew, standing).length;
	return { goOn: look(standing.plan), anew: look(anew), reading };
}

/** A schedule with what has begun where it was begun, and in its place. */
function withFixed({ tasks }: Problem, schedule: Schedule): Schedule {
	const fixed = tasks.flatMap((t) => (t.fixed ? [[t.id, t.fixed] as const] : []));
	return {
		...schedule,
		starts: { ...schedule.starts, ...Object.fromEntries(fixed.map(([id, f]) => [id, f.start])) },
		modes: { ...schedule.modes, ...Object.fromEntries(fixed.map(([id, f]) => [id, f.mode])) }
	};
}

/** The spreads of a plan: what is over took what it took; what is on, about what is thought of it now, by what is left of it. */
function spreadsNow(plan: Plan, { begun, now }: Standing): Readonly<Record<string, Spread>> {
	const known = new Map(begun.map((b) => [b.step, b]));
	return Object.fromEntries(
		Object.entries(spreadsOf(plan)).flatMap(([id, spread]): [string, Spread][] => {
			const on = known.get(id);
			if (!on) return [[id, spread]];
			const whole = on.to - on.from;
			if (on.to <= now || whole <= 0) return [];
			const left = Math.min(1, (on.to - now) / whole);
			return [[id, { mu: Math.log(whole), sigma: left * wholeSigma(spread) }]];
		})
	);
}

const wholeSigma = ({ sigma, shared = {} }: Spread) => Math.hypot(sigma, ...Object.values(shared));

/** To read a moved step anew costs as much as so many seconds of a late service (est.). */
const rereading = 2;
/** A plan that costs less by a smaller share is not worth being read. */
const leastGain = 0.01;

/** Whether a plan of the rest is worth it: what it costs on the mean, waits that are too long and reading it among it, is clearly less. */
export const isWorthIt = ({ goOn, anew, reading }: Prospects): boolean =>
	anew.cost + reading < (1 - leastGain) * goOn.cost;
