// The plan of what is on the table now: asked of the worker at each change, replaced as better ones come.
import type { Issue } from '../core/issues';
import { wordBreach, wordChange, wordConflict, wordEffect } from '../core/words/advice';
import { wordIssue } from '../core/words/issues';
import { wordOverruns } from '../core/words/life';
import { inUnits } from '../core/words/quantities';
import { speakPlan, type SpokenPlan } from '../core/words/speak';
import type { Measure } from '../core/units/amount';
import type { Plan } from '../core/model/plan';
import type { Slack } from '../core/plan/why/slack';
import type { Cure } from '../core/plan/advise/cures';
import type { Offer } from '../core/plan/advise/offers';
import type { WhatIf } from '../core/plan/advise/what-if';
import type { Prospects } from '../core/rehearse/going-on';
import { movedIn, type Standing } from '../core/plan/replan';
import { usualBudget, usualSeed } from '../core/plan/effort';
import type { PlanRequest } from '../core/plan/plan-meal';
import type { Told } from '../core/probe/estimate';
import type { How } from '../core/rehearse/how';
import type { Rehearsed } from '../core/rehearse/offers';
import { startPlanner, type PlannerClient } from '../workers/client';

/** Work for a replan during a run, in propagator runs: the first answer comes at once. */
const replanBudget = 20_000;
/** No step at all. */
const nothing: ReadonlySet<string> = new Set<string>();
/** Work for a look at another way of doing things. */
const previewBudget = 12_000;

/** On the page an issue names its part and step; where it stands in a file is nobody's concern. */
const wordHere = (issue: Issue) => wordIssue({ ...issue, path: [] });

type What = Pick<PlanRequest, 'meal' | 'kitchen' | 'techniques'>;

/** A cure, or a change that would help, with its words. */
export type SpokenCure = Cure & { readonly say: string };
export type SpokenWhatIf = WhatIf & { readonly say: string; readonly wordedEffect: string };

export class Planning {
	/** The best plan so far; of the meal before, while there is none of this one. */
	plan: Plan;
	/** Whether `plan` is of the meal as it is now. */
	isCurrent = $state(true);
	isWorking = $state(false);
	/** Share of the work done, 0 to 1. */
	spent = $state(0);
	/** Why there is no plan, in metric sentences. */
	private reasons: readonly string[] = $state.raw([]);
	/** The same in the cook's units, each once. */
	readonly problems: readonly string[] = $derived.by(() =>
		this.reasons.filter((r, i) => this.reasons.indexOf(r) === i).map((r) => this.inOwn(r))
	);
	/** The plan in words, in the cook's units. */
	readonly spoken: SpokenPlan = $derived.by(() => speakPlan(this.plan, this.measure()));

	private foundCures: readonly Cure[] = $state.raw([]);
	/** Which promise might be broken, where there is no plan that keeps them all; each a plan that was found. */
	readonly cures: readonly SpokenCure[] = $derived.by(() =>
		this.foundCures.map((cure) => ({ ...cure, say: this.inOwn(wordBreach(cure.breach)) }))
	);
	/** How much later each step may be, services unmoved, as far as it is known: seconds by step. */
	slack: Readonly<Record<string, Slack>> = $state.raw({});

	private foundWhatIfs: readonly WhatIf[] | undefined = $state.raw();
	/** What would help the plan that is shown, the best first; `undefined` where nobody asked. */
	readonly whatIfs: readonly SpokenWhatIf[] | undefined = $derived.by(() =>
		this.foundWhatIfs?.map((found) => ({
			...found,
			say: this.inOwn(wordChange(found.what)),
			wordedEffect: this.inOwn(wordEffect(found.effect))
		}))
	);
	isTrying = $state(false);

	private planner: PlannerClient | undefined;
	private latest = 0;

	/**
	 * @param measure how the cook likes to measure
	 * @param start starts the planner in its workers
	 */
	constructor(
		plan: Plan,
		private readonly measure: () => Measure,
		private readonly start: () => PlannerClient = startPlanner
	) {
		this.plan = $state.raw(plan);
	}

	private inOwn(text: string): string {
		return inUnits(text, this.measure());
	}

