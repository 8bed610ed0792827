// What idle hands could begin: asked for anew whenever the evening has moved on.
import type { Offer } from '../core/plan/advise/offers';
import type { View } from '../core/run/view';

/** Hands are free for so long before anything is offered to them; it is asked for again after as long, seconds. */
const idleFrom = 120;

/** What offers are asked for: another text, another question; empty: nothing is to be offered. */
export function occasionOf(
	view: Pick<View, 'done' | 'changes' | 'clock' | 'isOver'>,
	free: number | undefined
): string {
	if (view.isOver || free === undefined || free <= idleFrom) return '';
	return `${view.done} ${view.changes.length} ${Math.floor(view.clock / idleFrom)}`;
}

export class Offering {
	found: readonly Offer[] = $state.raw([]);
	private occasion = '';

	/** @param ask what could be begun as things stand */
	constructor(private readonly ask: () => Promise<readonly Offer[]>) {}

	/** The evening has come to an occasion: what was offered before is gone, and an answer to that is not heard any more. */
	async come(occasion: string): Promise<void> {
		this.occasion = occasion;
		this.found = [];
		if (occasion === '') return;
		const found = await this.ask();
		if (occasion === this.occasion) this.found = found;
	}
}
