// A part as it is cooked: which steps, for how many, what is shared between guests and what is cooked apart, what in batches,
// what could be made before the evening, and in which other way it could be made.
import type { Kitchen, VesselKind } from '../../model/kitchen';
import type { Meal, Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { withFinish } from '../../model/finishing';
import { namedIn } from '../../model/time-model';
import { batchesOf, mostBatches, type Batches } from './load';
import type { Mutable } from './traced';
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
	/** Whether its batches go side by side on burners. */
	readonly isBeside?: boolean;
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
		/** `to` only ends no sooner than `from` does: `least` is not asked. */
		readonly ends?: boolean;
	}[];
	readonly vessels: readonly {
		readonly kind: Technique['vessels'][number]['kind'];
		/** The very vessel, or one as large: what goes into it fits no smaller one. */
		readonly size?: string;
		readonly amount: number;
		readonly from: string;
		readonly to: string;
		readonly tasks: readonly string[];
	}[];
	/** The tasks one of which finishes it. */
	readonly served: readonly string[];
	/** Batches that are cooked before the last one, with what share of all it each is: their wait counts too. */
	readonly early: readonly { readonly task: string; readonly share: number }[];
	/** Tasks of the evening, and the one instead of them where they are done before; absent: nothing to choose. */
	readonly ahead?: { readonly evening: readonly string[]; readonly before: readonly string[] };
	/** Whether it is made before the evening, whatever the plan says. */
	readonly isBefore: boolean;
	/** The last tasks of a step, of that first which ends last. */
	readonly ends: (step: string) => readonly string[];
}

/** One of the ways in which a part could be made. */
export interface Alternative {
	/** The technique's, or that its batches go one after another in one vessel. */
	readonly id: string;
	readonly technique: Technique;
	readonly portions: readonly Portion[];
}

/** The step that stands for all that was done before. */
const outStep = 'out';
/** Between two batches a pan or the oil may wait no longer, seconds. */
const betweenBatches = 600;
/** Seconds that take something out of the cold, where the technique does not say. */
const usualOut = 30;

/** Batches one after another, though vessels stand free: the burners may be wanted for something else. */
const inTurn = 'in-turn';

/**
 * All ways to make a part that may be taken: the one that is set, or those that make the same where the planner chooses; and
 * where batches go side by side on burners, the same one after another; where saucepans or pots are scarce, the same in the
 * other.
 *
 */
export function alternativesOf(
	part: Part,
	meal: Pick<Meal, 'covers'>,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	{ isBound = false, onTray, sauces = [], scarce }: Besides = {}
): readonly Alternative[] {
	const set = techniques.get(part.technique);
	if (!set) return [];
	const others =
		part.choose === true && set.makes !== undefined
			? [...techniques.values()].filter((t) => t.makes === set.makes && t.id !== set.id && t.archived !== true)
			: [];
	const make = (technique: Technique, prefix: string, isInTurn = false, id = technique.id): Alternative => ({
		id: isInTurn ? inTurn : id,
		technique,
		portions: portionsOf(
			part,
			{ technique, prefix, isInTurn, mayChoose: others.length === 0, onTray, sauces },
			meal,
			kitchen
		)
	});
	const own = make(set, '');
	if (others.length > 0) return [own, ...others.map((t) => make(t, `${t.id}.`))];
	if (isBound || own.portions.some(({ ahead }) => ahead !== undefined)) return [own];
	const isSpread = own.portions.some(({ works }) => works.some((w) => w.isBeside));
	const other = inOther(set, scarce, kitchen);
	return [
		own,
		...(isSpread ? [make(set, `${inTurn}.`, true)] : []),
		...(other ? [make(other.technique, `in-${other.kind}.`, false, `in-${other.kind}`)] : [])
	];
}

/** What stands in for what, where there is not enough of it. */
const standIns: Partial<Record<VesselKind, VesselKind>> = { saucepan: 'pot', pot: 'saucepan' };

/** A technique in another kind of vessel, where its own is wanted by more parts than there are. */
function inOther(
	technique: Technique,
	scarce: ReadonlySet<VesselKind> | undefined,
	kitchen: Kitchen
): { readonly technique: Technique; readonly kind: VesselKind } | undefined {
	const from = technique.vessels.find((v) => scarce?.has(v.kind) && standIns[v.kind] !== undefined)?.kind;
	const kind = from && standIns[from];
	if (!kind || !kitchen.vessels.some((v) => v.kind === kind && v.count > 0)) return undefined;
	const vessels = technique.vessels.map((v) => (v.kind === from ? { ...v, kind } : v));
	return { technique: { ...technique, vessels }, kind };
}

