// What the Cook screen says of steps: where they are, what goes in, what has to stand ready before what cannot be left.
import type { Bowl } from '../model/bowls';
import type { Plan, PlannedStep } from '../model/plan';
import type { Cue } from '../run/cues';
import { wordReady, wordTaken } from './amounts';
import { wordFilled, wordSetting } from './steps';

/** What cannot be left is laid ready so long before, seconds. */
const layReady = 150;

/** “Oven · 180 °C”. */
export const wordWhere = (step: PlannedStep, { lanes }: Pick<Plan, 'lanes'>): string =>
	[lanes.find((l) => l.id === step.lane)?.name ?? '', step.setting === undefined ? '' : wordSetting(step)]
		.filter((w) => w !== '')
		.join(' · ');

/** What goes into the step that a cue begins, and what has to stand ready. */
export function laidOut({ step: id, kind }: Cue, plan: Plan, bowls: readonly Bowl[]) {
	const step = kind === 'start' || kind === 'touch' ? plan.steps.find((s) => s.id === id) : undefined;
	if (!step) return { taken: [], ready: [] };
	return { taken: wordTaken(step, plan, bowls), ready: wordReady(step, plan, bowls) };
}

/** What begins soon and cannot be left then: what has to stand ready for it, and in how many seconds. */
export function layAhead(next: readonly Cue[], plan: Plan, clock: number, bowls: readonly Bowl[]) {
	return next.flatMap((cue) => {
		const step = cue.kind === 'start' ? plan.steps.find((s) => s.id === cue.step) : undefined;
		const seconds = cue.at - clock;
		if (step?.bound !== true || seconds > layReady) return [];
		const ready = wordReady(step, plan, bowls);
		return ready.length === 0 ? [] : [{ step: step.id, say: wordFilled(step.say, step), in: seconds, ready }];
	});
}
