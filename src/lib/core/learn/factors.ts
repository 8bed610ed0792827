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
	/** Means, and covariances row by row. */
	readonly x: readonly number[];
	readonly Q: readonly (readonly number[])[];
	/** Records' worth behind each, fading. */
	readonly weight: readonly number[];
	/** Far records in a row, by factor: positive too long, negative too short. */
	readonly streak: readonly number[];
}

export function newFactors(priors: readonly Prior[]): Factors {
	return {
		priors,
		x: priors.map((p) => p.mean),
		Q: priors.map((p, i) => priors.map((_, j) => (i === j ? p.sd * p.sd : 0))),
		weight: priors.map(() => 0),
		streak: priors.map(() => 0)
	};
}

export interface Observation {
	/** Factors that are in it, by id. */
	readonly of: readonly string[];
	/** ln(time ÷ the model's time). */
	readonly y: number;
	/** Noise, standard deviation. */
	readonly sigma: number;
}

/**
 * One record, exactly: S = vᵀQv + σ², r = y − vᵀx, K = Qv/S; x += K r; Q −= K vᵀQ.
 *
 * Source: Kalman 1960, J. Basic Eng. 82, 35–45, with one observation; shrinkage comes from the priors.
 */
export function update(factors: Factors, { of, y, sigma }: Observation): Factors {
	return updateBy(factors, of, (residual) => residual, y, sigma);
}

/** The same with far records tempered, and a step that is far off three times on one side set back to its prior spread. */
export function updateRobust(
	factors: Factors,
	observation: Observation
): { readonly factors: Factors; readonly isFar: boolean } {
	const { of, y, sigma } = observation;
	let far = 0;
	const after = updateBy(
		factors,
		of,
		(residual, S) => {
			const u = residual / Math.sqrt(S);
			if (Math.abs(u) <= tempered) return residual;
			far = Math.sign(u);
			return tempered * Math.sqrt(S) * far;
		},
		y,
		sigma
	);
	const [step] = of;
	const k = factors.priors.findIndex((p) => p.id === step);
	const before = factors.streak[k] ?? 0;
	const streak = far === 0 ? 0 : Math.sign(before) === far ? before + far : far;
	const reset = Math.abs(streak) >= strikes;
	const { sd = 0 } = factors.priors[k] ?? {};
	return {
		isFar: far !== 0,
		factors: {
			...after,
			streak: after.streak.map((s, i) => (i === k ? (reset ? 0 : streak) : s)),
			Q: reset ? after.Q.map((row, i) => row.map((q, j) => (i === k && j === k ? sd * sd : q))) : after.Q
		}
	};
}

/** Of an observation: how far it is off what is believed (r), with what variance (S), and that belief (x). */
export function residualOf(factors: Factors, { of, y, sigma }: Observation) {
	const picked = factors.priors.flatMap((p, i) => (of.includes(p.id) ? [i] : []));
	const x = picked.reduce((sum, i) => sum + factors.x[i]!, 0);
	const S = picked.reduce((sum, i) => picked.reduce((s, j) => s + factors.Q[i]![j]!, sum), 0) + sigma * sigma;
	return { r: y - x, S, x };
}

/** A factor as unsure as before any record; what was believed of it stays the best guess. */
export function resetTo(factors: Factors, id: string): Factors {
	const k = factors.priors.findIndex((p) => p.id === id);
	const { sd = 0 } = factors.priors[k] ?? {};
	return { ...factors, Q: factors.Q.map((row, i) => row.map((q, j) => (i === k && j === k ? sd * sd : q))) };
}

function updateBy(
	factors: Factors,
	of: readonly string[],
	temper: (residual: number, S: number) => number,
	y: number,
	sigma: number
): Factors {
	const picked = factors.priors.flatMap((p, i) => (of.includes(p.id) ? [i] : []));
	const Qv = factors.Q.map((row) => picked.reduce((sum, j) => sum + row[j]!, 0));
	const S = picked.reduce((sum, i) => sum + Qv[i]!, 0) + sigma * sigma;
	const r = temper(y - picked.reduce((sum, i) => sum + factors.x[i]!, 0), S);
	return {
		...factors,
		x: factors.x.map((x, i) => x + (Qv[i]! / S) * r),
		Q: factors.Q.map((row, i) => row.map((q, j) => q - (Qv[i]! * Qv[j]!) / S)),
		weight: factors.weight.map((w, i) => (picked.includes(i) ? w + 1 : w))
	};
}

/** Days without a record: what was learnt loosens, up to the prior's spread. */
export function forget(factors: Factors, days: number): Factors {
	const left = 2 ** (-days / halfLife);
	return {
		...factors,
		Q: factors.Q.map((row, i) =>
			row.map((q, j) => {
				const { sd } = factors.priors[i]!;
				return i === j ? Math.min(sd * sd, q + sd * sd * (1 - left)) : q;
			})
		),
		weight: factors.weight.map((w) => w * left)
	};
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
	const i = factors.priors.findIndex((p) => p.id === id);
	const prior = factors.priors[i];
	if (!prior) return undefined;
	const sd = Math.sqrt(factors.Q[i]![i]!);
	const isEnough = factors.weight[i]! >= enough.records && sd / prior.sd <= enough.narrowing;
	return { factor: Math.exp(factors.x[i]!), sd, isEnough };
}
