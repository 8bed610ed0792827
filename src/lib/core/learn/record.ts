// What the records of evenings say of the next one: factors of steps, cooks and equipment, as they are believed on a day.
import {
	forget,
	isUsable,
	newFactors,
	noise,
	priorSd,
	residualOf,
	resetTo,
	updateRobust,
	type Factors
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

/** What is known after some records, and until when it was kept up. */
class Knowledge {
	private factors: Factors;
	private day = -Infinity;
	/** Of each equipment, residuals summed upwards and downwards. */
	private readonly runs = new Map<string, readonly [up: number, down: number]>();

	/** @param concerned all that may be asked or recorded */
	constructor(concerned: readonly Asked[]) {
		const ids = [...new Set(concerned.flatMap(factorsOf))];
		this.factors = newFactors(ids.map((id) => ({ id, mean: 0, sd: sdOf(id) })));
	}

	/** Take in a record, no older than the last one; `false`: it teaches nothing. */
	take(record: Recorded): boolean {
		const { predicted, actual, disturbed = false, kind, equipment } = record;
		if (!isUsable(actual, predicted, disturbed)) return false;
		this.pass(record.day);
		const observation = { of: factorsOf(record), y: Math.log(actual / predicted), sigma: noise[kind] };
		if (equipment !== undefined) {
			const { r, S } = residualOf(this.factors, observation);
			this.watch(equipmentId(equipment), r / Math.sqrt(S));
		}
		this.factors = updateRobust(this.factors, observation).factors;
		return true;
	}

	/** What is believed of a time, on its day. */
	foretell(asked: Asked): Foretold {
		this.pass(asked.day);
		const { of, predicted, kind } = { of: factorsOf(asked), ...asked };
		const { x, S } = residualOf(this.factors, { of, y: 0, sigma: 0 });
		const sd = Math.sqrt(S + noise[kind] ** 2);
		const at = (share: number) => predicted * Math.exp(x + normalQuantile(share) * sd);
		const before = Math.hypot(...of.map(sdOf));
		const position = this.factors.priors.findIndex((p) => p.id === stepId(asked.step));
		const records = this.factors.weight[position] ?? 0;
		return {
			p10: at(0.1),
			p50: at(0.5),
			p90: at(0.9),
			isEnough: records >= enough.records && Math.sqrt(S) / before <= enough.narrowing,
			factor: Math.exp(x)
		};
	}

	/** Days go by. */
	private pass(day: number): void {
		if (day > this.day && this.day > -Infinity) this.factors = forget(this.factors, day - this.day);
		this.day = Math.max(this.day, day);
	}

	private watch(id: string, deviations: number): void {
		const u = Math.max(-replaced.tempered, Math.min(replaced.tempered, deviations));
		const [up, down] = this.runs.get(id) ?? [0, 0];
		const next = [Math.max(0, up + u - replaced.slack), Math.max(0, down - u - replaced.slack)] as const;
		const isOther = Math.max(...next) > replaced.past;
		if (isOther) this.factors = resetTo(this.factors, id);
		this.runs.set(id, isOther ? [0, 0] : next);
	}
}

/** What the records say of each question, on its day: from all that is no younger. */
export function foretell(records: readonly Recorded[], asked: readonly Asked[]): readonly Foretold[] {
	const inOrder = records.map((r, i) => ({ r, i })).sort((a, b) => a.r.day - b.r.day || a.i - b.i);
	const questions = asked.map((q, i) => ({ q, i })).sort((a, b) => a.q.day - b.q.day || a.i - b.i);
	const knowledge = new Knowledge([...records, ...asked]);
	const answers: Foretold[] = [];
	let taken = 0;
	for (const { q, i } of questions) {
		for (; taken < inOrder.length && inOrder[taken]!.r.day <= q.day; taken++) knowledge.take(inOrder[taken]!.r);
		answers[i] = knowledge.foretell(q);
	}
	return answers;
}
