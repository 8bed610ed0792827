// Several searches for one plan: different seeds, and what one finds the others go on from.
import type { Plan } from '../core/model/plan';
import type { PlanProgress, PlanRequest } from '../core/plan/plan-meal';
import type { Schedule } from '../core/plan/problem';
import type { PlanAnswer } from './protocol';

/** One search of the team: a worker, wherever it runs. */
export interface Member {
	plan(request: PlanRequest, onProgress: (progress: PlanProgress) => void): Promise<PlanAnswer>;
	/** Tell it what another has found. */
	hear(answer: Schedule): Promise<void> | void;
	cancel(): Promise<void> | void;
}

/**
 * Plan with all members at once: the first with the request's own seed, each other with the next. Better plans and higher
 * bounds go round. It ends when one of them has a proof, or the first has done its work; the best plan of all is the answer.
 */
export async function planTogether(
	members: readonly Member[],
	request: PlanRequest,
	onProgress: (progress: PlanProgress) => void
): Promise<PlanAnswer> {
	let best: Plan | undefined;
	let bound = -Infinity;
	const begin = (member: Member, k: number) =>
		member.plan({ ...request, seed: request.seed + k }, (progress) => {
			const { plan, answer } = progress;
			const isBetter = plan !== undefined && plan.objective < (best?.objective ?? Infinity);
			const isHigher = (answer.bound ?? -Infinity) > bound && best !== undefined;
			if (isBetter) best = plan;
			if (isHigher) bound = answer.bound ?? bound;
			if (isBetter || isHigher) for (const other of members) if (other !== member) void other.hear(answer);
			// The first one's share of the work is what the page shows.
			if (isBetter || k === 0) onProgress(isBetter ? progress : { ...progress, plan: undefined });
		});
	const answers = members.map(begin);
	const [first] = answers;
	if (!first) throw new RangeError('a team of none');
	const proofs = answers.map(async (answer) => {
		const value = await answer;
		return isFinal(value) ? value : new Promise<never>(() => undefined);
	});
	const answer = await Promise.race([first, ...proofs]);
	for (const member of members) void member.cancel();
	if (answer.kind !== 'plan' || !best || best.objective >= answer.plan.objective) return answer;
	return { ...answer, plan: best };
}

/** Nothing better can come. */
function isFinal(answer: PlanAnswer): boolean {
	return answer.kind === 'plan' ? answer.plan.status === 'optimal' : answer.kind !== 'unknown';
}
