// Words: every quantity in the cook's units, every fact a sentence, and a text without quantities untouched.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { withBase, withFinishing, withVesselFound } from '../model/edit-meal';
import { traysOf } from '../plan/compile/trays';
import { everything, mealOf } from '../testing/library-meal';
import { demoCases, planDemo } from '../testing/demo-plan';
import { runOf, runUntil } from '../testing/some-run';
import { instantAt } from '../run/events';
import { measures } from '../units/amount';
import { viewRun } from '../run/view';
import { wordBreach, wordConflict } from './advice';
import { mostWorded, wordIssue, wordIssues, wordPath } from './issues';
import { inUnits } from './quantities';
import { wordNotFor } from './guests';
import { speakCue, speakMoved, speakPlan } from './speak';
import { wordCautions } from './steps';
import { wordTies } from './ties';

describe('quantities in a text', () => {
	test.each([
		['Pull at 52 °C', 'Pull at 126 °F'],
		['oven 180 °C, fan', 'oven 355 °F, fan'],
		['56.5 °C in the middle', '134 °F in the middle'],
		['140 to 150 °C', '285 to 300 °F'],
		['From 57 to 21 °C in two hours', 'From 135 to 70 °F in two hours'],
		['−18 °C', '0 °F'],
		['it climbs 5 K at rest', 'it climbs 9 °F at rest'],
		['± 1.5 K in the climb', '± 2.7 °F in the climb'],
		['120 g of flour', '4¼ oz of flour'],
		['1.2 kg', '2 lb 10 oz'],
		['200 ml of stock', '¾ cup of stock'],
		['4.0 l from 12 °C', '4.2 qt from 54 °F'],
		['Wide pan, 28 cm', 'Wide pan, 11 in'],
		['Tray, 40 × 30 cm', 'Tray, 15¾ × 11¾ in'],
		['30 mm of lean meat', '1⅛ in of lean meat'],
		['Eggs into cold water, 2 cm over them', 'Eggs into cold water, ¾ in over them']
	])('%s → %s', (metric, us) => {
		expect(inUnits(metric, 'us')).toBe(us);
		expect(inUnits(metric, 'metric')).toBe(metric);
	});

	test.each([
		'8 g a minute and dm²',
		'600 W/(m² K)',
		'for 4 guests',
		'18:42',
		'12 min',
		'seat 4 gets it',
		'3 kg/m²',
		'v2.5 km',
		'100 % mm²'
	])('%s has nothing of the kind', (text) => {
		// A rate of mass is a mass all the same; what is over an area, or another unit, is left alone.
		if (!text.startsWith('8 g')) expect(inUnits(text, 'us')).toBe(text);
		expect(inUnits(text, 'metric')).toBe(text);
	});

	test('what has been said in other units has none of the old ones left, and is not changed again', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.5, max: 900, noNaN: true }),
				fc.constantFrom('°C', 'g', 'kg', 'ml', 'l', 'mm', 'cm'),
				fc.constantFrom('us', 'spoons'),
				(value, unit, measure) => {
					const said = inUnits(`about ${Number(value.toFixed(1))} ${unit} of it`, measure);
					if (unit !== 'g' || value > 2) expect(said).not.toMatch(new RegExp(`\\d ${unit} of`));
					expect(inUnits(said, measure)).toBe(said);
				}
			),
			{ numRuns: 200, seed: 1 }
		);
	});

	test('whatever a technique says is said in the cook’s units too', () => {
		for (const t of library.values()) {
			const texts = t.steps.flatMap((s) => [s.say, s.sign ?? '', s.heat ?? '', ...(s.cautions ?? [])]);
			for (const text of texts) expect(inUnits(text, 'us')).not.toMatch(/\d ?(°C|ml|mm|cm|kg)\b/);
		}
	});
});

