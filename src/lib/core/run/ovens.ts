// The ovens of a run: what each is set to, since when, and when it is hot.
import type { Plan } from '../model/plan';
import { cuesOf } from './cues';
import type { Facts } from './facts';

export interface OvenOn {
	readonly lane: string;
	/** What it shall be, and what its knob is at, °C. */
	readonly setting: number;
	readonly knob: number;
	/** Since when it is set so, the plan's clock. */
	readonly since: number;
	/** When it is hot by the plan; when its lamp told so; absent: it has not. */
	readonly hot: number;
	readonly told?: number;
	/** What a thermometer read last, °C. */
	readonly read?: number;
	/** Whether something is still to go into it, or in it, so hot. */
	readonly isWanted: boolean;
}

/** The ovens that were switched on, each as it was set last. */
export function ovensOf(
	plan: Plan,
	{ done, lamps, heats }: Pick<Facts, 'done' | 'lamps' | 'heats'>,
	clock: number
): readonly OvenOn[] {
	const steps = new Map(plan.steps.map((s) => [s.id, s]));
	const set = cuesOf(plan).flatMap((cue) => {
		const step = steps.get(cue.step ?? '');
		const since = done.get(cue.id);
		if (cue.kind !== 'oven' || step?.setting === undefined || since === undefined) return [];
		return [{ step, setting: step.setting, since }];
	});
	const last = new Map(set.toSorted((a, b) => a.since - b.since).map((s) => [s.step.lane, s]));
	return [...last].map(([lane, { step, setting, since }]): OvenOn => {
		const told = lamps.get(lane);
		const read = heats.get(lane);
		const uses = plan.steps.filter((s) => s.lane === lane && s.setting === setting);
		return {
			lane,
			setting,
			knob: step.knob ?? setting,
			since,
			hot: step.from,
			...(told !== undefined && told >= since ? { told } : {}),
			...(read === undefined ? {} : { read }),
			isWanted: uses.some((s) => s.to > clock)
		};
	});
}
