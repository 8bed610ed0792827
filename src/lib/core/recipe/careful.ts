// What a recipe does not say and a cook has to know: the heat that is advised, what is eaten raw, what may not wait, what is
// made the day before.
import { rawNamed, type Raw } from '../foods/named';
import type { Step, Technique } from '../model/technique';
import { advisedFor } from '../safety/advised';
import { hotOil, rawMeat, rawPoultry } from '../safety/cautions';
import { keeps, type Keeps } from '../safety/rules';
import type { ReadIngredient } from './ingredient';
import type { ReadStep } from './read';
import { stepsNaming } from './takes';

const hotKinds = new Set<ReadStep['kind']>(['sear', 'fry', 'simmer', 'boil', 'bake', 'roast', 'grill', 'steam']);
/** Whole cuts and fish that go under these may stay below the advised heat: braises and stews are far above. */
const quickKinds = new Set<ReadStep['kind']>(['sear', 'fry', 'grill', 'roast', 'bake']);
export const isHot = (s: Pick<ReadStep, 'kind'>) => hotKinds.has(s.kind);

/** Steps and all that comes after them. */
function withFollowers(begin: readonly ReadStep[], steps: readonly ReadStep[]): readonly ReadStep[] {
	const from = new Set(begin.map((s) => s.id));
	for (let grew = true; grew;) {
		grew = false;
		for (const s of steps)
			if (!from.has(s.id) && s.after.some((b) => from.has(b))) {
				from.add(s.id);
				grew = true;
			}
	}
	return steps.filter((s) => from.has(s.id));
}

const usual = (s: ReadStep) => s.seconds?.[1] ?? 0;

/** Which of the hot steps makes a food safe: the last that names it, else the longest. */
function heating(named: readonly ReadStep[], hot: readonly ReadStep[]): ReadStep | undefined {
	const longest = hot.reduce<ReadStep | undefined>((a, s) => (a && usual(a) >= usual(s) ? a : s), undefined);
	return hot.findLast((s) => named.includes(s)) ?? longest;
}

function advice({ food }: Raw, { kind }: ReadStep): string | undefined {
	const advised = food && advisedFor(food);
	if (!advised) return undefined;
	const what = advised.what.charAt(0).toUpperCase() + advised.what.slice(1);
	if (advised.instead || advised.celsius > 63)
		return `${what}: at least ${advised.celsius} °C in the thickest part (${advised.whose}).`;
	return quickKinds.has(kind)
		? `${what}: below ${advised.celsius} °C in the thickest part not for pregnant, very young, old or ill guests (${advised.whose}).`
		: undefined;
}

export interface Careful {
	readonly cautions: ReadonlyMap<string, readonly string[]>;
	readonly raw?: NonNullable<Technique['raw']>;
}

/** Cautions by step, and the food that no heat comes to. */
export function carefulWith(own: readonly ReadIngredient[], steps: readonly ReadStep[]): Careful {
	const cautions = new Map<string, Set<string>>();
	const tell = (step: ReadStep | undefined, what: string | undefined) => {
		if (step && what !== undefined) cautions.set(step.id, (cautions.get(step.id) ?? new Set()).add(what));
	};
	const raws = new Set<Raw['of']>();
	for (const i of own) {
		const raw = rawNamed(i.name, i.preparation ?? '');
		if (!raw) continue;
		const named = stepsNaming(i, steps);
		const hot = withFollowers(named.length > 0 ? named : steps, steps).filter(isHot);
		const step = heating(named, hot);
		if (step) tell(step, advice(raw, step));
		else raws.add(raw.of);
		const handled = named.find((s) => s.kind === 'prep');
		if (raw.of === 'meat') tell(handled, raw.food?.startsWith('poultry') === true ? rawPoultry : rawMeat);
	}
	for (const s of steps)
		if (s.station === 'fryer' || /\bdeep[- ]fr/i.test(s.text) || (s.kind === 'fry' && (s.celsius ?? 0) >= 140))
			tell(s, hotOil);
	const raw = (['meat', 'fish', 'egg'] as const).find((r) => raws.has(r));
	return {
		cautions: new Map([...cautions].map(([id, said]) => [id, [...said]])),
		...(raw === undefined ? {} : { raw })
	};
}

