// The planner's jobs, side by side on one thread: each is pulled in slices, and between two of them messages are looked at and
// the others have their turn.
import { compileMeal } from '../core/plan/compile/compile';
import { scheduleOf } from '../core/plan/compile/schedule-of';
import { cures } from '../core/plan/advise/cures';
import { offersOf } from '../core/plan/advise/offers';
import { whatIfs } from '../core/plan/advise/what-if';
import { planMeal } from '../core/plan/plan-meal';
import { tell } from '../core/probe/estimate';
import { rehearsals } from '../core/rehearse/offers';
import { prospects } from '../core/rehearse/going-on';
import { chanceOf } from '../core/rehearse/evening';
import { probedAs } from '../core/run/probed';
import type { Schedule } from '../core/plan/problem';
import { slackOf } from '../core/plan/why/slack';
import type { Job, Planner } from './protocol';

/** Work for one step's slack, in propagator runs. */
const slackBudget = 1500;

/** A job that is on: whether it is still wanted, what was told to it, and its own place to breathe. */
interface Running {
	isCancelled: boolean;
	news: Schedule | undefined;
	/** Let waiting messages in; `false` once nobody wants the job any more. */
	readonly breathe: () => Promise<boolean>;
}

export function servePlanner(): Planner {
	const running = new Map<Job, Running>();

	/** Do a piece of work as a job; whatever becomes of it, it is over afterwards. */
	async function during<T>(job: Job, work: (own: Running) => Promise<T>): Promise<T> {
		// A message port is not slowed down as nested timers are; each job has its own, so that no two wait on one.
		const { port1, port2 } = new MessageChannel();
		const own: Running = {
			isCancelled: false,
			news: undefined,
			breathe: () =>
				new Promise((resolve) => {
					port1.onmessage = () => {
						resolve(!own.isCancelled);
					};
					port2.postMessage(undefined);
				})
		};
		running.set(job, own);
		try {
			return await work(own);
		} finally {
			running.delete(job);
			port1.close();
			port2.close();
		}
	}

	/** Tell of what a generator finds, until it ends or nobody wants it any more. */
	const tellAll = <T>(job: Job, found: Iterable<T | undefined>, tell: (one: T) => Promise<void> | void) =>
		during(job, async ({ breathe }) => {
			for (const one of found) {
				if (!(await breathe())) return;
				// Heard, before it is said that there is no more: the two go different ways.
				if (one !== undefined) await tell(one);
			}
		});

	return {
		plan: (job, request, onProgress) =>
			during(job, async (own) => {
				const search = planMeal(request);
				for (;;) {
					if (!(await own.breathe())) return { kind: 'superseded' };
					const { news } = own;
					own.news = undefined;
					const step = search.next(news);
					if (step.done) return step.value;
					onProgress(step.value);
				}
			}),
		whatIf: (job, request, plan, onFound) => tellAll(job, whatIfs(request, plan, chanceOf), onFound),
		cures: (job, request, onFound) => tellAll(job, cures(request), onFound),
		slack: (job, { meal, kitchen, techniques }, plan, steps, onFound) => {
			const compiled = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
			if (!compiled.ok || plan.meal !== meal.id) return Promise.resolve();
			const { problem } = compiled.value;
			const answer = scheduleOf(plan, compiled.value, kitchen);
			function* measured() {
				// Once before the first, so that it can be cancelled before anything is done.
				yield undefined;
				for (const step of steps) yield { step, ...slackOf(problem, answer, step, slackBudget) };
			}
			return tellAll(job, measured(), onFound);
		},
		rehearse: (job, request, plan, how, onFound) => tellAll(job, rehearsals(request, plan, how), onFound),
		probe: (step, readings, now) => {
			const asked = probedAs(step);
			return asked && tell({ ...asked, readings, now });
		},
		offers: offersOf,
		prospects: (request, anew) => prospects(request, anew),
		hear(job, answer) {
			const own = running.get(job);
			if (own) own.news = answer;
		},
		cancel(job) {
			const own = running.get(job);
			if (own) own.isCancelled = true;
		}
	};
}
