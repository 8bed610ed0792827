// Evenings in which the rest is planned anew whenever something comes between: few, for each of them asks the planner.
import type { Plan } from '../model/plan';
import { grid } from '../plan/grid';
import type { Problem, Schedule } from '../plan/problem';
import { seek, type Sought } from '../plan/seek';
import { Lengths } from './draws';
import { Network } from './network';
import { drawing, Tally, type Odds, type Rehearsal } from './rehearse';

/** Who cooks notices what ends so much later or sooner than planned, s. */
const noticed = 60;
/** Work for the plan of the rest, in propagator runs; and how often it is asked for in an evening. */
const budget = 1500;
const mostReplans = 6;
/** A plan of the rest is held against going on as before on so many evenings that are drawn apart from the one that is played. */
const lookAhead = 48;

/** A plan as it is played. */
interface InForce {
	readonly plan: Plan;
	readonly problem: Problem;
	readonly schedule: Schedule;
	/** Clock of instant 0. */
	readonly origin: number;
}

/**
 * Play evenings one after the other: each goes as planned until a step ends noticeably later or sooner; then the rest is planned
 * anew from what has happened, and that plan is gone on with where it costs less, on the mean of evenings that might still come,
 * than going on as before (rollout: Bertsekas & Castañon 1999, J. Heuristics 5, 89–108). A plan of the usual lengths alone would
 * use up all room that is left. The luck of each step stays the same (common random numbers).
 */
export function* replanned(
	request: Omit<Sought, 'budget'>,
	plan: Plan,
	rehearsal: Rehearsal,
	origin: number
): Generator<(() => Odds) | undefined, Odds> {
	const { problem, schedule, tolerance, runs } = rehearsal;
	const net = new Network(problem, schedule);
	const tally = new Tally(net, tolerance, runs);
	const draw = drawing(net, rehearsal);
	const aside = (rehearsal.seed ^ 0x3c6ef372) >>> 0;
	for (let evening = 0; evening < runs; evening++) {
		const { lengths, late } = draw(evening);
		const ended = yield* play({ plan, problem, schedule, origin }, net, lengths, late);
		tally.count(ended.lengths, ended.net);
		yield () => tally.odds();
	}
	return tally.odds();

	/** What an evening costs that goes on with a net, on the mean: what has ended is known, what is on takes longer than it has. */
	function expected(
		of: Network,
		past: ReadonlyMap<string, { readonly passed: number; readonly length: number | undefined }>
	): number {
		const drawn = new Lengths(of.tasks, of.lengths, rehearsal.durations, aside);
		const lengths = new Float64Array(of.tasks.length);
		const known = of.tasks.map((id) => past.get(id));
		let sum = 0;
		for (let k = 0; k < lookAhead; k++) {
			drawn.draw(k, lengths);
			known.forEach((p, i) => {
				if (p) lengths[i] = p.length ?? Math.max(lengths[i]!, p.passed + grid);
			});
			of.play(lengths);
			sum += net.cost(lengths, of);
		}
		return sum / lookAhead;
	}

	function* play(begun: InForce, first: Network, drawn: Float64Array, late: Float64Array) {
		const luck = new Map(first.tasks.map((id, i) => [id, drawn[i]! / first.lengths[i]!]));
		const delays = new Map(first.eventNames.map((name, e) => [name, late[e]!]));
		/** What has begun: how long it really takes. */
		const known = new Map<string, number>();
		let inForce = begun;
		let net = first;
		let now = -Infinity;
		for (let turn = 0; ; turn++) {
			const lengths = Float64Array.from(net.tasks, (id, i) => known.get(id) ?? net.lengths[i]! * (luck.get(id) ?? 1));
			const begins = new Set(known.keys());
			const later = Float64Array.from(net.eventNames, (name, e) =>
				begins.has(net.eventTasks[e]!) ? 0 : (delays.get(name) ?? 0)
			);
			net.play(lengths, later);
			if (turn === mostReplans) return { net, lengths };
			const steps = new Set(inForce.plan.steps.map((s) => s.id));
			const played = net.tasks.flatMap((id, i) => {
				if (!steps.has(id)) return [];
				const from = net.startOf(i);
				return [{ id, from, to: net.endOf(i, lengths), length: lengths[i]!, thought: from + net.lengths[i]! }];
			});
			const news = played.filter(
				(p) =>
					p.to > now && Math.abs(p.to - (inForce.schedule.starts?.[p.id] ?? p.from) - (p.thought - p.from)) >= noticed
			);
			if (news.length === 0) return { net, lengths };
			now = Math.min(...news.map((p) => p.to));
			const at = now;
			const on = played.filter((p) => p.from <= at);
			const clock = (s: number) => inForce.origin + s;
			const standing = {
				plan: inForce.plan,
				now: clock(at),
				begun: on.map((p) => ({
					step: p.id,
					from: clock(p.from),
					to: clock(p.to <= at ? p.to : Math.max(p.thought, at + grid))
				}))
			};
			const search = seek({ ...request, budget, standing });
			for (;;) {
				const step = search.next(undefined);
				if (!step.done) {
					yield undefined;
					continue;
				}
				const { value: found } = step;
				if (found.kind !== 'answer' || !found.plan) return { net, lengths };
				const then = new Network(found.compiled.problem, found.answer);
				const past = (isNew: boolean) =>
					new Map(
						on.map((p) => [
							p.id,
							{ passed: at - p.from, length: p.to > at ? undefined : isNew ? p.to - p.from : p.length }
						])
					);
				if (expected(then, past(true)) >= expected(net, past(false))) break;
				for (const p of on) known.set(p.id, p.to - p.from);
				inForce = {
					plan: found.plan,
					problem: found.compiled.problem,
					schedule: found.answer,
					origin: found.compiled.trace.origin
				};
				net = then;
				break;
			}
		}
	}
}
