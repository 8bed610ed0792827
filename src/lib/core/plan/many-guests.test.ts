// Few guests and many: every dish of the library for one, four and fourteen. More people never take less of anything.
import { describe, expect, test } from 'vitest';
import { presets } from '../library/kitchens';
import { library } from '../library/library';
import { baseOf } from './compile/portions';
import { figuresOf, type Answered } from './figures';

const crowds = [1, 4, 14] as const;
type Told = NonNullable<Answered['figures']>;
const told = new Map(
	[...library.keys()].map((technique) => [
		technique,
		crowds.map((people) => figuresOf({ technique, people, values: {}, kitchen: 'family' }, library, presets))
	])
);
const figures = [...told].map(([id, all]) => [id, all.map((a) => a.figures)] as const);
const pairs = figures.flatMap(([id, all]) =>
	all.slice(1).map((more, i) => [id, all[i], more, crowds[i], crowds[i + 1]] as const)
);
const offending = (is: (less: Told, more: Told) => boolean) =>
	pairs.flatMap(([id, less, more, a, b]) => (less && more && is(less, more) ? [`${id}: ${a} and ${b}`] : []));

/** Done once for all: a jar, a pot, a parcel of bread, the one breast that stays in. */
const onceForAll: readonly string[] = ['duck-further', 'flatbread-warmed', 'flavoured-oil', 'herb-tea', 'tea'];

describe('for one, for four, for fourteen', () => {
	test('every dish can be told', () => {
		expect(figures.flatMap(([id, all]) => (all.every((f) => f !== undefined) ? [] : [id]))).toEqual([]);
	});

	test('all figures are numbers of a kitchen: none negative, none without end, the usual between shortest and longest', () => {
		for (const [id, all] of figures) {
			for (const f of all) {
				for (const value of [f?.cooking_min, f?.hands_min, f?.total_min, f?.rest_min]) {
					expect(value, id).toBeGreaterThanOrEqual(0);
					expect(value, id).toBeLessThan(24 * 60);
				}
				for (const s of f?.steps ?? []) {
					expect(s.usual_s, `${id}/${s.step}`).toBeGreaterThanOrEqual(s.shortest_s - 1e-6);
					expect(s.longest_s, `${id}/${s.step}`).toBeGreaterThanOrEqual(s.usual_s - 1e-6);
				}
			}
		}
	});

	test('the whole takes no less than any one of its steps, and hands no longer than the whole', () => {
		for (const [id, all] of figures) {
			for (const f of all) {
				if (!f) continue;
				const longest = Math.max(...f.steps.map((s) => s.usual_s)) / 60;
				expect(f.total_min, id).toBeGreaterThanOrEqual(longest - 0.5);
				expect(f.hands_min, id).toBeLessThanOrEqual(f.total_min + 0.5);
			}
		}
	});

	test('more people never mean fewer batches, less work of hands, or an earlier end', () => {
		expect(offending((less, more) => more.batches < less.batches)).toEqual([]);
		expect(offending((less, more) => more.hands_min < less.hands_min)).toEqual([]);
		expect(offending((less, more) => more.total_min < less.total_min - 0.5)).toEqual([]);
	});

	test('work of hands grows with number, but where it is done once for all', () => {
		const same = figures.flatMap(([id, all]) => (all[0] && all[2] && all[2].hands_min <= all[0].hands_min ? [id] : []));
		expect(same.toSorted()).toEqual(onceForAll.toSorted());
	});

	test('batches are the same work again: each as long as the first, none left out, and the cook is told', () => {
		for (const [id, all] of told) {
			for (const { figures: f, warnings } of all) {
				const steps = f?.steps ?? [];
				const runs = [...new Set(steps.map((s) => baseOf(s.step)))].map((id) =>
					steps.filter((s) => baseOf(s.step) === id)
				);
				// What heats a second pan is no batch.
				const most = Math.max(1, ...runs.filter((r) => r[0]?.kind !== 'preheat').map((r) => r.length));
				expect(f?.batches, id).toBe(most);
				expect(
					warnings.some((w) => w.code === 'batches'),
					id
				).toBe(most > 1);
				for (const run of runs) {
					const nth = run.map((s) => /, (\d+) of (\d+)$/.exec(s.say)?.slice(1).map(Number));
					if (run.length > 1) expect(nth.toSorted(), id).toEqual(run.map((_, i) => [i + 1, run.length]).toSorted());
					for (const s of run) expect(s.kind, id).toBe(run[0]?.kind);
				}
			}
		}
	});

	test('a core that is asked for is the same for one and for many: heat does not know how many eat', () => {
		const cores = figures.flatMap(([id, all]) => {
			const pulls = all.flatMap((f) => (f?.pull_c === undefined ? [] : [f.pull_c]));
			return pulls.length > 0 && Math.max(...pulls) - Math.min(...pulls) > 1.5 ? [`${id} ${pulls.join('/')}`] : [];
		});
		expect(cores).toEqual([]);
	});
});
