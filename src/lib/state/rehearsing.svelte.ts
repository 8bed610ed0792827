// How likely the plan on the table is on time: found out in the background for each new plan.
import type { Plan } from '../core/model/plan';
import { blameOf, type Blame, type RoomOffer } from '../core/rehearse/evening';
import type { Policy } from '../core/rehearse/network';
import type { Odds } from '../core/rehearse/rehearse';
import type { Planning } from './planning.svelte';

type What = Parameters<Planning['rehearse']>[0];

export class Rehearsing {
	/** Of `plan`; absent: nothing is known yet. */
	odds: Odds | undefined = $state.raw();
	/** What other room behind the steps would bring, as it is found. */
	offers: readonly RoomOffer[] = $state.raw([]);
	isWorking = $state(false);
	/** How steps are begun. */
	policy: Policy = $state('hold');
	/** The plan that is rehearsed. */
	private plan: Plan | undefined = $state.raw();
	readonly blame: readonly Blame[] = $derived.by(() => (this.odds && this.plan ? blameOf(this.odds, this.plan) : []));
	private latest = 0;

	constructor(private readonly planning: Pick<Planning, 'plan' | 'rehearse'>) {}

	/** The plan that it is known of. */
	get isOf(): Plan | undefined {
		return this.plan;
	}

	/** Rehearse the plan that is shown. */
	async ask(what: What, policy: Policy = this.policy): Promise<void> {
		const { plan } = this.planning;
		if (plan === this.plan && policy === this.policy && (this.odds || this.isWorking)) return;
		const mine = ++this.latest;
		this.plan = plan;
		this.policy = policy;
		this.odds = undefined;
		this.offers = [];
		this.isWorking = true;
		await this.planning.rehearse(what, policy, (found) => {
			if (mine !== this.latest) return;
			if (found.kind === 'odds') this.odds = found.odds;
			else this.offers = [...this.offers, found.offer].sort((a, b) => b.onTime - a.onTime);
		});
		if (mine === this.latest) this.isWorking = false;
	}
}
