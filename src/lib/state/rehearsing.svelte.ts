// How likely the plan on the table is on time: found out in the background for each new plan.
import type { Plan } from '../core/model/plan';
import { blameOf, type Blame } from '../core/rehearse/evening';
import { asPlanned, type How } from '../core/rehearse/how';
import type { RoomOffer } from '../core/rehearse/offers';
import type { Odds } from '../core/rehearse/rehearse';
import type { Planning } from './planning.svelte';

type What = Parameters<Planning['rehearse']>[0];

export class Rehearsing {
	/** Of `plan`; absent: nothing is known yet. */
	odds: Odds | undefined = $state.raw();
	/** What other room behind the steps would bring, as it is found. */
	offers: readonly RoomOffer[] = $state.raw([]);
	isWorking = $state(false);
	/** How evenings are played. */
	how: How = $state.raw(asPlanned);
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
	async ask(what: What, how: How = this.how): Promise<void> {
		const { plan } = this.planning;
		if (plan === this.plan && how === this.how && (this.odds || this.isWorking)) return;
		const mine = ++this.latest;
		this.plan = plan;
		this.how = how;
		this.odds = undefined;
		this.offers = [];
		this.isWorking = true;
		await this.planning.rehearse(what, how, (found) => {
			if (mine !== this.latest) return;
			if (found.kind === 'odds') this.odds = found.odds;
			else this.offers = [...this.offers, found.offer].sort((a, b) => b.onTime - a.onTime);
		});
		if (mine === this.latest) this.isWorking = false;
	}
}
