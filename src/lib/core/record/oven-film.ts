// How fast an oven's air takes its heat into food, by a probe's readings from a roast: the film that explains them best.
import { crusts, type CrustKind } from '../heat/crusts';
import { foodNames } from '../foods/ingredients';
import type { PlannedStep } from '../model/plan';
import { inverse, solved } from '../probe/positive';
import { thinned, type Reading, type Thinned } from '../probe/posterior';
import { goes, type Piece } from '../timing/pieces';
import { usualFace } from '../timing/piece-of';

/** What a stream says of an oven's film: ln of a factor on it, its spread, and by how much that would change were the oven a K hotter. */
export interface FilmSeen {
	readonly mean: number;
	readonly sd: number;
	readonly perKelvin: number;
}

/**
 * What is unknown of a roast beside the film, as standard deviations: ln of its size squared over its diffusivity (as in
 * `probe/posterior`), K of its start, of the oven and of the sensor, and how far from the middle the probe sits, as a share of
 * the way half out. Of the film nothing is assumed: what is believed of an oven is added by who asks.
 */
const spreads = { film: 1.5, size: Math.hypot(0.08, 0.1), start: 1.5, around: 8, offset: 0.5, spot: 0.15 } as const;
const unknowns = ['film', 'size', 'start', 'around', 'offset', 'spot'] as const;
type Unknown = (typeof unknowns)[number];
type Unknowns = Readonly<Record<Unknown, number>>;
/** Steps of the differences. */
const step = { film: 0.05, size: 0.03, start: 0.5, around: 3 } as const;
const isCurved = (name: Unknown): name is keyof typeof step => name in step;
/** A sensor follows so much later, s; its readings scatter by model and place beyond their noise, K. */
const lag = 8;
const beyondNoise = 0.4;
/** Fewer stretches of readings, or a shorter climb, K, tell nothing of a film. */
const least = { stretches: 12, climb: 15 } as const;
const rounds = 8;

/** Of the room, °C; metres above the sea. */
export interface Air {
	readonly room: number;
	readonly altitude: number;
}

/**
 * The film of an oven by what a probe read in a roast there; `undefined` where the step is no roast in an oven, or the
 * readings are too few. Gauss–Newton with the priors as rows, on the moist model that plans go by (`timing/pieces`).
 *
 * @param readings seconds since the step began, °C; trusted ones, as far as it went
 */