/** Kinds of vessels that the parts of a meal want more of than a kitchen has. */
export function scarceKinds(
	parts: readonly Part[],
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>
): ReadonlySet<VesselKind> {
	const wanted = new Map<VesselKind, number>();
	for (const { technique } of parts)
		for (const kind of new Set(techniques.get(technique)?.vessels.map((v) => v.kind)))
			wanted.set(kind, (wanted.get(kind) ?? 0) + 1);
	const owned = (kind: VesselKind) => kitchen.vessels.reduce((sum, v) => sum + (v.kind === kind ? v.count : 0), 0);
	return new Set([...wanted].filter(([kind, n]) => n > owned(kind)).map(([kind]) => kind));
}

/** A way of making a part. */
interface Making {
	readonly technique: Technique;
	/** Before the names of its tasks. */
	readonly prefix: string;
	readonly isInTurn: boolean;
	readonly mayChoose: boolean;
	readonly onTray: SharedLoad | undefined;
	readonly sauces: readonly Part[];
}

/** What else a part's making depends on. */
interface Besides {
	/** Whether other parts hang on its steps by name, or there are none: then there is one way. */
	readonly isBound?: boolean;
	/** Its step that lies on a tray with other parts, and how. */
	readonly onTray?: SharedLoad | undefined;
	/** Parts that it is finished with. */
	readonly sauces?: readonly Part[];
	/** Vessels that are wanted more often than there are. */
	readonly scarce?: ReadonlySet<VesselKind>;
}

/** A step's load where others lie on its tray too. */
interface SharedLoad {
	readonly step: string;
	readonly load: Batches;
}

