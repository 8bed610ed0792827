// What one part takes in a kitchen, alone: its steps with their times, cooking, hands, rest, the whole; pull and climb.
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import { heldAt } from '../model/edit-technique';
import { withNewStation, withNewVessel } from '../model/edit-kitchen';
import type { Parameter, Step, Technique } from '../model/technique';
import { spreadOf, usualOf } from '../timing/timing';
import type { Issue } from '../issues';
import { hour } from '../units/time';
import { compileMeal, type Compiled } from './compile/compile';
import type { TracedStep, Way } from './compile/traced';
import { stationFor } from './compile/places';
import { baseOf, batchOf } from './compile/portions';
import { solve } from './solve/solve';
import { warningsOf, type Warning } from './warnings';

/** A question: a technique, for so many, with what the cook knows, in a kitchen. */
export interface Asked {
	readonly technique: string;
	readonly people: number;
	/** By parameter: a number, or the words of an option or their beginning; `oven`: the set point of all its oven steps. */
	readonly values: Readonly<Record<string, number | string>>;
	/** A preset's id, or `flat` for the small flat. */
	readonly kitchen: string;
	readonly altitude?: number | undefined;
}

interface StepFigures {
	readonly step: string;
	readonly say: string;
	readonly kind: Step['kind'];
	readonly shortest_s: number;
	readonly usual_s: number;
	readonly longest_s: number;
	readonly station: string | null;
	readonly pull_c?: number;
	readonly peak_c?: number;
}

interface Figures {
	readonly steps: readonly StepFigures[];
	readonly cooking_min: number;
	readonly hands_min: number;
	readonly total_min: number;
	readonly pull_c?: number;
	readonly climb_k?: number;
	readonly rest_min: number;
	readonly batches: number;
	readonly loss_pct?: number;
}

/** Why there are no figures, or what is wrong besides them. */
export interface Answered {
	readonly figures?: Figures;
	readonly warnings: readonly Warning[];
}

/** Kitchens to ask of, by id: everything but their names. */
export type Kitchens = readonly {
	readonly id: string;
	readonly name: string;
	readonly kitchen: Omit<Kitchen, 'id' | 'name'>;
}[];

/** Work that the best plan of one part is worth, in propagator runs. */
const budget = 20_000;
/** The evening of a single part: room for what takes longest. */
const evening = { earliest: 0, service: 23 * hour };

/** All figures of a part, or why there are none. */
export function figuresOf(asked: Asked, techniques: ReadonlyMap<string, Technique>, kitchens: Kitchens): Answered {
	const technique = techniques.get(asked.technique);
	if (!technique) return refused('unknown', `There is no technique "${asked.technique}".`);
	const read = settingsOf(technique, asked.values);
	if ('code' in read) return { warnings: [read] };
	const kitchen = kitchenOf(asked, technique, kitchens);
	if (!kitchen) return refused('unknown', `There is no kitchen "${asked.kitchen}".`);
	const held = heldAt(technique, read.oven);
	const meal: Meal = {
		format: 'juntos-meal',
		version: 1,
		id: 'one-part',
		name: 'One part',
		kitchen: kitchen.id,
		covers: asked.people,
		earliest: evening.earliest,
		courses: [{ id: 'course', name: 'Course', service: evening.service }],
		parts: [
			{
				id: 'part',
				name: technique.name,
				technique: held.id,
				course: 'course',
				settings: read.settings,
				tone: 0,
				ahead: 'evening'
			}
		],
		own: [],
		links: []
	};
	const compiled = compileMeal(meal, kitchen, new Map([[held.id, held]]));
	if (!compiled.ok) return { warnings: compiled.issues.map(issueAsWarning) };
	return { figures: figuresIn(compiled.value), warnings: warningsOf(compiled.value.trace) };
}

const refused = (code: Warning['code'], say: string): Answered => ({ warnings: [{ code, hard: true, say }] });

function issueAsWarning(issue: Issue): Warning {
	const code = issue.code === 'never-done' ? 'never-done' : issue.code.startsWith('missing') ? 'missing' : 'over-full';
	return { code, hard: true, facts: issue };
}

/** What the cook knows as settings of the part; the set point of the oven apart. */
function settingsOf(
	technique: Technique,
	values: Asked['values']
): { readonly settings: Record<string, number>; readonly oven: number | undefined } | Warning {
	const settings: Record<string, number> = {};
	let oven: number | undefined;
	for (const [id, value] of Object.entries(values)) {
		const parameter = technique.parameters.find((p) => p.id === id);
		if (!parameter && id === 'oven') {
			if (typeof value !== 'number' || value < 30 || value > 350)
				return {
					code: 'unknown',
					hard: true,
					say: `"oven" is a number from 30 to 350 °C, not ${JSON.stringify(value)}.`
				};
			oven = value;
			continue;
		}
		if (!parameter) {
			const known = technique.parameters.map((p) => p.id).join(', ');
			return {
				code: 'unknown',
				hard: true,
				say: `${technique.id} has no parameter "${id}": it has ${known || 'none'}.`
			};
		}
		const number = valueIn(parameter, value);
		if (number === undefined) {
			const options = parameter.options?.map((o) => `"${o.say}"`).join(', ');
			const range = `${parameter.least} to ${parameter.most}${options ? `, or ${options}` : ''}`;
			return {
				code: 'unknown',
				hard: true,
				say: `"${id}" of ${technique.id} is ${range}, not ${JSON.stringify(value)}.`
			};
		}
		settings[id] = number;
	}
	return { settings, oven };
}

