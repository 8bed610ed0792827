// What goes wrong in evenings that are played by the thousand: the mishaps of a training evening that cost time.
import { Draw } from './draws';

/** A task as mishaps find it; planned instants and lengths, s. */
export interface Struck {
	readonly part: string | undefined;
	readonly start: number;
	readonly length: number;
	/** Cooks whose hands it has from its beginning to its end. */
	readonly cooks: readonly string[];
	/** Its first event. */
	readonly event: number;
}

/** No evening has more of them. */
const most = 12;
/** Shares of what goes wrong; the rest (a guest more, a burner, a course at another time) is planned anew and costs nothing here. */
const shares = { late: 0.3, doorbell: 0.2, dropped: 0.2 } as const;
/** Who goes to the door is away so long, s. */
const atTheDoor = 240;
/** What is late is so much later, s. */
const later = { least: 120, most: 360 };

/** Mishaps come by themselves, so many an hour (a Poisson process); the same seed and evening bring the same ones to any plan. */
export class Troubles {
	private readonly draws: readonly Readonly<Record<'gap' | 'kind' | 'pick' | 'by', Draw>>[];

	/**
	 * @param tasks by index
	 * @param cooks whom the door may call
	 * @param perHour on the mean
	 * @param from first and last instant at which something may go wrong, s
	 */
	constructor(
		private readonly tasks: readonly (Struck | undefined)[],
		private readonly cooks: readonly string[],
		private readonly perHour: number,
		private readonly from: number,
		private readonly to: number,
		seed: number
	) {
		this.draws = Array.from({ length: perHour > 0 ? most : 0 }, (_, n) => ({
			gap: new Draw(seed, `gap ${n}`),
			kind: new Draw(seed, `mishap ${n}`),
			pick: new Draw(seed, `struck ${n}`),
			by: new Draw(seed, `by ${n}`)
		}));
	}

	/** Put one evening's mishaps onto its lengths, s by task, and its delays, s by event. */
	strike(evening: number, lengths: Float64Array, late: Float64Array): void {
		let at = this.from;
		for (const draw of this.draws) {
			at += (-3600 / this.perHour) * Math.log(1 - draw.gap.uniform(evening));
			if (at > this.to) return;
			const kind = draw.kind.uniform(evening);
			const pick = draw.pick.uniform(evening);
			if (kind < shares.late) {
				const i = this.oneOf(pick, (t) => isOn(t, at) && t.cooks.length === 0);
				if (i >= 0) lengths[i]! += later.least + (later.most - later.least) * draw.by.uniform(evening);
			} else if (kind < shares.late + shares.doorbell) this.ring(at, pick, lengths, late);
			else if (kind < shares.late + shares.doorbell + shares.dropped) {
				// One portion is begun again: what is on of it takes as long once more.
				const i = this.oneOf(pick, (t) => isOn(t, at) && t.part !== undefined);
				if (i >= 0) lengths[i]! += at - this.tasks[i]!.start;
			}
		}
	}

	/** Somebody goes to the door: what is in their hands waits, what they were to begin comes later. */
	private ring(at: number, pick: number, lengths: Float64Array, late: Float64Array): void {
		const cook = this.cooks[Math.floor(pick * this.cooks.length)];
		this.tasks.forEach((t, i) => {
			if (!t || cook === undefined || !t.cooks.includes(cook)) return;
			if (isOn(t, at)) lengths[i]! += atTheDoor;
			else if (t.start >= at && t.start < at + atTheDoor)
				late[t.event] = Math.max(late[t.event]!, at + atTheDoor - t.start);
		});
	}

	private oneOf(pick: number, suits: (task: Struck) => boolean): number {
		const all = this.tasks.flatMap((t, i) => (t && suits(t) ? [i] : []));
		return all[Math.floor(pick * all.length)] ?? -1;
	}
}

const isOn = (t: Struck, at: number) => t.start <= at && t.start + t.length > at;
