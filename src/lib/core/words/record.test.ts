// The record in words: what a cook reads of a lesson, of an evening, of a step.
import { expect, test } from 'vitest';
import { demoKitchens } from '../library/demo';
import type { Lesson } from '../record/lessons';
import type { CookedStep } from '../record/evening';
import {
	plainSay,
	wordCalibration,
	wordEvening,
	wordEvidence,
	wordKey,
	wordLesson,
	wordLessonEffect,
	wordNoLesson,
	wordOffBy,
	wordParameter,
	wordTook,
	wordVerdict
} from './record';

const [kitchen] = demoKitchens as [(typeof demoKitchens)[number]];
const lesson = (more: Partial<Lesson>): Lesson => ({
	id: 'x',
	about: 'pace',
	of: kitchen.cooks[0]?.id ?? '',
	value: 0.8,
	low: 0.74,
	high: 0.87,
	now: 1,
	records: 11,
	evenings: 4,
	isEnough: true,
	mean: Math.log(0.8),
	sd: 0.05,
	isNew: true,
	isHeld: false,
	isTaken: false,
	...more
});
const step = (more: Partial<CookedStep>): CookedStep => ({
	id: 'p/s',
	part: 'p',
	key: 't/s',
	say: 'Sear the duck, 2 of 3',
	kind: 'heat',
	from: 0,
	to: 600,
	model: 600,
	sigma: 0.1,
	p10: 500,
	p50: 600,
	p90: 700,
	...more
});

test('a lesson says of whom or what, and against what', () => {
	expect(wordLesson(lesson({}), kitchen, [])).toMatch(/take 0\.80 of a home cook’s time; plans take 1\.00$/);
	const oven = kitchen.stations.find((s) => s.kind === 'oven');
	const off = lesson({ about: 'oven', of: oven?.id ?? '', value: 11.6, now: 0 });
	expect(wordLesson(off, kitchen, [])).toBe(`${oven?.name} is 12 K hotter than its knob; plans take it as right`);
	expect(wordLesson({ ...off, value: -8, now: 4 }, kitchen, [])).toMatch(/8 K cooler .* 4 K hotter than its knob$/);
	const burner = kitchen.stations.find((s) => s.kind === 'burner');
	expect(wordLesson(lesson({ about: 'burner', of: burner?.id ?? '', value: 1304, now: 1530 }), kitchen, [])).toBe(
		`${burner?.name} gives 1300 W; plans take 1530 W`
	);
	expect(wordLesson(lesson({ about: 'step', of: 'knife dice onion', value: 1.12 }), kitchen, [])).toMatch(
		/^Dice onion takes 12 % longer than the model says; plans take the model alone$/
	);
});

test('the evidence is told, and that there is not enough of it', () => {
	expect(wordEvidence(lesson({}))).toBe('11 records of 4 evenings; eight in ten that it is between 0.74 and 0.87.');
	expect(wordEvidence(lesson({ isEnough: false, records: 1, evenings: 1 }))).toBe(
		'Not enough records: 1 record of 1 evening.'
	);
	expect(wordEvidence(lesson({ about: 'oven', low: -3.2, high: 9.7 }))).toMatch(/between −3 and \+10 K/);
});

test('what it changes', () => {
	const pace = lesson({});
	expect(wordLessonEffect({ steps: 0, seconds: 0 }, pace)).toBe('In the open meal nothing changes.');
	expect(wordLessonEffect({ steps: 14, seconds: -570 }, pace)).toBe(
		'In the open meal 14 steps take 9½ min less in all.'
	);
	const oven = lesson({ about: 'oven', value: 12, now: 0 });
	expect(wordLessonEffect({ steps: 0, seconds: 0 }, oven)).toBe('Times stay: its knob is set 12 K lower.');
	expect(wordLessonEffect({ steps: 1, seconds: 40 }, pace)).toBe('In the open meal one step takes 40 s longer.');
});

test('how an evening ended', () => {
	const courses = [{ id: 'a', name: 'A', due: 0, planned: 0, out: 30 }];
	expect(wordEvening({ id: 'e', courses })).toBe('on time');
	expect(wordEvening({ id: 'e', courses: [...courses, { id: 'b', name: 'B', due: 0, planned: 0, out: 300 }] })).toBe(
		'5 min late'
	);
	expect(wordEvening({ id: 'e', courses: [...courses, { id: 'b', name: 'B', due: 0, planned: 0 }] })).toMatch(
		/not all served/
	);
	expect(wordEvening({ id: 'example-1', courses: [] })).toBe('not served, made up');
});

test('how a step went, and why it teaches nothing', () => {
	expect(plainSay(step({ say: 'Pull at {pull}, 1 of 2' }))).toBe('Pull at');
	expect(wordTook(step({}))).toBe('not told');
	expect(wordTook(step({ ended: 600 }))).toBe('its beginning was not told');
	expect(wordTook(step({ began: 0, ended: 606 }))).toBe('as thought');
	expect(wordTook(step({ began: 0, ended: 900 }))).toBe('5 min more, later than thought');
	expect(wordTook(step({ how: 'left out' }))).toBe('left out');
	expect(wordNoLesson(step({}))).toBe('');
	expect(wordNoLesson(step({ began: 0, ended: 600, byClock: true }))).toMatch(/clock/);
	expect(wordNoLesson(step({ disturbed: true }))).toMatch(/came between/);
});

test('verdicts, predictions, settings', () => {
	expect(wordVerdict({})).toBe('');
	expect(wordVerdict({ done: 1, warm: 0, worth: 4, word: 'crisp' })).toBe('done: over, warmth: right, 4 of 5, “crisp”');
	const c = { kind: 'hands' as const, count: 50, inside: 40, below: 6, above: 4, least: 0.7, most: 0.9 };
	expect(wordCalibration(c)).toMatch(/^Handwork: 80 of 100 of 50 times .* 6 were sooner, 4 later$/);
	const missed = [0.3, 0.2, 0.1].map((median, i) => ({ evening: `${i}`, date: '', median, bias: 0, count: 9 }));
	expect(wordOffBy(missed)).toMatch(/less than 30 % on the first evening, and by less than 10 % on the last/);
	expect(wordKey('wash', [])).toBe('Washing up in between');
	expect(wordKey('plate', [])).toBe('Plating');
	expect(wordKey('gone/step', [])).toBe('gone/step');
	const parameter = { id: 'a', name: 'A', unit: '°C' as const, least: 0, most: 99, usual: 54 };
	expect(wordParameter(parameter, 54)).toBe('54 °C');
	expect(wordParameter({ ...parameter, options: [{ value: 54, say: 'pink' }] }, 54)).toBe('pink, 54 °C');
	expect(wordParameter({ ...parameter, unit: 'choice', options: [{ value: 1, say: 'wet' }] }, 1)).toBe('wet');
});
