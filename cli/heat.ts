// npm run --silent heat -- cases.json: computes {"cases": [{"id", "kind", "inputs"}]} with the core's own functions and adds
// nothing; writes {"results": [{"id", "outputs"}]}, or {"id", "issues"} for what cannot be computed.
import { z } from 'zod';
import { issuesOf } from '$lib/core/issues';
import { wordIssue } from '$lib/core/words/issues';
import { Immersed, type Body } from '$lib/core/heat/body';
import { eggTime } from '$lib/core/heat/egg';
import { panTurns } from '$lib/core/heat/pan-turns';
import { HeatThenRest } from '$lib/core/heat/rest';
import { boilingPoint, heatingTime, highest } from '$lib/core/heat/water';
import { learn, learnKnownSigma, predictive } from '$lib/core/learn/duration';
import { threePoint } from '$lib/core/learn/spread';
import { lethality, publishedTime, speciesOf } from '$lib/core/safety/lethality';
import { densityOf } from '$lib/core/foods/ingredients';
import { inUnit, isUnit } from '$lib/core/units/convert';
import { command, load, refuse, Refused } from './command';
import { atLeast0, bodiesWith, bodyFrom, celsius, filmSchema, positive } from '$lib/core/formats/bodies/shapes';

const issue = (text: string): never => {
	throw new Refused(text);
};

const solids = bodiesWith({ t0_c: celsius });
const bodySchema = z
	.discriminatedUnion('shape', solids)
	.transform((b): { body: Body; t0: number } => ({ t0: b.t0_c, body: bodyFrom(b) }));
const slabSchema = solids[0].transform((b) => ({
	t0: b.t0_c,
	body: { shape: b.shape, thickness: b.thickness_mm / 1000, k: b.k_w_mk, alpha: b.alpha_m2_s } as const
}));

/** The body beside the inputs, or under "body"; the film likewise. */
const nested = <T extends z.ZodType>(key: string, schema: T) =>
	z.preprocess(
		(data) =>
			data && typeof data === 'object' && key in data ? { ...data, ...(data as Record<string, object>)[key] } : data,
		schema
	);
const bodyOf = nested('body', bodySchema);
const slabOf = nested('body', slabSchema);
const filmOf = nested('film', filmSchema);
/** A film under a name of its own, perhaps once more under "film". */
const filmIn = (key: string) =>
	z
		.object({ [key]: nested('film', filmSchema) })
		.transform((x) => x[key] ?? issue(`${key}: give its "h_w_m2k" and "tinf_c".`));

type Outputs = Record<string, number>;