function valueIn({ least, most, options = [] }: Parameter, value: number | string): number | undefined {
	if (typeof value === 'number') return value >= least && value <= most ? value : undefined;
	const words = value.trim().toLowerCase();
	const exact = options.find((o) => o.say.toLowerCase() === words);
	return (exact ?? options.find((o) => words !== '' && o.say.toLowerCase().startsWith(words)))?.value;
}

/** The preset at its altitude, with one cook of pace 1, and what the technique needs besides as usual ones. */
function kitchenOf({ kitchen: id, altitude }: Asked, technique: Technique, kitchens: Kitchens): Kitchen | undefined {
	const preset = kitchens.find((p) => p.id === (id === 'flat' ? 'small-flat' : id));
	if (!preset) return undefined;
	const base: Kitchen = {
		...preset.kitchen,
		id: preset.id,
		name: preset.name,
		altitude: altitude ?? preset.kitchen.altitude,
		cooks: [{ id: 'cook', name: 'Cook' }]
	};
	const stations = technique.steps.reduce<Kitchen>((k, { need }) => {
		const kind = need && stationFor(need);
		return kind && !k.stations.some((s) => s.kind === kind) ? withNewStation(k, kind) : k;
	}, base);
	return technique.vessels.reduce<Kitchen>(
		(k, { kind }) => (k.vessels.some((v) => v.kind === kind && v.count > 0) ? k : withNewVessel(k, kind)),
		stations
	);
}

/** The way that is quickest. */
const quickest = (ways: readonly Way[]) => ways.reduce((a, b) => (b.timing.mu < a.timing.mu ? b : a));
const minutes = (seconds: number) => seconds / 60;
const round = (value: number, digits = 2) => Math.round(value * 10 ** digits) / 10 ** digits;

function figuresIn({ problem, trace }: Compiled): Figures {
	const steps = [...trace.steps].filter(([, t]) => t.step.ahead !== true);
	const taken = steps.map(([id, traced]) => ({ id, ...traced, way: quickest(traced.ways) }));
	const usual = (list: readonly { readonly way: Way }[]) => list.reduce((sum, { way }) => sum + usualOf(way.timing), 0);
	const cooking = taken.filter(({ step }) => step.kind === 'cook' || step.kind === 'hold');
	const last = taken.findLastIndex(({ step }) => step.kind === 'cook');
	const rest = taken.filter(({ step }, i) => step.kind === 'rest' && i > last);
	const pulled = taken.findLast(({ way }) => way.timing.pull !== undefined)?.way.timing;
	const counts = new Map<string, number>();
	for (const { step } of taken) counts.set(baseOf(step.id), (counts.get(baseOf(step.id)) ?? 0) + 1);
	const loss = taken.findLast(({ way }) => way.timing.loss !== undefined)?.way.timing.loss;
	const hands = taken.reduce((sum, { way }) => sum + way.hands.reduce((s, h) => s + h.to - h.from, 0), 0);
	return {
		steps: taken.map((t) => stepFigures(t, counts.get(baseOf(t.step.id)) ?? 1)),
		cooking_min: round(minutes(usual(cooking))),
		hands_min: round(minutes(hands)),
		total_min: round(minutes(wholeOf(problem, trace, new Set(taken.map((t) => t.id))))),
		...(pulled?.pull === undefined
			? {}
			: { pull_c: round(pulled.pull), climb_k: round((pulled.peak ?? pulled.pull) - pulled.pull) }),
		rest_min: round(minutes(usual(rest))),
		// What heats a second pan is no batch.
		batches: Math.max(
			1,
			...taken.flatMap(({ step }) => (step.kind === 'preheat' ? [] : (counts.get(baseOf(step.id)) ?? 1)))
		),
		...(loss === undefined ? {} : { loss_pct: round(loss, 1) })
	};
}

function stepFigures(
	{ id, step, way }: TracedStep & { readonly id: string; readonly way: Way },
	batches: number
): StepFigures {
	const { shortest, usual, longest } = spreadOf(way.timing);
	const { pull, peak } = way.timing;
	return {
		step: id.slice(id.indexOf('/') + 1),
		say: batches === 1 ? step.say : `${step.say}, ${batchOf(step.id)} of ${batches}`,
		kind: step.kind,
		shortest_s: round(shortest, 1),
		usual_s: round(usual, 1),
		longest_s: round(longest, 1),
		station: way.place?.station ?? null,
		...(pull === undefined ? {} : { pull_c: round(pull) }),
		...(peak === undefined ? {} : { peak_c: round(peak) })
	};
}

/** Seconds from the first step until the part can be plated, in the best plan, alone in the kitchen, all ovens hot. */
function wholeOf(problem: Compiled['problem'], trace: Compiled['trace'], evening: ReadonlySet<string>): number {
	// As soon as can be: handwork is not done ahead.
	const hot = { ...problem, wants: [], states: problem.states.map((s) => ({ ...s, rise: 0, fall: 0 })) };
	const search = solve(hot, { seed: 1, budget });
	for (;;) {
		const step = search.next(undefined);
		if (!step.done) continue;
		const { starts = {}, modes = {} } = step.value;
		const lengthOf = (id: string) => problem.tasks.find((t) => t.id === id)?.modes[modes[id] ?? 0]?.duration ?? 0;
		const begun = Object.entries(starts).filter(([id]) => evening.has(id));
		const served = trace.plated.flatMap((p) => p.served).filter((id) => starts[id] !== undefined);
		if (begun.length === 0 || served.length === 0) return NaN;
		const ready = Math.max(...served.map((id) => (starts[id] ?? 0) + lengthOf(id)));
		return ready - Math.min(...begun.map(([, at]) => at));
	}
}
