// How fast the kitchen science is: the median of many runs.
import { questions } from '$lib/core/questions/questions';
import { readInputs } from '$lib/core/questions/question';
import { Immersed } from '$lib/core/heat/body';
import { Conduction } from '$lib/core/heat/finite-volumes';
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { compileMeal } from '$lib/core/plan/compile/compile';
import { readRows, valueOf } from '$lib/core/testing/sanity';
import { forget } from '$lib/core/timing/remembering';
import { readFileSync } from 'node:fs';
import { table } from './table';

/** Milliseconds of one call, the median of several batches. */
function median(call: () => void, calls: number): number {
	const times = Array.from({ length: 15 }, () => {
		const began = performance.now();
		for (let i = 0; i < calls; i++) call();
		return (performance.now() - began) / calls;
	});
	return times.sort((a, b) => a - b)[7] ?? NaN;
}

const grid = { shape: 'cylinder', L: 0.05, isFull: false, k: 0.475, alpha: 1.3e-7 } as const;
const roastIn = { h: 30, tinf: 160 };
const whole = { shape: 'cylinder', diameter: 0.1, k: grid.k, alpha: grid.alpha } as const;

function roast(n: number, step: number): Conduction {
	const body = new Conduction({ ...grid, n }, 5);
	body.run({ seconds: 7200, step, outer: roastIn });
	return body;
}

export function benchHeat(): string {
	const exact = new Immersed(whole, roastIn, 5).temperature(7200, 'centre');
	const off = (n: number, step: number) => Math.abs((roast(n, step).T[0] ?? NaN) - exact).toFixed(3);
	const ms = (value: number) => `${value.toFixed(3)} ms`;
	const us = (value: number) => `${(1000 * value).toFixed(1)} µs`;
	const slab = { shape: 'slab', thickness: 0.032, k: 0.5, alpha: 1.35e-7 } as const;
	const meals = demoMeals.map((meal) => {
		const kitchen = demoKitchens.find((k) => k.id === meal.kitchen);
		if (!kitchen) throw new RangeError(meal.kitchen);
		const cold = median(() => {
			forget();
			compileMeal(meal, kitchen, library);
		}, 3);
		const again = median(() => compileMeal(meal, kitchen, library), 5);
		return [`${meal.name}: all durations, nothing remembered`, ms(cold), `asked again: ${ms(again)}`];
	});
	const asked = questions.map((q) => {
		const { inputs } = readInputs(q, new URLSearchParams());
		return { name: q.name, time: median(() => q.answer(inputs), 2) };
	});
	const slowest = asked.reduce((a, b) => (b.time > a.time ? b : a));
	const rows = [
		[
			'a two-hour roast by finite volumes, 16 cells, 60 s',
			ms(median(() => roast(16, 60), 20)),
			`${off(16, 60)} K off the series`
		],
		['the same, 30 cells, 60 s', ms(median(() => roast(30, 60), 20)), `${off(30, 60)} K`],
		[
			'time to a core, slab, its modes found anew',
			us(median(() => new Immersed(slab, { h: 95, tinf: 57 }, 3).timeToCore(55), 2000)),
			''
		],
		[
			'time to a core, cylinder, its modes found anew',
			us(median(() => new Immersed(whole, { h: 95, tinf: 80 }, 3).timeToCore(55), 500)),
			''
		],
		...meals,
		[
			`the slowest question of the Bench: ${slowest.name}`,
			ms(slowest.time),
			`all ${asked.length}: ${ms(asked.reduce((s, q) => s + q.time, 0))}`
		]
	];
	return table(['what', 'takes', ''], rows);
}

/** Rows of what an experienced cook expects that are met, by kind. */
export function benchTruth(): string {
	const rows = readRows(readFileSync('truth/sanity.json', 'utf8'));
	const isMet = (row: (typeof rows)[number]) => {
		const value = valueOf(row);
		return value !== undefined && value >= row.low && value <= row.high;
	};
	const kinds = [...new Set(rows.map((r) => r.kind))];
	const lines = kinds.map((kind) => {
		const those = rows.filter((r) => r.kind === kind);
		return [kind, String(those.filter(isMet).length), String(those.length)];
	});
	const met = lines.reduce((sum, [, n]) => sum + Number(n), 0);
	return table(['kind', 'met', 'of'], [...lines, ['all', String(met), String(rows.length)]]);
}