	/** Plan this; an older request is dropped. */
	async ask(what: What): Promise<void> {
		const mine = ++this.latest;
		this.isCurrent = false;
		this.foundWhatIfs = undefined;
		this.isTrying = false;
		this.foundCures = [];
		// What was wrong with the meal before may be mended.
		this.reasons = [];
		this.slack = {};
		this.isWorking = true;
		this.spent = 0;
		const adopt = (plan: Plan) => {
			this.plan = plan;
			this.isCurrent = true;
			this.reasons = [];
		};
		try {
			this.planner ??= this.start();
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
					this.reasons = answer.issues.map(wordHere);
					break;
				case 'conflict':
					this.reasons = wordConflict(answer.conflict);
					await this.findCures(what, mine);
					break;
				case 'unknown':
					this.reasons = ['No plan was found in the time allowed. Serve later, start earlier, or leave a part out.'];
					await this.findCures(what, mine);
					break;
				case 'superseded':
					return;
			}
			this.isWorking = false;
		} catch (error) {
			if (mine !== this.latest) return;
			this.reasons = [error instanceof Error ? error.message : String(error)];
			this.isWorking = false;
			this.planner?.close();
			this.planner = undefined;
		}
	}

	/** Plan every change worth trying, and rank them as they come. */
	async tryOut(what: What): Promise<void> {
		const mine = this.latest;
		const { plan } = this;
		this.foundWhatIfs = [];
		this.isTrying = true;
		try {
			this.planner ??= this.start();
			await this.planner.whatIf({ ...what, seed: usualSeed, budget: usualBudget }, plan, (found) => {
				if (mine !== this.latest || plan !== this.plan) return;
				this.foundWhatIfs = [...(this.foundWhatIfs ?? []), found].sort((a, b) => b.gain - a.gain);
			});
		} catch (error) {
			this.reasons = [error instanceof Error ? error.message : String(error)];
		}
		if (mine === this.latest) this.isTrying = false;
	}

	/** Measure how much later each step of the plan that is shown may be; these steps first. */
	async measureSlack(what: What, first: readonly string[] = []): Promise<void> {
		if (!this.isCurrent || this.isWorking || this.isTrying) return;
		const mine = this.latest;
		const { plan } = this;
		const rest = plan.steps.map((s) => s.id).filter((id) => !first.includes(id));
		const steps = [...first, ...rest].filter((id) => !(id in this.slack));
		if (steps.length === 0) return;
		this.planner ??= this.start();
		await this.planner.slack({ ...what, seed: usualSeed, budget: usualBudget }, plan, steps, (found) => {
			if (mine !== this.latest || plan !== this.plan) return;
			this.slack = { ...this.slack, [found.step]: found };
		});
	}

	/** What a probe's stream says; nothing where the worker is gone. */
	async probe(...asked: Parameters<PlannerClient['probe']>): Promise<Told | undefined> {
		try {
			this.planner ??= this.start();
			return await this.planner.probe(...asked);
		} catch {
			return undefined;
		}
	}

	/** How likely the plan that is shown is on time, as it is found out; what was being rehearsed before is dropped. */
	async rehearse(what: What, how: How, onFound: (found: Rehearsed) => void): Promise<void> {
		const { plan } = this;
		try {
			this.planner ??= this.start();
			await this.planner.rehearse({ ...what, seed: usualSeed, budget: usualBudget }, plan, how, (found) => {
				if (plan === this.plan) onFound(found);
			});
		} catch {
			// The plan stands without its odds.
		}
	}

	/** What idle hands could begin now; nothing where the worker is gone. */
	async offers(what: What, standing: Standing): Promise<readonly Offer[]> {
		try {
			this.planner ??= this.start();
			return await this.planner.offers({ ...what, seed: usualSeed, budget: 0 }, standing);
		} catch {
			return [];
		}
	}

	/**
	 * Plan the rest of an evening that is under way, in a few moments; what is on the table stays as it is.
	 *
	 * @returns why there is no plan, or which promise to break, in words; nothing where there is one
	 */
	async replan(
		what: What,
		standing: Standing,
		onPlan: (plan: Plan, moved: readonly string[]) => void
	): Promise<string | undefined> {
		const request = { ...what, seed: usualSeed, budget: replanBudget, standing };
		try {
			this.planner ??= this.start();
			const answer = await this.planner.plan(
				request,
				({ plan }) => {
					if (plan) onPlan(plan, movedIn(plan, standing));
				},
				'run'
			);
			if (answer.kind === 'superseded') return undefined;
			if (answer.kind === 'plan') {
				onPlan(answer.plan, movedIn(answer.plan, standing));
				const late = wordOverruns(answer.overruns, answer.plan);
				return late === '' ? undefined : this.inOwn(late);
			}
			if (answer.kind === 'issues') return this.inOwn(answer.issues.map(wordHere).join(' '));
			if (standing.pinned && standing.pinned.size > 0) {
				const otherwise = await this.replan(what, { ...standing, pinned: nothing }, onPlan);
				return ['Not all could stay where it was.', otherwise].filter((w) => w !== undefined).join(' ');
			}
			const found: Cure[] = [];
			await this.planner.cures(request, (cure) => found.push(cure), 'run');
			const [cure] = found;
			if (cure) onPlan(cure.plan, movedIn(cure.plan, standing));
			return cure
				? `It cannot all be kept: ${this.inOwn(wordBreach(cure.breach))}. The plan does that now.`
				: 'No plan keeps everything any more: go by the clock.';
		} catch (error) {
			return error instanceof Error ? error.message : String(error);
		}
	}

	/** What may be expected of the rest of an evening: going on as planned, and by a plan of the rest; nothing where that is not known. */
	async prospects(what: What, standing: Standing, anew: Plan): Promise<Prospects | undefined> {
		try {
			this.planner ??= this.start();
			return await this.planner.prospects({ ...what, seed: usualSeed, budget: 0, standing }, anew);
		} catch {
			return undefined;
		}
	}

	/** What a change would come to: a quick plan of it; what is shown stays. */
	async preview(what: What, standing?: Standing): Promise<Plan | readonly string[]> {
		try {
			this.planner ??= this.start();
			const answer = await this.planner.preview({ ...what, seed: usualSeed, budget: previewBudget, standing });
			if (answer.kind === 'plan') return answer.plan;
			if (answer.kind === 'superseded') return [];
			if (answer.kind === 'issues') return answer.issues.map(wordHere).map((w) => this.inOwn(w));
			if (answer.kind === 'conflict') return wordConflict(answer.conflict).map((w) => this.inOwn(w));
			return ['No plan was found for it in a moment.'];
		} catch (error) {
			return [error instanceof Error ? error.message : String(error)];
		}
	}

	private async findCures(what: What, mine: number): Promise<void> {
		await this.planner?.cures({ ...what, seed: usualSeed, budget: usualBudget }, (cure) => {
			if (mine === this.latest) this.foundCures = [...this.foundCures, cure];
		});
	}

	/** Stop looking; the best plan so far stays. */
	stop(): void {
		this.latest++;
		this.isWorking = false;
		this.planner?.cancel();
	}

	close(): void {
		this.planner?.close();
		this.planner = undefined;
	}
}
