// The planner's worker: pulls the search in slices, and looks for messages between two of them.
import { expose } from 'comlink';
import { compileMeal } from '../core/plan/compile/compile';
import { scheduleOf } from '../core/plan/explain/schedule-of';
import { slackOf } from '../core/plan/explain/slack';
import { cures } from '../core/plan/what-if/cures';
import { whatIfs } from '../core/plan/what-if/what-if';
import type { Schedule } from '../core/plan/problem';
import { planMeal } from '../core/plan/plan-meal';
import type { Planner } from './protocol';

/** Work for one step's slack, in propagator runs. */
const slackBudget = 1500;

let latest = 0;
let news: Schedule | undefined;

/** Let waiting messages in; a message port is not slowed down as nested timers are. */
const { port1, port2 } = new MessageChannel();
const breathe = () =>
	new Promise<void>((resolve) => {
		port1.onmessage = () => {
			resolve();
		};
		port2.postMessage(undefined);
	});

const planner: Planner = {
	async plan(request, onProgress) {
		const mine = ++latest;
		const search = planMeal(request);
		news = undefined;
		for (;;) {
			await breathe();
			if (mine !== latest) return { kind: 'superseded' };
			const step = search.next(news);
			news = undefined;
			if (step.done) return step.value;
			onProgress(step.value);
		}
	},
	async preview(request) {
		const search = planMeal(request);
		for (;;) {
			await breathe();
			const step = search.next(undefined);
			if (step.done) return step.value;
		}
	},
	async whatIf(request, plan, onFound) {
		const mine = latest;
		for (const found of whatIfs(request, plan)) {
			await breathe();
			if (mine !== latest) return;
			if (found) onFound(found);
		}
	},
	async cures(request, onFound) {
		const mine = latest;
		for (const found of cures(request)) {
			await breathe();
			if (mine !== latest) return;
			if (found) onFound(found);
		}
	},
	async slack({ meal, kitchen, techniques }, plan, steps, onFound) {
		const mine = latest;
		const compiled = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
		if (!compiled.ok || plan.meal !== meal.id) return;
		const { problem } = compiled.value;
		const answer = scheduleOf(plan, compiled.value, kitchen);
		for (const step of steps) {
			await breathe();
			if (mine !== latest) return;
			onFound({ step, ...slackOf(problem, answer, step, slackBudget) });
		}
	},
	hear(answer) {
		news = answer;
	},
	cancel() {
		latest++;
	}
};

expose(planner);
