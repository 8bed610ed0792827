// What the records of evenings say of the next one: factors of steps, cooks and equipment, as they are believed on a day.
import {
	isUsable,
	loosen,
	newFactors,
	noise,
	priorSd,
	residualOf,
	setBack,
	takeRobust,
	type Observation,
	type Prior
} from './factors';
import { normalQuantile } from './spread';

/** What a time is about. A factor counts only where it is named. */
export interface Asked {
	/** Days since any first day. */
	readonly day: number;
	readonly step: string;
	readonly kind: 'hands' | 'heat';
	readonly cook?: string | undefined;
	readonly equipment?: string | undefined;
	/** The model's own time, before anything learnt, s. */
	readonly predicted: number;
}

export interface Recorded extends Asked {
	/** How long it really took, s. */
	readonly actual: number;
	/** Whether something came between: then it teaches nothing. */
	readonly disturbed?: boolean | undefined;
}

export interface Foretold {
	/** s. */
	readonly p10: number;
	readonly p50: number;
	readonly p90: number;
	/** Whether there are records enough of that step to speak of it. */
	readonly isEnough: boolean;
	/** Factor on the model's time. */
	readonly factor: number;
}

const stepId = (step: string) => `step ${step}`;
const cookId = (cook: string) => `cook ${cook}`;
const equipmentId = (equipment: string) => `equipment ${equipment}`;

const factorsOf = ({ step, cook, equipment }: Asked): readonly string[] => [
	stepId(step),
	...(cook === undefined ? [] : [cookId(cook)]),
	...(equipment === undefined ? [] : [equipmentId(equipment)])
];

const sdOf = (id: string): number =>
	id.startsWith('step ') ? priorSd.step : id.startsWith('cook ') ? priorSd.cook : priorSd.equipment;

/**
 * A run of residuals of one sign, one of which alone need not be far: an oven was replaced. Residuals in standard deviations
 * are summed beyond a slack; past the limit what was known of that equipment is set back (Page 1954, Biometrika 41, 100–115).
 */
const replaced = { slack: 0.5, past: 3, tempered: 2.5 } as const;
/** Fewer records' worth than this, or a spread hardly narrower than before any, are not enough to speak of. */
const enough = { records: 3, narrowing: 0.7 } as const;

/** An observation of a day; of what may have been replaced, the factor by its id. */
export interface Dated extends Observation {
	readonly day: number;
	readonly watched?: string | undefined;
}

/** What is known after some observations, and until when it was kept up. */
export class Knowledge {
	private readonly factors: ReturnType<typeof newFactors>;
	private day = -Infinity;
	/** Of what is watched, residuals summed upwards and downwards. */
	private readonly runs = new Map<string, readonly [up: number, down: number]>();

	/** @param priors of all that may be asked or observed */
	constructor(priors: readonly Prior[]) {
		this.factors = newFactors(priors);
	}

	/** Take in an observation, no older than the last one. */
	take(observation: Dated): void {
		this.pass(observation.day);
		const { watched } = observation;
		if (watched !== undefined) {
			const { r, S } = residualOf(this.factors, observation);
			const at = observation.of.indexOf(watched);
			this.watch(watched, (Math.sign(observation.weights?.[at] ?? 1) * r) / Math.sqrt(S));
		}
		takeRobust(this.factors, observation);
	}

	/** What is believed of a sum of factors on a day: its mean, its variance, and that of before any observation. */
	believe(of: readonly string[], day: number): { readonly x: number; readonly S: number; readonly before: number } {
		this.pass(day);
		const { x, S } = residualOf(this.factors, { of, y: 0, sigma: 0 });
		const sds = of.map((id) => this.factors.priors[this.factors.at.get(id) ?? -1]?.sd ?? 0);
		return { x, S, before: sds.reduce((sum, sd) => sum + sd * sd, 0) };
	}

	/** Records' worth behind a factor, fading. */
	weightOf(id: string): number {
		return this.factors.weight[this.factors.at.get(id) ?? -1] ?? 0;
	}

	/** Days go by. */
	private pass(day: number): void {
		if (day > this.day && this.day > -Infinity) loosen(this.factors, day - this.day);
		this.day = Math.max(this.day, day);
	}

	private watch(id: string, deviations: number): void {
		const u = Math.max(-replaced.tempered, Math.min(replaced.tempered, deviations));
		const [up, down] = this.runs.get(id) ?? [0, 0];
		const next = [Math.max(0, up + u - replaced.slack), Math.max(0, down - u - replaced.slack)] as const;
		const isOther = Math.max(...next) > replaced.past;
		const position = this.factors.at.get(id);
		if (isOther && position !== undefined) setBack(this.factors, position);
		this.runs.set(id, isOther ? [0, 0] : next);
	}
}

/** Whether so many records' worth, and so much less variance than before any, are enough to speak of. */
export const isEnough = (weight: number, variance: number, before: number): boolean =>
	weight >= enough.records && Math.sqrt(variance / before) <= enough.narrowing;

/** A record as an observation; `undefined`: it teaches nothing. */
function observed(record: Recorded): Dated | undefined {
	const { day, predicted, actual, disturbed = false, kind, equipment } = record;
	if (!isUsable(actual, predicted, disturbed)) return undefined;
	return {
		day,
		of: factorsOf(record),
		y: Math.log(actual / predicted),
		sigma: noise[kind],
		watched: equipment === undefined ? undefined : equipmentId(equipment)
	};
}

/** What is believed of a time, on its day. */
function foretold(knowledge: Knowledge, asked: Asked): Foretold {
	const { predicted, kind, step } = asked;
	const { x, S, before } = knowledge.believe(factorsOf(asked), asked.day);
	const sd = Math.sqrt(S + noise[kind] ** 2);
	const at = (share: number) => predicted * Math.exp(x + normalQuantile(share) * sd);
	return {
		p10: at(0.1),
		p50: at(0.5),
		p90: at(0.9),
		isEnough: isEnough(knowledge.weightOf(stepId(step)), S, before),
		factor: Math.exp(x)
	};
}

/** What the records say of each question, on its day: from all that is no younger. */
export function foretell(records: readonly Recorded[], asked: readonly Asked[]): readonly Foretold[] {
	const inOrder = records.map((r, i) => ({ r, i })).sort((a, b) => a.r.day - b.r.day || a.i - b.i);
	const questions = asked.map((q, i) => ({ q, i })).sort((a, b) => a.q.day - b.q.day || a.i - b.i);
	const ids = [...new Set([...records, ...asked].flatMap(factorsOf))];
	const knowledge = new Knowledge(ids.map((id) => ({ id, mean: 0, sd: sdOf(id) })));
	const take = (record: Recorded) => {
		const observation = observed(record);
		if (observation) knowledge.take(observation);
	};
	const answers: Foretold[] = [];
	let taken = 0;
	for (const { q, i } of questions) {
		for (; taken < inOrder.length && inOrder[taken]!.r.day <= q.day; taken++) take(inOrder[taken]!.r);
		answers[i] = foretold(knowledge, q);
	}
	return answers;
}
