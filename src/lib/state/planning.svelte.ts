// The plan of what is on the table now: asked of the worker at each change, replaced as better ones come.
import { wordIssue } from '../core/issues';
import type { Plan } from '../core/model/plan';
import { usualBudget, usualSeed, type PlanRequest } from '../core/plan/plan-meal';
import { startPlanner, type PlannerClient } from '../workers/client';

type What = Pick<PlanRequest, 'meal' | 'kitchen' | 'techniques'>;

export class Planning {
	/** The best plan so far; of the meal before, while there is none of this one. */
	plan: Plan;
	/** Whether `plan` is of the meal as it is now. */
	isCurrent = $state(true);
	isWorking = $state(false);
	/** Share of the work done, 0 to 1. */
	spent = $state(0);
	/** Why there is no plan, in sentences. */
	problems: readonly string[] = $state.raw([]);

	private planner: PlannerClient | undefined;
	private latest = 0;

	constructor(plan: Plan) {
		this.plan = $state.raw(plan);
	}

	/** Plan this; an older request is dropped. */
	async ask(what: What): Promise<void> {
		const mine = ++this.latest;
		this.isCurrent = false;
		this.isWorking = true;
		this.spent = 0;
		const adopt = (plan: Plan) => {
			this.plan = plan;
			this.isCurrent = true;
			this.problems = [];
		};
		try {
			this.planner ??= startPlanner();
			const answer = await this.planner.plan({ ...what, seed: usualSeed, budget: usualBudget }, ({ plan, spent }) => {
				if (mine !== this.latest) return;
				this.spent = spent;
				if (plan) adopt(plan);
			});
			if (mine !== this.latest) return;
			switch (answer.kind) {
				case 'plan':
					adopt(answer.plan);
					break;
				case 'issues':
					this.problems = answer.issues.map(wordIssue);
					break;
				case 'conflict':
					this.problems = answer.reasons;
					break;
				case 'unknown':
					this.problems = ['No plan was found in the time allowed. Serve later, start earlier, or leave a part out.'];
					break;
				case 'superseded':
					return;
			}
			this.isWorking = false;
		} catch (error) {
			if (mine !== this.latest) return;
			this.problems = [error instanceof Error ? error.message : String(error)];
			this.isWorking = false;
			this.planner?.close();
			this.planner = undefined;
		}
	}

	/** Stop looking; the best plan so far stays. */
	async stop(): Promise<void> {
		this.latest++;
		this.isWorking = false;
		await this.planner?.cancel();
	}

	close(): void {
		this.planner?.close();
		this.planner = undefined;
	}
}