/** Seconds that what comes off the heat waits at most for what follows it, by what that is; others wait as they like. */
const waits = { pan: 120, heat: 240, end: 600, set: 1800 };

/** The longest wait between a step and the first that follows it at once; `undefined` where it may wait. */
export function longestWait(before: ReadStep, next: ReadStep, steps: readonly ReadStep[]): number | undefined {
	const others = steps.filter((s) => s.after.includes(before.id));
	const isFirst = others[0]?.id === next.id;
	// What waits for something else that comes after it too cannot follow at once.
	const beyond = new Set(withFollowers([before], steps).map((s) => s.id));
	const isAtOnce = !next.after.some((b) => b !== before.id && beyond.has(b));
	// What was taken out waits until it goes back.
	if (!isFirst || !isAtOnce || /\breturn\b|\bagain\b|\bback (?:in|into|to|on)\b/i.test(next.text)) return undefined;
	if (before.kind === 'heat' && before.station !== 'none')
		return isHot(next) ? waits.pan : next.station === 'board' ? waits.heat : undefined;
	if (!isHot(before)) return undefined;
	// It stays in while the oven comes to its next heat.
	if (before.station === 'oven' && next.station === 'oven' && before.celsius !== next.celsius) return waits.set;
	if (isHot(next) || next.kind === 'drain' || next.kind === 'rest') return waits.heat;
	return next.kind === 'finish' || next.kind === 'mix' ? waits.end : undefined;
}

const idle = new Set<ReadStep['kind']>(['chill', 'soak', 'marinate']);
/** So long is no evening: begun before it. Shorter ones are, where the recipe itself says that longer does. */
const overnight = 4 * 3600;
const shorter = 3600;
const theDayBefore = /\bovernight\b|\bnight before\b|\bday before\b/i;
const orLonger =
	/\bovernight\b|\bnight before\b|\bday before\b|\bor (?:more|longer|up to)\b|\bat least\b|\bminimum\b|\bup to (?:\d+|two|three) days\b/i;

function isLong(s: ReadStep, isRaw: boolean): boolean {
	if (s.kind === 'rest') return usual(s) >= overnight;
	if (!idle.has(s.kind)) return false;
	// Animals in water or in acid are left as long as it says.
	const isFree = s.kind === 'chill' || !isRaw ? orLonger : theDayBefore;
	return usual(s) >= overnight || (usual(s) >= shorter && isFree.test(s.text));
}

/** What may be done the day before: all up to the last long wait in the cold. */
export function aheadOf(own: readonly ReadIngredient[], steps: readonly ReadStep[]): Technique['ahead'] {
	const isRaw = own.some((i) => rawNamed(i.name, i.preparation ?? ''));
	const long = steps.filter((s) => isLong(s, isRaw));
	const last = long.reduce<ReadStep | undefined>((a, s) => (a && usual(a) > usual(s) ? a : s), undefined);
	if (!last) return undefined;
	// A later one that comes after it takes it along.
	const end = withFollowers([last], steps).findLast((s) => long.includes(s)) ?? last;
	const before = steps.filter((s) => withFollowers([s], steps).includes(end));
	const raw = own.some((i) => rawNamed(i.name, i.preparation ?? '') && stepsNaming(i, before).length > 0);
	const how = 'covered, in the cold';
	const day = 86_400;
	const row: Keeps | undefined = before.some(isHot)
		? 'cooked dishes, mash, stock'
		: raw
			? 'raw mince, poultry, fish'
			: undefined;
	return row === undefined
		? { last: end.id, keeps: day, source: 'A day: an estimate', how }
		: { last: end.id, keeps: keeps[row][0] * day, source: `${row}: USDA/FMI storage guide, at 4 °C`, how };
}

/** Cautions of a step, as its technique has them. */
export const cautionsOf = ({ cautions }: Careful, step: string): Pick<Step, 'cautions'> => {
	const said = cautions.get(step);
	return said === undefined ? {} : { cautions: said.map((c) => c.slice(0, 200)) };
};
