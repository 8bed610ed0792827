// The planner's worker: pulls the search in slices, and looks for messages between two of them.
import { expose } from 'comlink';
import { planMeal } from '../core/plan/plan-meal';
import type { Planner } from './protocol';

let latest = 0;

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
		for (;;) {
			await breathe();
			if (mine !== latest) return { kind: 'superseded' };
			const step = search.next();
			if (step.done) return step.value;
			onProgress(step.value);
		}
	},
	cancel() {
		latest++;
	}
};

expose(planner);
