// The plan of what is on the table now: asked of the worker at each change, replaced as better ones come.
import { wordIssue } from '../core/issues';
import type { Plan } from '../core/model/plan';
import type { Slack } from '../core/plan/explain/slack';
import type { WhatIf } from '../core/plan/what-if/what-if';
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

	/** What would help the plan that is shown, the best first; `undefined` where nobody asked. */
	whatIfs: readonly WhatIf[] | undefined = $state.raw();
	isTrying = $state(false);

	private planner: PlannerClient | undefined;
	private latest = 0;

	constructor(plan: Plan) {
		this.plan = $state.raw(plan);
	}

	/** Plan this; an older request is dropped. */
	async ask(what: What): Promise<void> {
		const mine = ++this.latest;
		this.isCurrent = false;
		this.whatIfs = undefined;
		this.isTrying = false;
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

	/** Plan every change worth trying, and rank them as they come. */
	async tryOut(what: What): Promise<void> {
		const mine = this.latest;
		const { plan } = this;
		this.whatIfs = [];
		this.isTrying = true;
		try {
			this.planner ??= startPlanner();
			await this.planner.whatIf({ ...what, seed: usualSeed, budget: usualBudget }, plan, (found) => {
				if (mine !== this.latest || plan !== this.plan) return;
				this.whatIfs = [...(this.whatIfs ?? []), found].sort((a, b) => b.gain - a.gain);
			});
		} catch (error) {
			this.problems = [error instanceof Error ? error.message : String(error)];
		}
		if (mine === this.latest) this.isTrying = false;
	}

	/** How much later a step of the plan that is shown may be, services unmoved; `undefined` where it cannot be told. */
	async slack(what: What, step: string): Promise<Slack | undefined> {
		if (!this.isCurrent) return undefined;
		this.planner ??= startPlanner();
		return this.planner.slack({ ...what, seed: usualSeed, budget: usualBudget }, this.plan, step);
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
