// A part as it is cooked: which steps, for how many, what is shared between guests and what is cooked apart, what in batches,
// what could be made before the evening, and in which other way it could be made.
import type { Kitchen } from '../../model/kitchen';
import type { Meal, Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { namedIn } from '../../model/time-model';
import { batchesOf, mostBatches } from './load';
import { valuesFor } from '../../timing/values';

/** A step as a task: what it is called, for how many it is, and where it stands among its batches. */
export interface Work {
	readonly task: string;
	readonly step: Step;
	readonly covers: number;
	/** Vessels of its load that it takes at once. */
	readonly vessels: number;
	/** Factor of its load on its time. */
	readonly factor: number;
	/** In how many batches all of it would be done; pieces that are in at once, or people where it has none. */
	readonly batches: number;
	readonly pieces: number;
}

/** What is plated as one: a part, or those guests of it who have it otherwise. */
export interface Portion {
	/** Id, name and settings are those of the plan; covers how many plates it goes on. */
	readonly part: Part & { readonly covers: number };
	/** The part of the meal that it comes from. */
	readonly of: string;
	readonly technique: Technique;
	/** Its own tasks: what it shares with the others stands with the first of them. */
	readonly works: readonly Work[];
	readonly lags: readonly {
		readonly from: string;
		readonly to: string;
		readonly least: number;
		readonly most?: number;
	}[];
	readonly vessels: readonly {
		readonly kind: Technique['vessels'][number]['kind'];
		readonly amount: number;
		readonly from: string;
		readonly to: string;
		readonly tasks: readonly string[];
	}[];
	/** The tasks one of which finishes it. */
	readonly served: readonly string[];
	/** Tasks of the evening, and the one instead of them where they are done before; absent: nothing to choose. */
	readonly ahead?: { readonly evening: readonly string[]; readonly before: readonly string[] };
	/** Whether it is made before the evening, whatever the plan says. */
	readonly isBefore: boolean;
}

/** One of the ways in which a part could be made. */
export interface Alternative {
	readonly technique: Technique;
	readonly portions: readonly Portion[];
}

/** The step that stands for all that was done before. */
const outStep = 'out';
/** Between two batches a pan or the oil may wait no longer, seconds. */
const betweenBatches = 600;
/** Seconds that take something out of the cold, where the technique does not say. */
const usualOut = 30;

/** All ways to make a part that may be taken: the one that is set, or those that make the same where the planner chooses. */
export function alternativesOf(
	part: Part,
	meal: Pick<Meal, 'covers'>,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>
): readonly Alternative[] {
	const set = techniques.get(part.technique);
	if (!set) return [];
	const others =
		part.choose === true && set.makes !== undefined
			? [...techniques.values()].filter((t) => t.makes === set.makes && t.id !== set.id && t.archived !== true)
			: [];
	return [set, ...others].map((technique) => ({
		technique,
		portions: portionsOf(
			part,
			technique,
			technique === set ? '' : `${technique.id}.`,
			meal,
			kitchen,
			others.length === 0
		)
	}));
}

function portionsOf(
	part: Part,
	technique: Technique,
	prefix: string,
	meal: Pick<Meal, 'covers'>,
	kitchen: Kitchen,
	mayChoose: boolean
): readonly Portion[] {
	const all = part.covers ?? meal.covers;
	const known = (settings: Part['settings']) =>
		Object.fromEntries(Object.entries(settings).filter(([id]) => technique.parameters.some((p) => p.id === id)));
	const wishes = (part.wishes ?? []).map((w) => ({
		...w,
		settings: { ...known(part.settings), ...known(w.settings) }
	}));
	const apart = wishes.filter((w) => w.without !== true);
	const main = all - wishes.reduce((sum, w) => sum + w.covers, 0);
	const eaten = all - wishes.filter((w) => w.without === true).reduce((sum, w) => sum + w.covers, 0);
	if (eaten <= 0) return [];
	const settings = known(part.settings);
	const task = (id: string, step: string) => `${id}/${prefix}${step}`;
	const base = { kitchen, prefix, task, eaten, mode: aheadMode(part, technique, mayChoose) };
	// Where everybody has a wish, the first of them stands for the others.
	const first = main > 0 ? { covers: main, settings } : apart[0];
	if (!first) return [];
	const rest = main > 0 ? apart : apart.slice(1);
	const changed = new Set(
		rest.flatMap((w) => technique.parameters.map((p) => p.id).filter((id) => w.settings[id] !== first.settings[id]))
	);
	const shared = sharedSteps(technique, changed, rest.length > 0);
	const leader = portion({
		...base,
		part: { ...part, covers: first.covers, settings: first.settings },
		technique,
		shared,
		leader: undefined
	});
	const followers = rest.map((w) =>
		portion({
			...base,
			part: {
				...part,
				id: `${part.id}-${w.id}`.slice(0, 64),
				name: `${part.name}, ${w.name}`,
				covers: w.covers,
				settings: w.settings
			},
			technique,
			shared,
			leader
		})
	);
	return [leader, ...followers].map((p) => ({ ...p, of: part.id }));
}

type AheadMode = 'evening' | 'before' | 'choose';

function aheadMode(part: Part, technique: Technique, mayChoose: boolean): AheadMode {
	if (!technique.ahead || part.ahead === 'evening') return 'evening';
	if (part.ahead === 'before') return 'before';
	return mayChoose ? 'choose' : 'evening';
}

/** Steps that no changed parameter touches, nor any step before them: done once for everybody. */
function sharedSteps(technique: Technique, changed: ReadonlySet<string>, isSplit: boolean): ReadonlySet<string> {
	if (!isSplit) return new Set();
	const touched = new Set(
		technique.steps
			.filter((s) => {
				const named = [
					...namedIn(s.time.model ?? {}),
					...(s.time.scale ?? []).map((x) => x.by),
					...(s.when ? [s.when.parameter] : []),
					...(s.need ? namedIn(s.need) : [])
				];
				return named.some((id) => changed.has(id));
			})
			.map((s) => s.id)
	);
	for (let grew = true; grew;) {
		grew = false;
		for (const s of technique.steps) {
			if (touched.has(s.id) || !s.after.some((a) => touched.has(a.step))) continue;
			touched.add(s.id);
			grew = true;
		}
	}
	// The step that is plated is each portion's own.
	touched.add(technique.plate.step);
	return new Set(technique.steps.map((s) => s.id).filter((id) => !touched.has(id)));
}

interface Recipe {
	readonly part: Part & { readonly covers: number };
	readonly technique: Technique;
	readonly kitchen: Kitchen;
	readonly task: (part: string, step: string) => string;
	/** People who eat it at all: shared steps are for all of them. */
	readonly eaten: number;
	readonly shared: ReadonlySet<string>;
	readonly leader: Portion | undefined;
	readonly mode: AheadMode;
}

function portion({ part, technique, kitchen, task, eaten, shared, leader, mode }: Recipe): Portion {
	const chosen = technique.steps.filter((s) => {
		if (!s.when) return true;
		return s.when.is.includes(valuesFor(technique, part.settings, part.covers)(s.when.parameter));
	});
	const here = new Set(chosen.map((s) => s.id));
	const early = mode === 'evening' ? new Set<string>() : beforeAnd(technique, technique.ahead?.last ?? '');
	const owner = (step: string) => (leader && shared.has(step) ? leader.part.id : part.id);
	const owned = chosen.filter((s) => owner(s.id) === part.id && !(mode === 'before' && early.has(s.id)));
	const out: Step | undefined = mode === 'evening' || leader ? undefined : takeOut(part, technique);
	const works: Work[] = [];
	const lags: { from: string; to: string; least: number; most?: number }[] = [];
	const lastOf = new Map<string, string>();
	for (const step of owned) {
		const covers = shared.has(step.id) ? eaten : part.covers;
		const load = batchesOf(step, valuesFor(technique, part.settings, covers), kitchen);
		// More are refused (see `compileMeal`): they are not even written out.
		const count = Math.min(mostBatches, load?.batches ?? 1);
		const ids = Array.from({ length: count }, (_, k) => (k === 0 ? step.id : `${step.id}-b${k + 1}`));
		ids.forEach((id, k) => {
			const say = count === 1 ? step.say : `${step.say}, ${k + 1} of ${count}`.slice(0, 80);
			works.push({
				task: task(part.id, id),
				step: { ...step, id, say },
				// A batch is for its share of the people.
				covers: covers / count,
				vessels: load?.vessels ?? 1,
				factor: load?.factor ?? 1,
				batches: load?.batches ?? 1,
				pieces: load?.unit === 'pieces' ? Math.ceil(load.whole / count) : covers / count
			});
			const before = ids[k - 1];
			if (before !== undefined) {
				lags.push({ from: task(part.id, before), to: task(part.id, id), least: 0, most: betweenBatches });
			}
		});
		lastOf.set(step.id, task(part.id, ids.at(-1) ?? step.id));
	}
	const endOf = (step: string) =>
		lastOf.get(step) ?? (leader && shared.has(step) ? endIn(leader, step, task) : task(part.id, step));
	const outTask = task(leader?.part.id ?? part.id, outStep);
	if (out) works.push({ task: outTask, step: out, covers: eaten, vessels: 1, factor: 1, batches: 1, pieces: eaten });
	for (const step of owned) {
		for (const { step: before, least, most } of step.after) {
			if (!here.has(before)) continue;
			const to = task(part.id, step.id);
			const isEarly = early.has(before);
			if (!(mode === 'before' && isEarly)) {
				lags.push({ from: endOf(before), to, least, ...(most === undefined ? {} : { most }) });
			}
			if (mode !== 'evening' && isEarly && !early.has(step.id)) lags.push({ from: outTask, to, least: 0 });
		}
	}
	const vessels = technique.vessels.flatMap(({ kind, from, to }) => {
		const between = stepsBetween(technique, from, to).filter((id) => owned.some((s) => s.id === id));
		const [start, end] = [between[0], between.at(-1)];
		if (start === undefined || end === undefined) return [];
		const within = works.filter((w) => between.some((id) => w.step.id === id || w.step.id.startsWith(`${id}-b`)));
		const holds =
			kind === 'tray' || kind === 'frying pan' || kind === 'dish' ? Math.max(1, ...within.map((w) => w.vessels)) : 1;
		return [{ kind, amount: holds, from: task(part.id, start), to: endOf(end), tasks: within.map((w) => w.task) }];
	});
	const plated = technique.plate.step;
	const served =
		early.has(plated) && mode === 'before' ? [outTask] : [endOf(plated), ...(early.has(plated) ? [outTask] : [])];
	const evening = works.filter((w) => early.has(baseOf(w.step.id))).map((w) => w.task);
	return {
		part,
		of: part.id,
		technique,
		works,
		lags,
		vessels,
		served,
		...(mode === 'choose' && (out || evening.length > 0) ? { ahead: { evening, before: out ? [outTask] : [] } } : {}),
		isBefore: mode === 'before'
	};
}

/** The step that a batch is one of. */
export const baseOf = (step: string) => step.replace(/-b\d+$/, '');

/** The last batch of a shared step, in the portion that it stands with. */
function endIn(leader: Portion, step: string, task: Recipe['task']): string {
	return leader.works.findLast((w) => baseOf(w.step.id) === step)?.task ?? task(leader.part.id, step);
}

function takeOut(part: Part, { ahead }: Technique): Step {
	const usual = ahead?.out ?? usualOut;
	if (ahead?.reheat)
		return {
			id: outStep,
			say: `Reheat what was made ahead: ${part.name}`.slice(0, 80),
			kind: 'cook',
			time: { model: { kind: 'reheat', ...ahead.reheat } },
			need: { kind: 'burner' },
			heat: 'medium, lid ajar',
			hands: {
				kind: 'touches',
				at: [
					{ share: 0, seconds: usual, say: `Out of the cold, onto the heat: ${part.name}`.slice(0, 80) },
					{ share: 1, seconds: 20, say: 'Probe it: 74 °C right through' }
				],
				every: { interval: 90, seconds: 10, say: 'Stir to the bottom' }
			},
			after: [],
			sign: '74 °C right through, bubbling; reheated once, never twice.'
		};
	return {
		id: outStep,
		say: `Take out what was made ahead: ${part.name}`.slice(0, 80),
		kind: 'prep',
		time: { shortest: Math.floor(usual / 2), usual, longest: 2 * usual },
		hands: { kind: 'whole' },
		after: []
	};
}

/** A step and all before it. */
export function beforeAnd(technique: Technique, step: string): ReadonlySet<string> {
	const found = new Set([step]);
	for (const id of found) {
		for (const a of technique.steps.find((s) => s.id === id)?.after ?? []) found.add(a.step);
	}
	return found;
}

/** The steps on any way from one step to another, both included, in the technique's order. */
function stepsBetween({ steps }: Technique, from: string, to: string): readonly string[] {
	const leads = new Set([from]);
	for (const id of leads) {
		for (const s of steps) if (s.after.some((a) => a.step === id)) leads.add(s.id);
	}
	const needed = new Set([to]);
	for (const id of needed) {
		for (const { step } of steps.find((s) => s.id === id)?.after ?? []) needed.add(step);
	}
	return steps.map((s) => s.id).filter((id) => leads.has(id) && needed.has(id));
}
