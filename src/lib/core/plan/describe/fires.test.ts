// Live fire in a plan: lit in time, food in an order that its heat allows, fed while it is held, and measured on the way.
import { describe, expect, test } from 'vitest';
import { fires as kinds } from '../../heat/fire';
import { library } from '../../library/library';
import { withGrillHalved } from '../../model/edit-kitchen';
import { readKitchen, type Kitchen } from '../../model/kitchen';
import { cuesOf } from '../../run/cues';
import { withHeats } from '../../run/posts';
import { everything, mealOf, planned } from '../../testing/library-meal';
import { wordCue } from '../../words/cues';
import { wordIssue } from '../../words/issues';
import { compileMeal } from '../compile/compile';
import { fireCautions, firesOf } from './fires';

const charcoal: Kitchen = {
	...everything,
	stations: everything.stations.map((s) => (s.kind === 'grill' ? { ...s, fuel: 'charcoal' as const } : s))
};
const meals = [
	['flatbread-wood-oven', 'steak-wood-oven', 'onions-embers'],
	['steak-wood-oven', 'squash-embers'],
	['steak-grill', 'asparagus-grill', 'chicken-thighs-grill'],
	['salmon-grill', 'broccoli-grill'],
	['onions-embers', 'chicken-thighs-grill']
];
const betweenOf = (technique: string) =>
	library
		.get(technique)!
		.steps.flatMap((s) => (s.need && 'between' in s.need && s.need.between ? [s.need.between] : []))[0]!;

describe.each(meals.map((m) => [m.join(', '), m] as const))('%s', (_, techniques) => {
	const plan = planned(mealOf(techniques.map((technique) => ({ technique }))), charcoal);
	const onFire = plan.steps.filter((s) => plan.fires?.some((f) => f.lane === s.lane));

	test('it is on time, each in a heat in which it works', () => {
		expect(plan.services[0]!.at).toBe(plan.services[0]!.due);
		expect(onFire.length).toBeGreaterThan(0);
		for (const s of onFire) {
			const [low, high] = betweenOf(techniques[Number(s.part.slice(1))]!);
			expect(s.setting).toBeGreaterThanOrEqual(low);
			expect(s.setting).toBeLessThanOrEqual(high);
		}
	});
	test('from one heat to the next there is time to fall, or to build it up; before the first to light it', () => {
		for (const fire of plan.fires ?? []) {
			const own = onFire.filter((s) => s.lane === fire.lane).toSorted((a, b) => a.from - b.from);
			expect(own[0]!.from - fire.lit).toBeGreaterThan(kinds[fire.fuel].lighting * 0.5);
			own.slice(1).forEach((s, i) => {
				const before = own[i]!;
				const fall = (before.setting ?? 0) - (s.setting ?? 0);
				if (fall > 0) expect(s.from - before.to).toBeGreaterThanOrEqual(0.9 * kinds[fire.fuel].fall * fall - 60);
				if (fall === 0) return;
				expect(s.from).toBeGreaterThanOrEqual(before.to);
			});
		}
	});
	test('its fuel is the lighting and every feed; a cue for each, in words', () => {
		const cues = cuesOf(plan);
		for (const fire of plan.fires ?? []) {
			const all = [...fire.feed, ...fire.built].reduce((sum, f) => sum + f.kilograms, fire.toLight);
			expect(fire.kilograms).toBeCloseTo(all, 6);
			const feeds = cues.filter((c) => c.kind === 'feed' && c.lane === fire.lane);
			expect(feeds).toHaveLength(fire.feed.length);
			for (const c of feeds) expect(wordCue(c, plan).say).toMatch(/^Feed the .*: \d+(\.\d)? kg of (charcoal|wood)$/);
		}
		const [light] = cues.filter(
			(c) => c.kind === 'oven' && plan.steps.some((s) => s.id === c.step && onFire.includes(s))
		);
		const words = wordCue(light!, plan);
		expect(words.say).toMatch(/^Light .*with \d+(\.\d)? kg of (charcoal|wood)$/);
		expect(words.cautions.join(' ')).toMatch(/carbon monoxide/i);
	});
	test('whoever comes to it first is told of gloves and of carbon monoxide, once a fire', () => {
		const told = plan.steps.filter((s) => s.cautions.includes(fireCautions[1]));
		expect(told).toHaveLength(plan.fires?.length ?? 0);
	});
});

test('gas is no live fire: it has no fuel and does not fall', () => {
	const plan = planned(mealOf([{ technique: 'steak-grill' }]), everything);
	expect(plan.fires).toBeUndefined();
});

test('gas is turned, not lit again: steaks and gentle thighs on one grill', () => {
	const plan = planned(mealOf([{ technique: 'steak-grill' }, { technique: 'chicken-thighs-grill' }]), everything);
	const says = cuesOf(plan)
		.filter((c) => c.kind === 'oven' && plan.steps.some((s) => s.id === c.step && s.lane === 'grill'))
		.map((c) => wordCue(c, plan).say);
	expect(says[0]).toMatch(/^Light the grill: to /);
	expect(says).toHaveLength(2);
	expect(says[1]).toMatch(/^Turn the grill (up|down) to \d+ °C$/);
});

