// Plates are warm where the food is hot; what waits long, waits in the drawer.
import { describe, expect, test } from 'vitest';
import { cuesOf } from '../../run/cues';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { wordCue } from '../../words/cues';
import { drawerOf, isServedHot, platesWarmIn, wantWarmPlates } from './warmth';

const lanes = new Map([
	['oven', 'oven'],
	['board', 'board'],
	['cold', 'cold']
]);
const step = (kind: 'cook' | 'chill' | 'rest' | 'finish', to: number, lane: string) => ({
	kind,
	from: to - 60,
	to,
	lane
});

describe('served hot', () => {
	test('is what left the heat a while ago, and has not been chilled since', () => {
		expect(isServedHot([step('cook', 1000, 'oven'), step('rest', 1300, 'rest')], lanes, 1500)).toBe(true);
		expect(isServedHot([step('cook', 1000, 'oven'), step('chill', 1300, 'rest')], lanes, 1500)).toBe(false);
		expect(isServedHot([step('cook', 1000, 'oven'), step('rest', 1300, 'cold')], lanes, 1500)).toBe(false);
		expect(isServedHot([step('cook', 1000, 'oven')], lanes, 1000 + 46 * 60)).toBe(false);
		expect(isServedHot([step('finish', 1000, 'board')], lanes, 1000)).toBe(false);
	});
});

const waiting = (id: string, kind: 'side' | 'protein' | 'sauce', wait: number, isHot = true) => ({
	id,
	course: 'mains',
	kind,
	isHot,
	wait
});

test('a sauce or a cold side alone wants no warm plates', () => {
	expect(wantWarmPlates([waiting('a', 'sauce', 0), waiting('b', 'side', 0, false)]).size).toBe(0);
	expect([...wantWarmPlates([waiting('a', 'protein', 0)])]).toEqual(['mains']);
});

test('the drawer takes what waits longest, one to a place, and no meat', () => {
	const [bistro] = demoCases.map((c) => c.kitchen).filter((k) => k.stations.some((s) => s.kind === 'warm'));
	expect(bistro).toBeDefined();
	const places = bistro?.stations.find((s) => s.kind === 'warm');
	const many = Array.from({ length: 9 }, (_, i) => waiting(`p${i}`, 'side', 600 + 60 * i));
	const drawer = drawerOf(bistro!, [...many, waiting('meat', 'protein', 9000), waiting('short', 'side', 60)]);
	const expected = places?.kind === 'warm' ? places.places : NaN;
	expect(drawer?.parts.size).toBe(expected);
	expect(drawer?.parts.has('p8')).toBe(true);
	expect(['meat', 'short'].filter((id) => drawer?.parts.has(id))).toEqual([]);
	expect(drawerOf({ ...bistro!, stations: [] }, many)).toBeUndefined();
});

describe.each(demoCases.map((c) => [c.meal.name, c] as const))('%s', (_, demo) => {
	const plan = planDemo(demo, 3000);

	test('a hot course has its plates put to warm in time, once, and a cold one has not', () => {
		for (const service of plan.services) {
			const cue = cuesOf(plan).filter((c) => c.id === `${service.course}#warm`);
			expect(cue.length).toBe(service.warm === undefined ? 0 : 1);
			if (service.warm === undefined) continue;
			expect(service.warm).toBe(Math.max(plan.from, service.plating - platesWarmIn));
			const words = wordCue(cue[0]!, plan);
			expect(words.say).toBe(`${demo.meal.covers} plates to warm`);
			const drawer = demo.kitchen.stations.find((s) => s.kind === 'warm');
			if (drawer) expect(words.where).toBe(drawer.name);
			else expect(words.where).toBe('The oven as it cools, or hot water');
		}
	});

	test('only what waits, waits in the drawer', () => {
		const drawer = demo.kitchen.stations.find((s) => s.kind === 'warm')?.name;
		const kept = plan.parts.filter((x) => x.drawer !== undefined);
		expect(kept.every((p) => p.drawer === drawer && p.wait >= 180)).toBe(true);
		if (drawer === undefined) expect(kept).toEqual([]);
	});
});

test('plates of the mains are warmed, those of a cold salad are not', () => {
	const warmed = [demoCases[0]!, demoCases[2]!].map((c) => planDemo(c, 3000).services.map((s) => s.warm !== undefined));
	expect(warmed).toEqual([
		[false, true],
		[false, true]
	]);
});
