// Nothing nags: whatever happens, a cue is said when it comes and once more at the most.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { demoCases, planDemo } from '../testing/demo-plan';
import { toSay, type Said } from './announce';
import { cuesOf } from './cues';

const plans = demoCases.map((demo) => planDemo(demo, 2000));

test('each cue is said when it comes due, twice at the most, and never once it is done', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(...plans),
			fc.array(fc.tuple(fc.integer({ min: 1, max: 240 }), fc.nat(3)), { minLength: 20, maxLength: 80 }),
			(plan, ticks) => {
				const cues = cuesOf(plan);
				const done = new Set<string>();
				const times = new Map<string, number>();
				let said: Said = new Map();
				let clock = plan.from - 60;
				for (const [seconds, doing] of ticks) {
					const before = clock;
					clock += seconds;
					const due = cues.filter((c) => c.at <= clock && !done.has(c.id));
					const told = toSay(due, clock, said);
					said = told.said;
					for (const cue of told.say) {
						expect(done.has(cue.id)).toBe(false);
						times.set(cue.id, (times.get(cue.id) ?? 0) + 1);
					}
					// What has just come due is said at once.
					for (const cue of due) if (cue.at > before) expect(told.say.map((c) => c.id)).toContain(cue.id);
					for (const cue of due.slice(0, doing)) done.add(cue.id);
				}
				for (const n of times.values()) expect(n).toBeLessThanOrEqual(2);
			}
		),
		{ numRuns: 60 }
	);
});

test('what came due while nobody looked is not read out', () => {
	const [plan] = plans;
	const cues = cuesOf(plan!);
	const { say, said } = toSay(cues, plan!.to + 3600, new Map());
	expect(say).toEqual([]);
	expect(toSay(cues, plan!.to + 7200, said).say).toEqual([]);
});
