// How far a reading of a recipe is what somebody else read in it: the measures of recipes/README.md.
import type { ReadIngredient } from '../recipe/ingredient';
import type { ReadRecipe, ReadStep } from '../recipe/read';

type OneOf<T> = T | readonly T[];
export interface Expected {
	readonly serves?: number | readonly [number, number] | null;
	readonly ingredients: readonly {
		readonly line?: string;
		readonly name: OneOf<string>;
		readonly amount?: readonly [number, number] | null;
		readonly unit?: string | null;
		readonly or?: readonly { readonly amount: readonly [number, number]; readonly unit: string }[];
		readonly not?: readonly string[];
	}[];
	readonly ignore?: readonly string[];
	readonly actions: readonly {
		readonly id: string;
		readonly words: string;
		readonly kind: OneOf<string>;
		readonly station?: OneOf<string>;
		readonly celsius?: readonly [number, number] | null;
		readonly fan?: boolean;
		readonly seconds?: readonly [number, number];
		readonly hands?: OneOf<string>;
	}[];
	readonly order?: readonly (readonly [string, string])[];
	readonly parallel?: readonly (readonly [string, string])[];
	readonly doubts?: readonly string[];
	readonly never?: readonly string[];
}

export interface Score {
	readonly hit: Readonly<Record<string, number>>;
	readonly of: Readonly<Record<string, number>>;
	readonly misses: readonly string[];
}

const both2 = (x: number | readonly number[] | null) => (typeof x === 'number' ? [x, x] : x);
const list = <T>(x: OneOf<T>): readonly T[] => (Array.isArray(x) ? (x as readonly T[]) : [x as T]);
const plain = (text: string) =>
	text
		.toLowerCase()
		.replace(/[^a-z0-9à-ÿ½¼¾]+/g, ' ')
		.trim();
const stem = (word: string) => word.replace(/ies$/, 'y').replace(/oes$/, 'o').replace(/ves$/, 'f').replace(/s$/, '');

function overlaps(a: string, b: string): boolean {
	const [x, y] = [plain(a), plain(b)];
	if (x.includes(y) || y.includes(x)) return true;
	const [u, v] = [x.split(' '), y.split(' ')];
	const [short, long] = u.length <= v.length ? [u, new Set(v)] : [v, new Set(u)];
	return short.filter((w) => long.has(w)).length >= short.length / 2;
}

/** Reading against expectation: hits and counts by measure, and each miss in words. */
export function judge(recipe: ReadRecipe, expected: Expected): Score {
	const hit: Record<string, number> = {};
	const of: Record<string, number> = {};
	const misses: string[] = [];
	const count = (what: string, isRight: boolean, why: string) => {
		of[what] = (of[what] ?? 0) + 1;
		hit[what] = (hit[what] ?? 0) + (isRight ? 1 : 0);
		if (!isRight) misses.push(`${what}: ${why}`);
	};
	if (expected.serves !== undefined)
		count(
			'serves',
			JSON.stringify(both2(recipe.serves)) === JSON.stringify(both2(expected.serves)),
			`${JSON.stringify(recipe.serves)} for ${JSON.stringify(expected.serves)}`
		);
	judgeIngredients(recipe.ingredients, expected, count);
	const taken = new Map<string, ReadStep>();
	for (const action of expected.actions) {
		const free = recipe.steps.filter(
			(s) => ![...taken.values()].includes(s) && list(action.kind).includes(s.kind) && overlaps(s.text, action.words)
		);
		const step = free.toSorted((a, b) => closeness(b.text, action.words) - closeness(a.text, action.words))[0];
		count(
			'actions',
			step !== undefined,
			`${action.id} “${action.words}” (${list(action.kind).join('|')}): ${recipe.steps
				.filter((s) => overlaps(s.text, action.words))
				.map((s) => `${s.kind} “${s.text}”`)
				.join(' / ')}`
		);
		if (!step) continue;
		taken.set(action.id, step);
		const about = `${action.id} “${step.text.slice(0, 70)}”`;
		if (action.station !== undefined)
			count('station', list(action.station).includes(step.station), `${about}: ${step.station}`);
		if (action.celsius !== undefined) {
			const isRight =
				action.celsius === null
					? step.celsius === null
					: step.celsius !== null && step.celsius >= action.celsius[0] && step.celsius <= action.celsius[1];
			count(
				'celsius',
				isRight && (action.fan === undefined || action.fan === (step.fan ?? false)),
				`${about}: ${step.celsius} ${step.fan ?? ''}`
			);
		}
		if (action.seconds)
			count(
				'seconds',
				step.seconds !== null && step.seconds[1] >= action.seconds[0] && step.seconds[1] <= action.seconds[1],
				`${about}: ${step.seconds?.join('–')} for ${action.seconds.join('–')}`
			);
		if (action.hands !== undefined) count('hands', list(action.hands).includes(step.hands), `${about}: ${step.hands}`);
	}
	const reach = reachOf(recipe.steps);
	const both = ([a, b]: readonly [string, string]) => {
		const [x, y] = [taken.get(a), taken.get(b)];
		return x && y ? ([x.id, y.id] as const) : undefined;
	};
	for (const pair of expected.order ?? []) {
		const ids = both(pair);
		if (ids) count('order', reach.get(ids[1])?.has(ids[0]) === true, `${pair[1]} does not wait for ${pair[0]}`);
	}
	for (const pair of expected.parallel ?? []) {
		const ids = both(pair);
		if (ids)
			count(
				'parallel',
				!reach.get(ids[0])?.has(ids[1]) && !reach.get(ids[1])?.has(ids[0]),
				`${pair.join(' and ')} wait for each other`
			);
	}
	for (const words of expected.doubts ?? []) {
		const isAsked = recipe.doubts.some(
			(d) => overlaps(d.about, words) || overlaps(recipe.steps.find((s) => s.id === d.about)?.text ?? '', words)
		);
		count('doubts', isAsked, words);
	}
	for (const words of expected.never ?? []) {
		const bad = recipe.steps.find(
			(s) =>
				plain(s.text).includes(plain(words)) ||
				(plain(words).includes(plain(s.text)) && plain(s.text).split(' ').length > 2)
		);
		count('never', bad === undefined, bad?.text ?? '');
	}
	return { hit, of, misses };
}

