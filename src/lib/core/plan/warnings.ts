// What a cook has to know of a part besides its times: what its plan breaks, and what it only cautions against.
import type { Issue } from '../issues';
import type { Kitchen } from '../model/kitchen';
import type { Trace } from './compile/compile';

export const warningCodes = [
	'below-advised',
	'check-after-rest',
	'held-too-long',
	'cooling',
	'start-too-warm',
	'pan-too-thick',
	'batches',
	'over-full',
	'soft-egg',
	'at-risk',
	'never-done',
	'missing',
	'unknown'
] as const;
export type WarningCode = (typeof warningCodes)[number];

export interface Warning {
	readonly code: WarningCode;
	/** Whether the plan must not go on with it. */
	readonly hard: boolean;
	readonly say?: string;
	readonly facts?: Issue;
}

/** All of a part's warnings, each once. */
export function warningsOf(trace: Trace, kitchen: Kitchen): readonly Warning[] {
	void trace;
	void kitchen;
	return [];
}