export function filmOf(
	planned: Pick<PlannedStep, 'facts'>,
	around: Air,
	readings: readonly Reading[]
): FilmSeen | undefined {
	const stream = thinned(readings);
	const [first, last] = [stream[0], stream.at(-1)];
	const piece = roastOf(planned, around, first);
	if (!piece || !first || !last || stream.length < least.stretches || last.celsius - first.celsius < least.climb)
		return undefined;
	const { where } = piece;
	const seconds = last.time + 1;
	const model = (u: Unknowns) => {
		const film = (where.film ?? 1) * Math.exp(u.film);
		const moments = goes(
			{
				...piece,
				bone: piece.bone * Math.exp(u.size),
				start: piece.start + u.start,
				where: { ...where, film, setting: where.setting + u.around }
			},
			seconds,
			0
		);
		let i = 0;
		return stream.map(({ time }) => {
			const at = Math.max(0, time - lag);
			while (i + 2 < moments.length && (moments[i + 1]?.at ?? Infinity) < at) i++;
			const [a, b] = [moments[i]!, moments[Math.min(i + 1, moments.length - 1)]!];
			const share = b.at > a.at ? Math.min(1, Math.max(0, (at - a.at) / (b.at - a.at))) : 0;
			const mix = (x: (m: typeof a) => number) => x(a) + share * (x(b) - x(a));
			return { middle: mix((m) => m.reading), further: mix((m) => m.between - m.reading) };
		});
	};
	type Modelled = ReturnType<typeof model>;
	const residuals = (u: Unknowns, seen: Modelled) =>
		stream.map((r, k) => r.celsius - (seen[k]!.middle + u.offset + u.spot * seen[k]!.further));
	const weights = stream.map((r) => 1 / (r.sd ** 2 + beyondNoise ** 2));
	const costOf = (u: Unknowns, seen: Modelled) =>
		unknowns.reduce((sum, n) => sum + (u[n] / spreads[n]) ** 2, 0) +
		residuals(u, seen).reduce((sum, r, k) => sum + weights[k]! * r * r, 0);
	let u: Unknowns = { film: 0, size: 0, start: 0, around: 0, offset: 0, spot: 0 };
	let seen = model(u);
	let cost = costOf(u, seen);
	let hessian: Float64Array[] = [];
	for (let round = 0, damping = 1e-3; round < rounds; round++) {
		const columns = unknowns.map((name) => {
			if (name === 'offset') return seen.map(() => 1);
			if (name === 'spot') return seen.map((s) => s.further);
			if (!isCurved(name)) return [];
			const moved = model({ ...u, [name]: u[name] + step[name] });
			const shift = (s: Modelled[number]) => s.middle + u.spot * s.further;
			return moved.map((m, k) => (shift(m) - shift(seen[k]!)) / step[name]);
		});
		const left = residuals(u, seen);
		const dot = (a: readonly number[], b: readonly number[]) =>
			a.reduce((sum, x, k) => sum + weights[k]! * x * b[k]!, 0);
		hessian = unknowns.map((n, i) =>
			Float64Array.from(unknowns, (_, j) => dot(columns[i]!, columns[j]!) + (i === j ? 1 / spreads[n] ** 2 : 0))
		);
		const slope = Float64Array.from(unknowns, (n, i) => dot(columns[i]!, left) - u[n] / spreads[n] ** 2);
		const before = cost;
		for (let tries = 0; tries < 5; tries++, damping *= 8) {
			const damped = hessian.map((row, i) => row.map((x, j) => (i === j ? x * (1 + damping) : x)));
			const move = solved(damped, slope);
			const next = Object.fromEntries(unknowns.map((n, i) => [n, u[n] + move[i]!])) as unknown as Unknowns;
			const there = model(next);
			const better = costOf(next, there);
			if (better > cost) continue;
			[u, seen, cost, damping] = [next, there, better, damping / 4];
			break;
		}
		if (before - cost < 0.01) break;
	}
	const covariance = inverse(hessian);
	const [film, kelvin] = [unknowns.indexOf('film'), unknowns.indexOf('around')];
	const both = covariance[film]![kelvin]! / covariance[kelvin]![kelvin]!;
	const sd = Math.sqrt(covariance[film]![film]! - both * covariance[film]![kelvin]!);
	return { mean: Math.log(where.film ?? 1) + u.film - both * u.around, sd, perKelvin: both };
}

type Roast = Piece & { readonly where: Extract<Piece['where'], { kind: 'oven' }> };

const faceNames = Object.keys(crusts) as readonly CrustKind[];
/** A stream that begins no later than this tells how cold the piece was, s. */
const atOnce = 120;

/** A planned roast as the model of its time has it. */
export function roastOf(
	{ facts }: Pick<PlannedStep, 'facts'>,
	{ room, altitude }: Air,
	first?: Thinned
): Roast | undefined {
	if (facts?.kind !== 'roast' || facts.oven.fire !== undefined || facts.shape === 'bird') return undefined;
	const food = foodNames.find((f) => f === facts.food);
	if (!food) return undefined;
	const { thickness: size, shape, peak, face, bone = 1, oven } = facts;
	return {
		food,
		size,
		shape,
		face: faceNames.find((f) => f === face) ?? usualFace(food),
		skin: undefined,
		bone,
		start: first && first.time < atOnce ? first.celsius : facts.start,
		isTempered: false,
		goal: peak,
		where: { kind: 'oven', setting: oven.setting, hasFan: oven.hasFan, film: oven.film },
		turns: 0,
		turnedAt: 0.5,
		seared: undefined,
		finish: undefined,
		rest: 'bare',
		room,
		altitude
	};
}