test('a fire that shall be hotter than before is built up, its fuel counted; one that shall be cooler is not', () => {
	const heated = (celsius: readonly number[]) =>
		firesOf(charcoal, [
			{
				lane: 'grill',
				lit: 0,
				firings: celsius.map((c, i) => ({ from: 2400 + 900 * i, to: 3000 + 900 * i, celsius: c }))
			}
		])[0]!;
	const up = heated([180, 280]);
	expect(up.built).toEqual([{ at: 3300, kilograms: expect.closeTo(heated([280]).toLight - up.toLight, 6) as number }]);
	expect(up.kilograms).toBeCloseTo(heated([280]).toLight, 6);
	const down = heated([280, 180]);
	expect(down.built).toEqual([]);
	expect(down.kilograms).toBe(down.toLight);
});

describe('half hot, half gentle', () => {
	const halved = withGrillHalved(everything, 'grill');
	test('two grills of one, together as many places; the gentle one is gentle', () => {
		expect(readKitchen(halved).ok).toBe(true);
		const grills = halved.stations.filter((s) => s.kind === 'grill');
		expect(grills.map((g) => g.places)).toEqual([1, 1]);
		expect(grills.map((g) => g.temperature ?? 280)).toEqual([280, 170]);
		expect(withGrillHalved(halved, 'grill')).toBe(halved);
	});
	test('a gas grill of one heat is turned down for what is gentle', () => {
		const plan = planned(mealOf([{ technique: 'chicken-thighs-grill' }]), everything);
		expect(plan.steps.find((s) => s.id === 'p0/roast')!.setting).toBeLessThanOrEqual(210);
	});
	test('thighs on the gentle half while steaks are on the hot one', () => {
		const plan = planned(mealOf([{ technique: 'steak-grill' }, { technique: 'chicken-thighs-grill' }]), halved);
		const lane = (id: string) => plan.steps.find((s) => s.id === id)!.lane;
		expect(lane('p0/fry')).toBe('grill');
		expect(lane('p1/roast')).toBe('grill-gentle');
	});
	test('a grill that never gets so hot says what is lacking', () => {
		const read = compileMeal(
			mealOf([{ technique: 'chicken-thighs-grill' }]),
			withHeats(everything, new Map([['grill', 110]])),
			library
		);
		expect(read.ok ? '' : read.issues.map(wordIssue).join(' ')).toMatch(/needs a grill of 140 to 210 °C/);
	});
});

test('a fire that is cooler than planned takes longer, a hotter one less long', () => {
	const lasts = [240, 280, 320].map((celsius) => {
		const measured = withHeats(charcoal, new Map([['grill', celsius]]));
		const plan = planned(mealOf([{ technique: 'asparagus-grill' }]), measured);
		const step = plan.steps.find((s) => s.id === 'p0/grill')!;
		expect(step.setting).toBeLessThanOrEqual(celsius);
		return step.to - step.from;
	});
	expect(lasts).toEqual(lasts.toSorted((a, b) => b - a));
	expect(lasts[0]).toBeGreaterThan(lasts[2]!);
});

describe('quarter turns', () => {
	test.each(['steak-grill', 'steak-griddle', 'steak-grill-pan'])(
		'%s: a quarter on each face, turned once',
		(technique) => {
			const says = (turns: number) =>
				planned(mealOf([{ technique, settings: { turns } }]), everything)
					.steps.find((s) => s.id === 'p0/fry')!
					.hands.map((h) => h.say);
			const crossed = says(1);
			expect(crossed.filter((s) => s.includes('quarter turn'))).toHaveLength(2);
			expect(crossed.filter((s) => s === 'Turn the steaks')).toHaveLength(1);
			expect(says(0).some((s) => s.includes('quarter turn'))).toBe(false);
			expect(says(0).filter((s) => s === 'Turn the steaks')).toHaveLength(1);
		}
	);
	test('marks cost no time: as once', () => {
		const length = (turns: number) => {
			const plan = planned(mealOf([{ technique: 'steak-grill-pan', settings: { turns } }]), everything);
			const s = plan.steps.find((x) => x.id === 'p0/fry')!;
			return s.to - s.from;
		};
		expect(length(1)).toBe(length(0));
	});
	test.each(['steak-pan', 'steak-basted', 'steak-griddle', 'steak-grill-pan', 'pork-chop-pan'])(
		'%s: the heat is turned down on the way, by a cue',
		(technique) => {
			const plan = planned(mealOf([{ technique }]), everything);
			const cues = cuesOf(plan).map((c) => wordCue(c, plan).say);
			expect(cues.some((s) => s.includes('down to medium'))).toBe(true);
		}
	);
});