/** Each kind: reads its inputs and computes. Outcomes that are never reached are `Infinity`. */
const kinds: Readonly<Record<string, (inputs: unknown) => Outputs>> = {
	'core-temp-at-time': (inputs) => {
		const [{ body, t0 }, around, { time_s }] = [
			bodyOf.parse(inputs),
			filmOf.parse(inputs),
			z.object({ time_s: atLeast0 }).parse(inputs)
		];
		return { core_c: new Immersed(body, around, t0).temperature(time_s, 'centre') };
	},
	'time-to-core-temp': (inputs) => {
		const [{ body, t0 }, around, { target_core_c }] = [
			bodyOf.parse(inputs),
			filmOf.parse(inputs),
			z.object({ target_core_c: celsius }).parse(inputs)
		];
		return { time_s: new Immersed(body, around, t0).timeToCore(target_core_c) };
	},
	'heat-then-rest': (inputs) => {
		const { body, t0 } = bodyOf.parse(inputs);
		const [heat, rest] = [filmIn('stage1').parse(inputs), filmIn('stage2').parse(inputs)];
		const { stage1 } = z.object({ stage1: z.object({ duration_s: atLeast0 }) }).parse(inputs);
		const stages = new HeatThenRest(body, heat, rest, t0);
		const { core, surface } = stages.atPull(stage1.duration_s);
		const peak = stages.peak(stage1.duration_s);
		return { core_at_pull_c: core, surface_at_pull_c: surface, core_peak_c: peak.core, peak_after_pull_s: peak.after };
	},
	'pull-time-for-peak': (inputs) => {
		const { body, t0 } = bodyOf.parse(inputs);
		const [heat, rest] = [filmIn('stage1').parse(inputs), filmIn('stage2').parse(inputs)];
		const { target_peak_c } = z.object({ target_peak_c: celsius }).parse(inputs);
		const stages = new HeatThenRest(body, heat, rest, t0);
		const pull = stages.pullTimeFor(target_peak_c);
		if (pull === Infinity) return { pull_time_s: Infinity, core_at_pull_c: Infinity, peak_after_pull_s: Infinity };
		return {
			pull_time_s: pull,
			core_at_pull_c: stages.atPull(pull).core,
			peak_after_pull_s: stages.peak(pull).after
		};
	},
	'pan-flips': (inputs) => {
		const { body, t0 } = slabOf.parse(inputs);
		const [pan, up, rest] = [
			filmIn('pan_face').parse(inputs),
			filmIn('upper_face').parse(inputs),
			filmIn('rest_both_faces').parse(inputs)
		];
		const { intervals_s } = z.object({ intervals_s: z.array(positive).min(1).max(1000) }).parse(inputs);
		const { middle, peak, peakAfter } = panTurns({ ...body, t0, pan, up, intervals: intervals_s, rest });
		return { mid_at_pull_c: middle, mid_peak_c: peak, peak_after_pull_s: peakAfter };
	},
	'published-bath-heating-time': (inputs) => {
		const [{ body, t0 }, around, { target_core_c }] = [
			slabOf.parse(inputs),
			filmOf.parse(inputs),
			z.object({ target_core_c: celsius }).parse(inputs)
		];
		const minutes = new Immersed(body, around, t0).timeToCore(target_core_c) / 60;
		return { exact_series_min: minutes, time_min: minutes };
	},
	'egg-williams': (inputs) => {
		const i = z.object({ mass_g: positive, egg_c: celsius, water_c: celsius, yolk_edge_c: celsius }).parse(inputs);
		return { time_s: eggTime(i.mass_g / 1000, i.egg_c, i.water_c, i.yolk_edge_c) };
	},
	'boil-time': (inputs) => {
		const i = z
			.object({
				mass_kg: positive,
				start_c: celsius,
				end_c: celsius,
				power_w: atLeast0,
				efficiency: z.number().min(0).max(1),
				pot_j_k: atLeast0.default(0),
				loss_w_k: atLeast0.default(0),
				ambient_c: celsius.default(20),
				c_j_kgk: positive.optional()
			})
			.parse(inputs);
		const pot = {
			mass: i.mass_kg,
			pot: i.pot_j_k,
			power: i.power_w,
			efficiency: i.efficiency,
			loss: i.loss_w_k,
			ambient: i.ambient_c,
			...(i.c_j_kgk === undefined ? {} : { c: i.c_j_kgk })
		};
		return { time_s: heatingTime(pot, i.start_c, i.end_c) };
	},
	'boiling-point': (inputs) => {
		const { altitude_m } = z.object({ altitude_m: z.number().min(-500).max(highest) }).parse(inputs);
		return { boiling_c: boilingPoint(altitude_m) };
	},
	lethality: (inputs) => {
		const i = z
			.object({
				segments: z.array(z.object({ duration_s: atLeast0, start_c: celsius, end_c: celsius })),
				tref_c: celsius,
				d_ref_s: positive,
				z_c: positive
			})
			.parse(inputs);
		const segments = i.segments.map((s) => ({ seconds: s.duration_s, from: s.start_c, to: s.end_c }));
		return { log_reductions: lethality(segments, i.tref_c, i.d_ref_s, i.z_c) };
	},
	'published-time-temperature': (inputs) => {
		const i = z.object({ temp_c: celsius, log_reductions: positive.optional(), species: z.string() }).parse(inputs);
		const species =
			speciesOf(i.species) ?? issue(`species: "${i.species}" has no published table here; beef and poultry have.`);
		const seconds = publishedTime(i.temp_c, i.log_reductions ?? (species === 'beef' ? 6.5 : 7), species);
		return {
			time_min:
				(seconds ?? issue(`log_reductions: the table of ${species} does not give ${i.log_reductions ?? ''}.`)) / 60
		};
	},
	conversion: (inputs) => {
		const i = z
			.object({ value: z.number(), from: z.string(), to: z.string(), ingredient: z.string().nullish() })
			.parse(inputs);
		if (!isUnit(i.from)) return issue(`from: "${i.from}" is no unit here.`);
		if (!isUnit(i.to)) return issue(`to: "${i.to}" is no unit here.`);
		const density = i.ingredient ? densityOf(i.ingredient) : undefined;
		const converted = inUnit(i.value, i.from, i.to, density);
		if (converted.ok) return { value: converted.value };
		if (converted.why !== 'needs-ingredient') return issue(`${i.from} cannot become ${i.to}.`);
		return issue(
			i.ingredient
				? `ingredient: the density of "${i.ingredient}" is not known.`
				: 'ingredient: mass and volume need one.'
		);
	},
	'lognormal-known-sigma': (inputs) => {
		const i = z
			.object({
				prior_median_min: positive,
				prior_sd_of_mu: positive,
				sigma: positive,
				observed_min: z.array(positive)
			})
			.parse(inputs);
		const {
			mu,
			sd,
			predictive: spread
		} = learnKnownSigma(i.prior_median_min, i.prior_sd_of_mu, i.sigma, i.observed_min);
		return { posterior_mu: mu, posterior_sd_of_mu: sd, posterior_median_min: Math.exp(mu), predictive_sd_log: spread };
	},
	'lognormal-nig': (inputs) => {
		const i = z
			.object({
				prior_median_min: positive,
				kappa0: positive,
				alpha0: positive,
				beta0: positive,
				observed_min: z.array(positive)
			})
			.parse(inputs);
		const prior = { m: Math.log(i.prior_median_min), kappa: i.kappa0, a: i.alpha0, b: i.beta0 };
		const { m, kappa, a, b } = learn(prior, i.observed_min);
		const { degrees, scale } = predictive({ m, kappa, a, b });
		return { m, kappa, alpha: a, beta: b, predictive_df: degrees, predictive_scale: scale };
	},
	'three-point': (inputs) => {
		const i = z
			.object({ low_min: positive, mode_min: positive, high_min: positive, lambda: positive.default(4) })
			.refine((x) => x.low_min <= x.mode_min && x.mode_min <= x.high_min, 'low_min ≤ mode_min ≤ high_min does not hold')
			.parse(inputs);
		const { mean, sd, a, b, logNormal } = threePoint(i.low_min, i.mode_min, i.high_min, i.lambda);
		return {
			mean_min: mean,
			sd_min: sd,
			beta_alpha: a,
			beta_beta: b,
			lognormal_mu: logNormal.mu,
			lognormal_sigma: logNormal.sigma
		};
	}
};

function compute({ id, kind, inputs }: { readonly id: string; readonly kind: string; readonly inputs: unknown }) {
	try {
		const computer = kinds[kind] ?? issue(`kind: "${kind}" is not known. Known: ${Object.keys(kinds).join(', ')}.`);
		const outputs = Object.fromEntries(
			// JSON has no infinity: what is never reached is null.
			Object.entries(computer(inputs)).map(([name, value]) => [name, Number.isFinite(value) ? value : null])
		);
		return { id, outputs };
	} catch (error) {
		if (error instanceof z.ZodError) return { id, issues: issuesOf(error).map(wordIssue) };
		if (error instanceof Refused) return { id, issues: [error.message] };
		throw error;
	}
}

function main([file, ...more]: readonly string[]) {
	if (file === undefined || more.length > 0) throw new Refused('usage: npm run --silent heat -- cases.json');
	const parsed = z
		.object({ cases: z.array(z.object({ id: z.coerce.string(), kind: z.string(), inputs: z.unknown() })) })
		.safeParse(load(file));
	if (!parsed.success) return refuse(file, 'has no cases to compute', issuesOf(parsed.error));
	return { results: parsed.data.cases.map(compute) };
}

command(main);
