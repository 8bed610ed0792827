// What a cook has to know of a part besides its times: what its plan breaks, and what it only cautions against.
import type { Issue } from '../issues';
import type { Care } from '../model/time-facts';
import type { Trace } from './compile/compile';
import { baseOf } from './compile/portions';

/** What a warning is of. */
type WarningCode =
	| 'below-advised'
	| 'check-after-rest'
	| 'held-too-long'
	| 'cooling'
	| 'start-too-warm'
	| 'pan-too-thick'
	| 'batches'
	| 'over-full'
	| 'soft-egg'
	| 'at-risk'
	| 'never-done'
	| 'missing'
	| 'unknown';

export interface Warning {
	readonly code: WarningCode;
	/** Whether the plan must not go on with it. */
	readonly hard: boolean;
	readonly say?: string;
	readonly facts?: Issue;
	readonly care?: Care;
	readonly batches?: { readonly say: string; readonly count: number };
}

/** What each care of a step is as a warning of its part; `fat-smokes` is the cook's at the pan, and no warning of the part. */
function ofCare(care: Care): Pick<Warning, 'code' | 'hard'> | undefined {
	switch (care.kind) {
		case 'below-advised':
		case 'check-after-rest':
		case 'pan-too-thick':
		case 'soft-egg':
			return { code: care.kind, hard: false };
		case 'start-too-warm':
			return { code: care.kind, hard: care.isRefused };
		case 'held-too-long':
			return { code: care.kind, hard: care.isRefused };
		case 'cooling':
			return { code: care.kind, hard: true };
		case 'too-fierce':
			return { code: 'never-done', hard: true };
		case 'fat-smokes':
			return undefined;
	}
}

/** Whether a plan must not go on with it. */
export const isHard = (care: Care): boolean => ofCare(care)?.hard === true;

/** All of a part's warnings, each code once. */
export function warningsOf(trace: Trace): readonly Warning[] {
	const found = new Map<WarningCode, Warning>();
	const add = (warning: Warning) => {
		if (!found.has(warning.code)) found.set(warning.code, warning);
	};
	const counts = new Map<string, { readonly say: string; count: number }>();
	for (const [id, { step, ways }] of trace.steps) {
		const way = ways.reduce((a, b) => (b.timing.mu < a.timing.mu ? b : a));
		for (const care of way.timing.care) {
			const warning = ofCare(care);
			if (warning) add({ ...warning, care });
		}
		const base = baseOf(id);
		const known = counts.get(base);
		if (known) known.count++;
		else counts.set(base, { say: step.say.replace(/, 1 of \d+$/, ''), count: 1 });
	}
	for (const { say, count } of counts.values())
		if (count > 1) add({ code: 'batches', hard: false, batches: { say, count } });
	return [...found.values()];
}