function closeness(a: string, b: string): number {
	const [x, y] = [new Set(plain(a).split(' ')), plain(b).split(' ')];
	return y.filter((w) => x.has(w)).length / (y.length + 0.2 * x.size);
}

function judgeIngredients(
	found: readonly ReadIngredient[],
	expected: Expected,
	count: (what: string, isRight: boolean, why: string) => void
): void {
	const used = new Set<ReadIngredient>();
	for (const e of expected.ingredients) {
		const names = list(e.name).map(stem);
		const isIt = (i: ReadIngredient) => {
			const words = plain(i.name).split(' ');
			if (!words.some((w) => names.includes(stem(w))) || /\d/.test(i.name)) return false;
			if ((e.not ?? []).some((n) => words.includes(n))) return false;
			if (e.amount === undefined) return true;
			const fits = (amount: readonly [number, number] | null, unit: string | null | undefined) => {
				if (amount === null || i.amount === null) return amount === null && i.amount === null;
				const near = (a: number, b: number) => Math.abs(a - b) <= 0.02 * Math.max(a, b);
				return near(i.amount[0], amount[0]) && near(i.amount[1], amount[1]) && (unit === undefined || unit === i.unit);
			};
			return fits(e.amount, e.unit) || (e.or ?? []).some((o) => fits(o.amount, o.unit));
		};
		const one = found.find((i) => !used.has(i) && isIt(i));
		if (one) used.add(one);
		count(
			'ingredients',
			one !== undefined,
			`${e.line ?? names.join('|')} not among ${found
				.filter((i) =>
					plain(i.name)
						.split(' ')
						.some((w) => names.includes(stem(w)))
				)
				.map((i) => `${JSON.stringify(i.amount)} ${i.unit} ${i.name}`)
				.join(' / ')}`
		);
	}
	for (const i of found) {
		if (used.has(i) || (expected.ignore ?? []).some((n) => plain(i.name).includes(n))) continue;
		count('no ingredient', false, `${JSON.stringify(i.amount)} ${i.unit} “${i.name}” (${i.line})`);
	}
}

function reachOf(steps: readonly ReadStep[]): ReadonlyMap<string, ReadonlySet<string>> {
	const reach = new Map<string, Set<string>>();
	for (const { id, after } of steps) reach.set(id, new Set(after.flatMap((a) => [a, ...(reach.get(a) ?? [])])));
	return reach;
}
