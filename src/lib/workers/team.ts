// Several searches for one plan: different seeds, and what one finds the others go on from.
import type { Plan } from '../core/model/plan';
import type { PlanProgress, PlanRequest } from '../core/plan/plan-meal';
import type { Job, PlanAnswer, Planner } from './protocol';

/** One search of the team: a worker, wherever it runs. */
export type Member = Pick<Planner, 'plan' | 'hear' | 'cancel'>;

/**
 * Plan with all members at once, as one job: the first with the request's own seed, each other with the next. Better plans
 * and higher bounds go round. It ends when one of them has a proof, or the first has done its work; the best plan of all is
 * the answer. What a member says after that is not heard.
 */
export async function planTogether(
	members: readonly Member[],
	job: Job,
	request: PlanRequest,
	onProgress: (progress: PlanProgress) => void
): Promise<PlanAnswer> {
	let best: Plan | undefined;
	let bound = -Infinity;
	let isOver = false;
	const begin = (member: Member, k: number) =>
		member.plan(job, { ...request, seed: request.seed + k }, (progress) => {
			if (isOver) return;
			const { plan, answer } = progress;
			const isBetter = plan !== undefined && plan.objective < (best?.objective ?? Infinity);
			const isHigher = (answer.bound ?? -Infinity) > bound && best !== undefined;
			if (isBetter) best = plan;
			if (isHigher) bound = answer.bound ?? bound;
			if (isBetter || isHigher) for (const other of members) if (other !== member) void other.hear(job, answer);
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
	try {
		const answer = await Promise.race([first, ...proofs]);
		if (answer.kind !== 'plan' || !best || best.objective >= answer.plan.objective) return answer;
		return { ...answer, plan: best };
	} finally {
		isOver = true;
		for (const member of members) void member.cancel(job);
	}
}

/** Nothing better can come. */
function isFinal(answer: PlanAnswer): boolean {
	switch (answer.kind) {
		case 'plan':
			return answer.plan.status === 'optimal';
		case 'conflict':
		case 'issues':
			return true;
		case 'unknown':
		case 'superseded':
			return false;
	}
}