function portionsOf(
	part: Part,
	{ technique: plain, prefix, isInTurn, mayChoose, onTray, sauces }: Making,
	meal: Pick<Meal, 'covers'>,
	kitchen: Kitchen
): readonly Portion[] {
	const all = part.covers ?? meal.covers;
	const technique = withFinish(plain, part, sauces);
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
	const base = { kitchen, task, eaten, isInTurn, onTray, mode: aheadMode(part, technique, mayChoose) };
	// Where everybody has a wish, the first of them stands for the others.
	const first = main > 0 ? { covers: main, settings } : apart[0];
	if (!first) return [];
	const rest = main > 0 ? apart : apart.slice(1);
	const changed = new Set(
		rest.flatMap((w) => technique.parameters.map((p) => p.id).filter((id) => w.settings[id] !== first.settings[id]))
	);
	const shared = sharedSteps(technique, changed, rest.length > 0, plain.plate.step);
	const leader = portion({
		...base,
		part: { ...part, covers: first.covers, settings: first.settings },
		technique: main > 0 ? technique : withFinish(plain, part, sauces, apart[0]?.guest),
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
			technique: withFinish(plain, part, sauces, w.guest),
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
function sharedSteps(
	technique: Technique,
	changed: ReadonlySet<string>,
	isSplit: boolean,
	last: string
): ReadonlySet<string> {
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
	// The step that is plated is each portion's own, and with what it is finished.
	touched.add(technique.plate.step).add(last);
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
	readonly isInTurn: boolean;
	readonly onTray: SharedLoad | undefined;
}

function portion({ part, technique, kitchen, task, eaten, shared, leader, mode, isInTurn, onTray }: Recipe): Portion {
	const chosen = technique.steps.filter((s) => {
		if (!s.when) return true;
		return s.when.is.includes(valuesFor(technique, part.settings, part.covers)(s.when.parameter));
	});
	const here = new Set(chosen.map((s) => s.id));
	const ahead = mode === 'evening' ? new Set<string>() : beforeAnd(technique, technique.ahead?.last ?? '');
	const owner = (step: string) => (leader && shared.has(step) ? leader.part.id : part.id);
	const owned = chosen.filter((s) => owner(s.id) === part.id && !(mode === 'before' && ahead.has(s.id)));
	const out: Step | undefined = mode === 'evening' || leader ? undefined : takeOut(part, technique);
	const works: Work[] = [];
	const lags: Mutable<Portion['lags'][number]>[] = [];
	const early: Mutable<Portion['early'][number]>[] = [];
	const lanesOf = new Map<string, readonly (readonly string[])[]>();
	const loads = new Map(
		owned.map((step) => {
			const covers = shared.has(step.id) ? eaten : part.covers;
			const load =
				onTray?.step === step.id ? onTray.load : loadIn(technique, step, part.settings, covers, kitchen, isInTurn);
			return [step.id, { covers, load }];
		})
	);
	for (const step of owned) {
		const { covers = 0, load } = loads.get(step.id) ?? {};
		const lanes = load && load.batches > 1 ? lanesWritten(load.lanes) : [];
		const isBeside = lanes.length > 1 && step.need?.kind === 'burner';
		const common = {
			vessels: load?.vessels ?? 1,
			factor: load?.factor ?? 1,
			batches: load?.batches ?? 1,
			...(isBeside ? { isBeside } : {})
		};
		const add = (nth: number, share: number) => {
			const id = batchId(step.id, nth);
			const pieces = load?.unit === 'pieces' ? Math.ceil(load.whole * share - 1e-9) : covers * share;
			// A batch is for its share of the people.
			works.push({ ...common, task: task(part.id, id), step: { ...step, id }, covers: covers * share, pieces });
			return task(part.id, id);
		};
		if (lanes.length === 0) {
			// Every pan has to be hot before its sear, every pot has to boil, with water for what goes in at once.
			const filled = filledAfter(step, technique, loads);
			lanesOf.set(step.id, filled.length > 0 ? filled.map((share, k) => [add(k + 1, share)]) : [[add(1, 1)]]);
			continue;
		}
		const whole = load?.whole ?? 1;
		const written: string[][] = lanes.map(() => []);
		for (const { nth, lane, each } of lanes.flat().toSorted((a, b) => a.nth - b.nth)) {
			const id = add(nth, each / whole);
			const before = written[lane]?.at(-1);
			written[lane]?.push(id);
			if (before !== undefined) lags.push({ from: before, to: id, least: 0, most: betweenBatches });
		}
		lanesOf.set(step.id, written);
		const last = written[0]?.at(-1);
		// The first lane ends last: what follows goes by it.
		for (const lane of written.slice(1)) {
			const end = lane.at(-1);
			if (end !== undefined && last !== undefined) lags.push({ from: end, to: last, least: 0, ends: true });
		}
		const shares = new Map(lanes.flat().map((b) => [task(part.id, batchId(step.id, b.nth)), b.each / whole]));
		if (step.kind === 'cook') for (const [id, share] of shares) if (id !== last) early.push({ task: id, share });
	}
	const firstsOf = (step: string) =>
		(lanesOf.get(step) ?? []).flatMap((lane) => lane[0] ?? []).concat(lanesOf.has(step) ? [] : task(part.id, step));
	/** The last task of each lane, of that first which ends last. */
	const endsOf = (step: string): readonly string[] => {
		const own = lanesOf.get(step);
		if (own) return own.flatMap((lane) => lane.at(-1) ?? []);
		return leader && shared.has(step) ? leader.ends(step) : [task(part.id, step)];
	};
	const endOf = (step: string) => endsOf(step)[0] ?? task(part.id, step);
	const outTask = task(leader?.part.id ?? part.id, outStep);
	if (out) works.push({ task: outTask, step: out, covers: eaten, vessels: 1, factor: 1, batches: 1, pieces: eaten });
	for (const step of owned) {
		for (const { step: before, least, most } of step.after) {
			if (!here.has(before)) continue;
			const isEarly = ahead.has(before);
			const [tos, froms] = [firstsOf(step.id), endsOf(before)];
			// Each pan that was heated is followed by what goes into it.
			const isPaired = tos.length === froms.length && froms.length > 1 && loads.get(before)?.load === undefined;
			tos.forEach((to, k) => {
				const limit = most === undefined ? {} : { most };
				if (mode !== 'evening' && isEarly && !ahead.has(step.id)) lags.push({ from: outTask, to, least: 0 });
				if (mode === 'before' && isEarly) return;
				const own = isPaired ? froms.slice(k, k + 1) : froms;
				// The longest wait is that of what ended last.
				own.forEach((from, j) => lags.push({ from, to, least, ...(j === 0 && (k === 0 || isPaired) ? limit : {}) }));
			});
		}
	}
	const vessels = technique.vessels.flatMap(({ kind, from, to }) => {
		const between = stepsBetween(technique, from, to).filter((id) => owned.some((s) => s.id === id));
		const [start, end] = [between[0], between.at(-1)];
		if (start === undefined || end === undefined) return [];
		const within = works.filter((w) => between.includes(baseOf(w.step.id)));
		const amount =
			kind === 'tray' || kind === 'frying pan' || kind === 'dish' ? Math.max(1, ...within.map((w) => w.vessels)) : 1;
		/** What the vessels beside the first do: heated, filled, emptied. */
		const beside = between.flatMap((id) => (loads.get(id)?.load ? (lanesOf.get(id) ?? []).slice(1) : []));
		const sizeOf = (lane: number) => {
			const size = between.flatMap((id) => loads.get(id)?.load?.lanes[lane]?.vessel ?? [])[0];
			return size === undefined ? {} : { size };
		};
		const others = beside.map((lane, k) => {
			const heats = within.filter((w) => lags.some((l) => l.from === w.task && l.to === lane[0] && !l.ends));
			const own = heats.filter((w) => baseOf(w.step.id) !== w.step.id && w.step.kind === 'preheat').map((w) => w.task);
			const tasks = [...own, ...lane];
			return { kind, ...sizeOf(k + 1), amount, from: tasks[0] ?? '', to: tasks.at(-1) ?? '', tasks };
		});
		const taken = new Set(others.flatMap((o) => o.tasks));
		const tasks = within.map((w) => w.task).filter((t) => !taken.has(t));
		return [{ kind, ...sizeOf(0), amount, from: firstsOf(start)[0] ?? '', to: endOf(end), tasks }, ...others];
	});
	const plated = technique.plate.step;
	const served =
		ahead.has(plated) && mode === 'before' ? [outTask] : [endOf(plated), ...(ahead.has(plated) ? [outTask] : [])];
	const evening = works.filter((w) => ahead.has(baseOf(w.step.id))).map((w) => w.task);
	return {
		part,
		of: part.id,
		technique,
		works,
		lags,
		vessels,
		served,
		early,
		ends: endsOf,
		...(mode === 'choose' && (out || evening.length > 0) ? { ahead: { evening, before: out ? [outTask] : [] } } : {}),
		isBefore: mode === 'before'
	};
}

/** What a step lies or swims in, in batches: in the vessel that its technique names. */
export function loadIn(
	technique: Technique,
	step: Step,
	settings: Part['settings'],
	covers: number,
	kitchen: Kitchen,
	isInTurn = false
): Batches | undefined {
	// Of several in use the one that was taken last: the rice is in its pot, the stock beside it in a saucepan.
	const taken = (from: string) => technique.steps.findIndex((s) => s.id === from);
	const [held] = technique.vessels
		.filter(({ from, to }) => stepsBetween(technique, from, to).includes(step.id))
		.toSorted((a, b) => taken(b.from) - taken(a.from));
	return batchesOf(step, valuesFor(technique, settings, covers), kitchen, held?.kind, isInTurn);
}

/** The step that a batch is one of. */
export const baseOf = (step: string) => step.replace(/-b\d+$/, '');

/** Which of its batches a step is, counted from 1 as they are written. */
export const batchOf = (step: string) => Number(/-b(\d+)$/.exec(step)?.[1] ?? 1);

const batchId = (step: string, nth: number) => (nth === 1 ? step : `${step}-b${nth}`);

interface Batch {
	/** Counted over all lanes, round by round; of each round the first lane comes last. */
	readonly nth: number;
	readonly lane: number;
	readonly each: number;
}

/** The batches of each lane. More than can be are refused (see `compileMeal`): they are not even written out. */
function lanesWritten(lanes: Batches['lanes']): readonly (readonly Batch[])[] {
	const rounds = Math.max(...lanes.map((l) => l.batches));
	const found: Batch[][] = lanes.map(() => []);
	let nth = 0;
	for (let round = rounds; round >= 1; round--) {
		// In the last rounds all lanes work: what has less to do begins later.
		for (let lane = lanes.length - 1; lane >= 0; lane--) {
			const { each = 0, batches = 0 } = lanes[lane] ?? {};
			if (batches >= round && nth < mostBatches) found[lane]?.push({ nth: ++nth, lane, each });
		}
	}
	return found;
}

/** What goes at once into each of the vessels that a step heats, side by side, as a share of all that follows in them. */
function filledAfter(
	step: Step,
	{ steps, vessels }: Technique,
	loads: ReadonlyMap<string, { readonly load: Batches | undefined }>
): readonly number[] {
	if (step.kind !== 'preheat' || step.need?.kind !== 'burner') return [];
	if (!vessels.some((v) => v.from === step.id)) return [];
	const next = steps.filter((s) => s.after.some((a) => a.step === step.id));
	const filled = next.flatMap((s) => loads.get(s.id)?.load ?? []);
	const [most] = filled.toSorted((a, b) => b.lanes.length - a.lanes.length);
	return most?.lanes.map(({ each }) => Math.min(1, each / most.whole)) ?? [];
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