describe('a plan that is spoken', () => {
	test.each(demoCases.map((c) => [c.meal.name, planDemo(c, 2000)] as const))(
		'%s: no fact is left without words',
		(_, plan) => {
			for (const measure of ['metric', 'us', 'spoons'] as const) {
				const spoken = speakPlan(plan, measure);
				const text = JSON.stringify(spoken);
				expect(text).not.toMatch(/\{pull\}|NaN|undefined|\[object/);
				for (const s of spoken.steps) {
					expect(s.heldBy).toMatch(/\.$/);
					const own = [
						s.say,
						s.sign ?? '',
						s.heat,
						s.vessel ?? '',
						s.heldBy,
						s.reason?.from ?? '',
						...s.cautions,
						...s.hands.map((h) => h.say)
					];
					if (measure !== 'metric') expect(own.join(' ')).not.toMatch(/\d ?(°C|ml|mm|cm)\b/);
				}
				for (const t of spoken.tight) expect(t.say).toMatch(/^tight: \d+ things in/);
			}
		}
	);

	test('figures, times and places are the plan’s own, in any units', () => {
		for (const c of demoCases) {
			const plan = planDemo(c, 2000);
			const spoken = speakPlan(plan, 'us');
			expect(spoken.steps.map((s) => [s.id, s.from, s.to, s.lane, s.setting, s.pull])).toEqual(
				plan.steps.map((s) => [s.id, s.from, s.to, s.lane, s.setting, s.pull])
			);
		}
	});

	test('every cue says what to do, and where', () => {
		for (const c of demoCases) {
			const plan = planDemo(c, 2000);
			const run = runUntil(runOf(plan), (plan.from + plan.to) / 2);
			const { now, next } = viewRun(run, instantAt(run, (plan.from + plan.to) / 2));
			for (const cue of [...now, ...next]) {
				const { say, where, cautions } = speakCue(cue, plan, 'us');
				expect(say.length, cue.id).toBeGreaterThan(3);
				expect(`${say} ${where} ${cautions.join(' ')}`).not.toMatch(/\{|undefined|°C/);
				if (cue.kind === 'serve') expect(where).toBe('the pass');
			}
		}
	});
});

test('a caution that an author and the figures both call for is said once', () => {
	const care = { kind: 'below-advised', peak: 52, advised: 63 } as const;
	const [said = ''] = wordCautions({ cautions: [], care: [care] });
	expect(wordCautions({ cautions: [said], care: [care, care] })).toEqual([said]);
});

describe('issues', () => {
	test('the first ones in words, and how many more', () => {
		const many = Array.from(
			{ length: 400 },
			(_, i) => ({ code: 'shape', path: ['lags', i], detail: 'must be there' }) as const
		);
		const text = wordIssues(many);
		expect(text.match(/must be there/g)).toHaveLength(mostWorded);
		expect(text).toMatch(/And 380 more\.$/);
		expect(wordIssues(many.slice(0, 2))).not.toContain('more');
		expect(wordPath(['parts', 2, 'settings', 'thickness'])).toBe('parts[2].settings.thickness');
	});

	test.each([
		[
			{ kind: 'station', station: 'oven', settings: [170, 200], racks: 2 } as const,
			/an oven of at least 2 racks for 170 to 200 °C/
		],
		[{ kind: 'station', station: 'burner', leastPower: 1500 } as const, /a burner of at least 1500 W/],
		[{ kind: 'station', station: 'water bath' } as const, /a water bath/],
		[{ kind: 'cook', duty: 'frying' } as const, /somebody who does frying work/]
	])('what a step lacks: %j', (need, words) => {
		expect(wordIssue({ code: 'missing-station', path: [], part: 'P', step: 'S', need })).toMatch(words);
	});

	test('what never comes to its temperature says what was put in', () => {
		const facts = { kind: 'temper', thickness: 0.03, start: 5, room: 20, core: 30 };
		const issue = { code: 'never-done', path: [], part: 'P', step: 'S', facts } as const;
		expect(wordIssue(issue)).toMatch(/30 mm from 5 °C in a room at 20 °C/);
		expect(wordIssue({ ...issue, facts: 'nonsense' })).toMatch(/it takes for ever/);
	});
});

describe('advice', () => {
	test('a conflict names what cannot be done and what is short, no more than can be read', () => {
		const steps = Array.from({ length: 8 }, (_, i) => ({ say: `Step ${i}`, part: 'P' }));
		const [first] = wordConflict({ steps, shared: [{ kind: 'hands', pairs: 1 }], courses: [] });
		expect(first).toMatch(/and 3 more cannot all be done in time with one pair of hands\./);
		expect(wordConflict({ steps: [], shared: [], courses: ['Supper'] })[0]).toBe(
			'These parts cannot all be done in time for Supper.'
		);
	});

	test.each([
		[{ kind: 'rest', part: 'Duck', seconds: 240 } as const, 'rest duck only 4 min'],
		[{ kind: 'wait' } as const, 'let several parts wait longer than they should'],
		[{ kind: 'start', by: 1800 } as const, 'begin work 30 min earlier']
	])('%j', (breach, words) => {
		expect(wordBreach(breach)).toBe(words);
	});
});

describe('what a replan moved', () => {
	const plan = planDemo(demoCases[0]!, 3000);
	const shift = (clock: number) => clock + 3600;

	test('is told in order of time, by the wall’s clock and in the cook’s units, three by name', () => {
		fc.assert(
			fc.property(fc.subarray(plan.steps.map((s) => s.id)), fc.constantFrom(...measures), (moved, measure) => {
				const said = speakMoved(moved.toReversed(), plan, measure, shift);
				const names = said === '' ? [] : said.split(' · ');
				expect(names.length).toBe(Math.min(moved.length, 4));
				const clocks = names.slice(0, 3).map((n) => n.slice(-5));
				expect(clocks).toEqual(clocks.toSorted());
				const first = plan.steps.filter((s) => moved.includes(s.id)).map((s) => s.from);
				if (first.length > 0) {
					const at = shift(Math.min(...first));
					expect(clocks[0]).toBe(
						[Math.floor(at / 3600), Math.floor((at % 3600) / 60)].map((n) => String(n).padStart(2, '0')).join(':')
					);
				}
				if (moved.length > 3) expect(names[3]).toBe(`${moved.length - 3} more`);
			})
		);
	});
});

describe('whom it is not for', () => {
	const plan = planDemo(demoCases[0]!, 3000);
	const clash = (part: string, name: string) =>
		({ guest: name, name, part, of: part, why: { kind: 'allergen', allergens: ['milk'] } }) as never;
	const parts = [...new Set(plan.parts.map((p) => p.of ?? p.id))];

	test('at a part it is that part’s and its portions’; at the pass the course’s, each once; elsewhere nobody', () => {
		fc.assert(
			fc.property(fc.subarray(parts), (those) => {
				const told = { ...plan, clashes: those.map((p) => clash(p, 'Ana')) };
				for (const p of plan.parts)
					expect(wordNotFor({ part: p.id, course: undefined }, told)).toEqual(
						those.includes(p.of ?? p.id) ? ['not for Ana: milk'] : []
					);
				for (const { course } of plan.services) {
					const own = those.filter((t) => plan.parts.some((p) => (p.of ?? p.id) === t && p.course === course));
					expect(wordNotFor({ part: undefined, course }, told).toSorted()).toEqual(
						own.map((t) => `${t} not for Ana: milk`).toSorted()
					);
				}
				expect(wordNotFor({ part: undefined, course: undefined }, told)).toEqual([]);
			})
		);
	});
});

test('what a part hangs together with is said: from both sides, and what is amiss', () => {
	const meal = withBase(
		withFinishing(
			mealOf([
				{ technique: 'salmon-pan' },
				{ technique: 'leeks-steam' },
				{ technique: 'vinaigrette' },
				{ technique: 'carrots-roast' },
				{ technique: 'onions-roast', trayOf: 'p3' },
				{ technique: 'pan-sauce' }
			]),
			'p2',
			'p1'
		),
		'p0',
		'p1'
	);
	const trays = traysOf(meal, everything, library);
	const said = (part: number, of = meal) =>
		wordTies(of, of.parts[part]!, trays, library).map((t) => (t.isAmiss ? `! ${t.text}` : t.text));
	const [salmon, leeks, dressing, carrots, onions] = meal.parts.map((p) => p.name);
	expect(said(0)).toEqual([`on top of ${leeks}`]);
	expect(said(1)).toEqual([`finished with ${dressing}`]);
	expect(said(2)).toEqual([`finishes ${leeks}, as its last step`]);
	expect(said(3)).toEqual([`on one tray with ${onions}`]);
	expect(said(4)).toEqual([`on one tray with ${carrots}`]);
	expect(said(5).join()).toMatch(/^! made in the frying pan that another part leaves: add one/);
	const found = withVesselFound(meal, meal.parts[5]!, library);
	expect(said(5, found)).toEqual([`made in the frying pan of ${salmon}, when that has left it`]);
});
