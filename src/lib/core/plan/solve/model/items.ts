// What may be left out of a problem when one asks why it has no plan.
import type { Problem } from '../../problem';

/** Tasks (with all that names them), capacities, states, lags, ties, services. */
export interface Item {
	readonly kind: 'task' | 'resource' | 'state' | 'lag' | 'tie' | 'service';
	/** A lag is written `from>to`, a tie `a=b=c`. */
	readonly id: string;
}

export const lagName = (lag: { readonly from: string; readonly to: string }) => `${lag.from}>${lag.to}`;

export const tieName = (tie: readonly string[]) => tie.join('=');

export const itemsOf = (problem: Problem): readonly Item[] => [
	...problem.tasks.map(({ id }) => ({ kind: 'task', id }) as const),
	...[...new Set(problem.lags.map(lagName))].map((id) => ({ kind: 'lag', id }) as const),
	...[...new Set(problem.ties.map(tieName))].map((id) => ({ kind: 'tie', id }) as const),
	...problem.resources.map(({ id }) => ({ kind: 'resource', id }) as const),
	...problem.states.map(({ id }) => ({ kind: 'state', id }) as const),
	...problem.services.map(({ id }) => ({ kind: 'service', id }) as const)
];
