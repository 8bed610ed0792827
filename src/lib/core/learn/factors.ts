// The cook's pace, this oven's error, that burner's power: factors on the model's times, learnt from records and shared.

/** A factor, on the logarithm: what is believed before any record. */
export interface Prior {
	readonly id: string;
	readonly mean: number;
	readonly sd: number;
}

/** Prior spreads (est.): of a step, of a cook, of a piece of equipment; noise of hands and of heat. */
export const priorSd = { step: 0.3, cook: 0.2, equipment: 0.15 } as const;
export const noise = { hands: 0.2, heat: 0.1 } as const;

/** Pace of a new cook: factor on the time of handwork (est.). */
export const paces = { home: 1, trained: 0.6, 'young helper': 2 } as const;

/** Half of what records say is forgotten in so many days. */
const halfLife = 180;
/** Beyond so many standard deviations a record is tempered (Huber 1964). */
const tempered = 2.5;
/** Records far off on one side in a row: the step has changed. */
const strikes = 3;
/** Fewer records' worth than this, or a spread hardly narrower than the prior's, are not enough to speak of. */
const enough = { records: 3, narrowing: 0.7 } as const;

export interface Factors {
	readonly priors: readonly Prior[];
	/** Position of each factor by its id. */
	readonly at: ReadonlyMap<string, number>;
	/** Means, and covariances row by row. */
	readonly x: readonly number[];
	readonly Q: readonly (readonly number[])[];
	/** Records' worth behind each, fading. */
	readonly weight: readonly number[];
	/** Far records in a row, by factor: positive too long, negative too short. */
	readonly streak: readonly number[];
}

/** Factors that are kept up in place, where many records are taken in one after the other. */
interface Kept extends Factors {
	readonly x: number[];
	readonly Q: number[][];
	readonly weight: number[];
	readonly streak: number[];
}

export function newFactors(priors: readonly Prior[]): Kept {
	return {
		priors,
		at: new Map(priors.map((p, i) => [p.id, i])),
		x: priors.map((p) => p.mean),
		Q: priors.map((p, i) => priors.map((_, j) => (i === j ? p.sd * p.sd : 0))),
		weight: priors.map(() => 0),
		streak: priors.map(() => 0)
	};
}

const copied = (f: Factors): Kept => ({
	...f,
	x: [...f.x],
	Q: f.Q.map((row) => [...row]),
	weight: [...f.weight],
	streak: [...f.streak]
});

export interface Observation {
	/** Factors that are in it, by id. */
	readonly of: readonly string[];
	/** How much of each is in it, in their order; absent: all of each. */
	readonly weights?: readonly number[] | undefined;
	/** ln(time ÷ the model's time). */
	readonly y: number;
	/** Noise, standard deviation. */
	readonly sigma: number;
}

/** Of an observation: how far it is off what is believed (r), with what variance (S), and that belief (x). */
export function residualOf(factors: Factors, observation: Observation) {
	const { y, sigma } = observation;
	const picked = pickedBy(factors, observation);
	const x = picked.reduce((sum, [i, v]) => sum + v * factors.x[i]!, 0);
	const S =
		picked.reduce((sum, [i, v]) => picked.reduce((s, [j, w]) => s + v * w * factors.Q[i]![j]!, sum), 0) + sigma * sigma;
	return { r: y - x, S, x };
}

/** Positions of the factors that are in an observation, each with how much of it. */
function pickedBy({ at }: Factors, { of, weights }: Observation): readonly (readonly [number, number])[] {
	return of.flatMap((id, k) => {
		const i = at.get(id);
		return i === undefined ? [] : [[i, weights?.[k] ?? 1] as const];
	});
}

/**
 * One record, exactly: S = vᵀQv + σ², r = y − vᵀx, K = Qv/S; x += K r; Q −= K vᵀQ; v is how much of each factor is in it.
 *
 * Source: Kalman 1960, J. Basic Eng. 82, 35–45, with one observation; shrinkage comes from the priors.
 */
export function update(factors: Factors, observation: Observation): Factors {
	const kept = copied(factors);
	take(kept, observation, (residual) => residual);
	return kept;
}

function take(kept: Kept, observation: Observation, temper: (residual: number, S: number) => number): void {
	const picked = pickedBy(kept, observation);
	const { r, S } = residualOf(kept, observation);
	const step = temper(r, S);
	const Qv = kept.Q.map((row) => picked.reduce((sum, [j, v]) => sum + v * row[j]!, 0));
	for (let i = 0; i < Qv.length; i++) {
		const gain = Qv[i]! / S;
		if (gain === 0) continue;
		kept.x[i]! += gain * step;
		const row = kept.Q[i]!;
		for (let j = 0; j < row.length; j++) row[j]! -= gain * Qv[j]!;
	}
	for (const [i] of picked) kept.weight[i]! += 1;
}

/** The same with far records tempered, and a step that is far off three times on one side set back to its prior spread. */
export function updateRobust(
	factors: Factors,
	observation: Observation
): { readonly factors: Factors; readonly isFar: boolean } {
	const kept = copied(factors);
	const isFar = takeRobust(kept, observation);
	return { factors: kept, isFar };
}

/** That, in place; whether the record was far. */
export function takeRobust(kept: Kept, observation: Observation): boolean {
	let far = 0;
	take(kept, observation, (residual, S) => {
		const u = residual / Math.sqrt(S);
		if (Math.abs(u) <= tempered) return residual;
		far = Math.sign(u);
		return tempered * Math.sqrt(S) * far;
	});
	const k = kept.at.get(observation.of[0] ?? '');
	if (k === undefined) return far !== 0;
	const before = kept.streak[k] ?? 0;
	const streak = far === 0 ? 0 : Math.sign(before) === far ? before + far : far;
	const isOther = Math.abs(streak) >= strikes;
	kept.streak[k] = isOther ? 0 : streak;
	if (isOther) setBack(kept, k);
	return far !== 0;
}

/** A factor as unsure as before any record; what was believed of it stays the best guess. */
export function setBack(kept: Kept, position: number): void {
	kept.Q[position]![position] = kept.priors[position]!.sd ** 2;
}

/** Days without a record: what was learnt loosens, up to the prior's spread. */
export function forget(factors: Factors, days: number): Factors {
	const kept = copied(factors);
	loosen(kept, days);
	return kept;
}

/** That, in place. */
export function loosen(kept: Kept, days: number): void {
	const left = 2 ** (-days / halfLife);
	kept.priors.forEach(({ sd }, i) => {
		const row = kept.Q[i]!;
		row[i] = Math.min(sd * sd, row[i]! + sd * sd * (1 - left));
		kept.weight[i]! *= left;
	});
}

/** Records that teach nothing: interrupted, spoilt, or beyond belief. */
export function isUsable(time: number, model: number, wasDisturbed: boolean): boolean {
	return !wasDisturbed && time > 0.1 * model && time < 10 * model;
}

export interface Belief {
	/** Factor on the time, and the standard deviation of its logarithm. */
	readonly factor: number;
	readonly sd: number;
	/** Whether the records are enough to say so. */
	readonly isEnough: boolean;
}

export function beliefIn(factors: Factors, id: string): Belief | undefined {
	const i = factors.at.get(id);
	const prior = factors.priors[i ?? -1];
	if (i === undefined || !prior) return undefined;
	const sd = Math.sqrt(factors.Q[i]![i]!);
	const isEnough = factors.weight[i]! >= enough.records && sd / prior.sd <= enough.narrowing;
	return { factor: Math.exp(factors.x[i]!), sd, isEnough };
}
