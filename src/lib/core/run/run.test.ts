// The live run: whatever the cook does, every cue is in one place; the log is the same run in whatever order it comes.
import { platingsOf } from '../model/plan';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoCases, planDemo } from '../testing/demo-plan';
import { library } from '../library/library';
import { planMealNow } from '../plan/plan-meal';
import { mealOf, planned } from '../testing/library-meal';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import { cuesOf } from './cues';
import { active, beginRun, instantAt, merged, originOf, readRun, undoable, type Run, type RunEvent } from './events';
import { factsOf } from './facts';
import { forecastOf } from './forecast';
import { standingOf, viewRun } from './view';

const plans = demoCases.map((c) => planDemo(c, 3000));
const anyPlan = fc.constantFrom(...plans);
const [supper, brunch] = plans as [(typeof plans)[number], (typeof plans)[number]];
const today = { date: '2026-06-12', zone: 'Europe/Lisbon' };

test('cues come in order, each with its own name, none after the last service', () => {
	for (const plan of plans) {
		const cues = cuesOf(plan);
		expect(new Set(cues.map((c) => c.id)).size).toBe(cues.length);
		expect(cues.map((c) => c.at)).toEqual(cues.map((c) => c.at).toSorted((a, b) => a - b));
		expect(cues.at(-1)).toMatchObject({ kind: 'serve', at: plan.to });
		for (const step of plan.steps) expect(cues.some((c) => c.step === step.id || step.hands.length === 0)).toBe(true);
	}
});

test('the oven is lit as long before as it takes', () => {
	const oven = cuesOf(supper).find((c) => c.kind === 'oven');
	const first = supper.steps.find((s) => s.setting !== undefined);
	expect((first?.from ?? 0) - (oven?.at ?? 0)).toBe(((first?.setting ?? 0) - 20) * 4);
});

test('plating is for whoever the plan has plating, and not always for the first cook', () => {
	for (const plan of plans) {
		for (const s of plan.services.filter((x) => x.plating < x.at)) {
			const cues = cuesOf(plan).filter((c) => c.kind === 'plate' && c.course === s.course);
			const stretches = platingsOf(plan, s);
			expect(cues[0]?.cook).toBe(s.cook);
			expect(cues.map((c) => [c.at, c.until, c.cook])).toEqual(
				stretches.flatMap((p) => p.cooks.map((cook) => [p.from, p.to, cook]))
			);
			// Between two stretches something else may be done, and nothing during one.
			for (const { from, to, cooks } of stretches) {
				const meanwhile = plan.steps.flatMap((x) => x.hands).filter((h) => cooks.includes(h.cook));
				expect(meanwhile.filter((h) => h.from < to && h.to > from)).toEqual([]);
			}
			// All plates go out, and the first of them when the course is due.
			const out = stretches.filter((p) => p.goesOut);
			expect(out[0]?.to).toBe(s.at);
			expect(cuesOf(plan).filter((c) => c.kind === 'serve' && c.course === s.course)).toHaveLength(out.length);
		}
	}
});

/** Things that a cook might do, at share of the evening. */
const acts = fc.array(fc.tuple(fc.nat(), fc.constantFrom('done', 'late', 'undo'), fc.nat({ max: 100 })), {
	maxLength: 15
});

function enact(plan: Run['plan'], list: readonly (readonly [number, string, number])[], upTo: number): Run {
	let run = runOf(plan);
	for (const [n, what, share] of list) {
		const clock = plan.from + ((plan.to - plan.from) * Math.min(upTo, share)) / 100;
		const at = instantAt(run, clock);
		const { now } = viewRun(run, at);
		const cue = now[n % Math.max(1, now.length)];
		const last = undoable(run.events);
		if (what === 'done' && cue) run = withEvent(run, { kind: 'done', cue: cue.id }, at);
		if (what === 'late')
			run = withEvent(run, { kind: 'late', step: plan.steps[n % plan.steps.length]!.id, seconds: 60 }, at);
		if (what === 'undo' && last) run = withEvent(run, { kind: 'undo', event: last.id }, at);
	}
	return run;
}

test('every cue is now, next, done, or of what needs no telling any more; what was done takes place once', () => {
	fc.assert(
		fc.property(anyPlan, acts, fc.nat({ max: 100 }), (plan, list, share) => {
			const run = enact(plan, list, share);
			const at = instantAt(run, plan.from + ((plan.to - plan.from) * share) / 100);
			const view = viewRun(run, at);
			const done = [...factsOf(run).done.keys()];
			// What has begun needs no beginning, and no oven for it; what is over asks for nothing but handwork's own cue.
			const needless = cuesOf(view.plan).filter(({ id, step: of, kind }) => {
				const b = view.begun.get(of ?? '');
				const isWork = view.plan.steps.find((s) => s.id === of)?.hands.some((h) => h.whole) === true;
				if (!b || done.includes(id) || (isWork && kind !== 'oven')) return false;
				return b.hasEnded || kind === 'start' || kind === 'oven';
			});
			const shown = [...view.now, ...view.next].map((c) => c.id);
			const all = cuesOf(view.plan).map((c) => c.id);
			expect([...shown, ...needless.map((c) => c.id), ...done].toSorted()).toEqual(all.toSorted());
			expect(readRun(JSON.parse(JSON.stringify(run)), today)).toEqual({ ok: true, value: run });
		}),
		{ numRuns: 80, seed: 37 }
	);
});

test('two devices with the same events see the same run, in whatever order they came', () => {
	fc.assert(
		fc.property(anyPlan, acts, acts, fc.nat(), (plan, mine, theirs, seed) => {
			const a = enact(plan, mine, 100).events;
			const b = enact(plan, theirs, 100).events.map((e): RunEvent => ({ ...e, id: `other ${e.id}` }));
			const shuffled = [...b, ...a].toSorted((x, y) => ((x.at + seed) % 7) - ((y.at + seed) % 7));
			const [one, two] = [merged(a, b), merged(merged([], shuffled), a)];
			expect(two).toEqual(one);
			const at = instantAt(runOf(plan), plan.to);
			expect(viewRun({ ...runOf(plan), events: shuffled }, at)).toEqual(
				viewRun({ ...runOf(plan), events: [...one] }, at)
			);
		}),
		{ numRuns: 40, seed: 43 }
	);
});

test('undo takes back the newest thing, and undoing that brings it back', () => {
	fc.assert(
		fc.property(anyPlan, acts, (plan, list) => {
			const run = enact(plan, list, 100);
			const last = undoable(run.events);
			fc.pre(last !== undefined);
			const at = instantAt(run, plan.to);
			const undone = withEvent(run, { kind: 'undo', event: last.id }, at);
			expect(active(undone.events).map((e) => e.id)).toEqual(
				active(run.events)
					.map((e) => e.id)
					.filter((id) => id !== last.id)
			);
			const back = withEvent(undone, { kind: 'undo', event: undone.events.at(-1)!.id }, at + 1);
			expect(active(back.events)).toEqual(active(run.events));
		}),
		{ numRuns: 40, seed: 47 }
	);
});

test('a cue that two devices did is done once, at the first of the two times', () => {
	const cue = cuesOf(brunch)[0]!;
	const at = instantAt(runOf(brunch), cue.at);
	const twice = withEvent(
		withEvent(runOf(brunch), { kind: 'done', cue: cue.id }, at + 9000, 'b'),
		{ kind: 'done', cue: cue.id },
		at,
		'a'
	);
	const facts = factsOf(twice);
	expect([...facts.done]).toEqual([[cue.id, cue.at]]);
	expect(viewRun(twice, at + 10_000).done).toBe(1);
});

test('a replan that was made because of what is undone goes with it', () => {
	const run = withEvent(
		runOf(supper),
		{ kind: 'late', step: supper.steps[0]!.id, seconds: 300 },
		instantAt(runOf(supper), supper.from)
	);
	const reason = run.events[0]!.id;
	const replanned = withEvent(
		run,
		{ kind: 'replan', plan: brunch, moved: ['x'], because: [reason] },
		instantAt(run, supper.from + 1)
	);
	expect(factsOf(replanned)).toMatchObject({ plan: brunch, moved: ['x'], late: [] });
	expect(undoable(replanned.events)?.id).toBe(reason);
	const undone = withEvent(replanned, { kind: 'undo', event: reason }, instantAt(run, supper.from + 2));
	expect(factsOf(undone)).toMatchObject({ plan: supper, moved: [], late: [] });
});

test('undos that name each other, themselves or nothing change nothing and end', () => {
	const run = runOf(brunch);
	const undo = (id: string, event: string): RunEvent => ({ kind: 'undo', id, event, at: 5, by: 'x' });
	const cue = cuesOf(brunch)[0]!.id;
	const done: RunEvent = { kind: 'done', cue, id: 'd', at: 1, by: 'x' };
	expect(active([done, undo('a', 'b'), undo('b', 'a'), undo('c', 'c'), undo('e', 'nobody')])).toEqual([done]);
	expect(active([done, undo('a', 'd'), undo('b', 'a'), undo('c', 'b')])).toEqual([]);
	expect(run.events).toEqual([]);
});

test('a step that takes longer pushes what waits for it, and nothing comes before what it waits for', () => {
	fc.assert(
		fc.property(anyPlan, fc.nat(), fc.integer({ min: 1, max: 20 }), (plan, which, minutes) => {
			const step = plan.steps[which % plan.steps.length]!;
			const at = instantAt(runOf(plan), plan.from - 60);
			const run = withEvent(runOf(plan), { kind: 'late', step: step.id, seconds: minutes * 60 }, at);
			const { plan: later } = viewRun(run, at);
			const byId = new Map(later.steps.map((s) => [s.id, s]));
			const own = byId.get(step.id)!;
			expect(own.to - own.from).toBeGreaterThanOrEqual(step.to - step.from + minutes * 60);
			for (const s of later.steps) {
				const planned = plan.steps.find((x) => x.id === s.id)!;
				expect(s.from).toBeGreaterThanOrEqual(planned.from);
				for (const id of s.after) {
					const overlap = Math.min(0, planned.from - plan.steps.find((x) => x.id === id)!.to);
					expect(s.from).toBeGreaterThanOrEqual(byId.get(id)!.to + overlap);
				}
			}
			// Nobody has two whole steps at once, nor is a burner taken twice.
			for (const a of later.steps)
				for (const b of later.steps) {
					if (a.id >= b.id || a.from >= b.to || b.from >= a.to) continue;
					const [p, q] = [a, b].map((x) => plan.steps.find((y) => y.id === x.id)!);
					const wereTogether = p!.from < q!.to && q!.from < p!.to;
					const isSingle = plan.lanes.find((l) => l.id === a.lane)?.kind === 'burner' && a.lane === b.lane;
					if (isSingle) expect(wereTogether, `${a.id} and ${b.id}`).toBe(true);
				}
			later.services.forEach((s, i) => {
				expect(s.at).toBeGreaterThanOrEqual(plan.services[i]!.at);
			});
		}),
		{ numRuns: 80, seed: 41 }
	);
});

test('where life goes by the plan, the forecast is the plan, at any time', () => {
	fc.assert(
		fc.property(anyPlan, fc.nat({ max: 110 }), (plan, share) => {
			const clock = Math.round(plan.from + ((plan.to - plan.from) * share) / 100);
			const run = runUntil(runOf(plan), clock);
			const forecast = forecastOf(factsOf(run), clock);
			for (const s of forecast.plan.steps) {
				const planned = plan.steps.find((x) => x.id === s.id)!;
				expect([s.id, s.from]).toEqual([s.id, planned.from]);
			}
			for (const b of forecast.begun.values()) expect(b.from).toBeLessThanOrEqual(clock);
			for (const s of plan.steps) if (s.to <= clock) expect(forecast.begun.get(s.id)?.hasEnded, s.id).toBe(true);
		}),
		{ numRuns: 60, seed: 53 }
	);
});

test('what was done late ends later: the time of the tap is the time at which it was done', () => {
	const roast = supper.steps.find((s) => s.hands.some((h) => h.from <= s.from && !h.whole) && s.to - s.from > 900)!;
	let run = runUntil(runOf(supper), roast.from - 1);
	const late = roast.from + 420;
	for (const cue of viewRun(run, instantAt(run, late)).now.filter((c) => c.step !== roast.id && c.at < late))
		run = withEvent(run, { kind: 'done', cue: cue.id }, instantAt(run, cue.at));
	run = withEvent(run, { kind: 'done', cue: `${roast.id}#start` }, instantAt(run, late));
	const { plan } = viewRun(run, instantAt(run, late + 1));
	const now = plan.steps.find((s) => s.id === roast.id)!;
	expect(now.from).toBe(late);
	expect(now.to - now.from).toBe(roast.to - roast.from);
});

test('handwork that is due is under way, one piece a cook, and a replan keeps it', () => {
	const piece = supper.steps.find((s) => s.kind === 'prep' && s.hands[0]?.whole)!;
	const middle = Math.round((piece.from + piece.to) / 2);
	// What was in hand before it is done as it begins.
	const run = runUntil(runOf(supper), piece.from);
	const standing = standingOf(run, instantAt(run, middle));
	expect(standing.begun.find((b) => b.step === piece.id)).toMatchObject({ from: piece.from, to: piece.to });
	const forgotten = standingOf(run, instantAt(run, piece.to + 600));
	const underWay = forgotten.begun.filter((b) => b.to > piece.to + 590);
	const cooks = underWay.map((b) => supper.steps.find((s) => s.id === b.step)?.hands.find((h) => h.whole)?.cook);
	const taken = cooks.filter((c) => c !== undefined);
	expect(new Set(taken).size).toBe(taken.length);
});

test('before anything is done, and as long as life goes by the plan, no course is late', () => {
	for (const plan of plans) {
		for (const share of [0, 20, 50, 80]) {
			const clock = Math.round(plan.from + ((plan.to - plan.from) * share) / 100) - (share === 0 ? 60 : 0);
			const run = share === 0 ? runOf(plan) : runUntil(runOf(plan), clock);
			const { services } = viewRun(run, instantAt(run, clock)).plan;
			expect(services.map((s) => s.at)).toEqual(plan.services.map((s) => s.at));
		}
	}
});

test('a run that is cooked through by its cues is over', () => {
	let run = runOf(brunch);
	for (const cue of cuesOf(brunch)) run = withEvent(run, { kind: 'done', cue: cue.id }, instantAt(run, cue.at));
	expect(viewRun(run, instantAt(run, brunch.to))).toMatchObject({ isOver: true, now: [], next: [], on: [] });
});

describe('the day of the service', () => {
	test.each([
		['an ordinary evening', '2026-06-12', 'Europe/Lisbon'],
		['the night of the change to winter time', '2026-10-25', 'Europe/Berlin'],
		['the night of the change to summer time', '2026-03-29', 'Europe/Berlin'],
		['the other side of the earth', '2026-12-31', 'Pacific/Auckland'],
		['a zone of half hours', '2026-01-01', 'Asia/Kolkata']
	])('%s: service is at its clock time there, and steps as long before as planned', (_, date, zone) => {
		const run = runOf(supper, { date, zone });
		const [first] = supper.services;
		const at = instantAt(run, first!.due);
		const shown = new Intl.DateTimeFormat('en-GB', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' }).format(
			at
		);
		const clock = `${String(Math.floor(first!.due / 3600)).padStart(2, '0')}:${String((first!.due % 3600) / 60).padStart(2, '0')}`;
		expect(shown).toContain(clock);
		expect(shown).toContain(date.slice(8));
		expect(at - instantAt(run, supper.from)).toBe((first!.due - supper.from) * 1000);
		expect(viewRun(run, at).clock).toBe(first!.due);
	});

	test('a run over midnight goes on, and after an hour of sleep what came due is asked about in order', () => {
		const late = { ...brunch, services: brunch.services.map((s) => ({ ...s })) };
		const shift = 86_400 + 1800 - brunch.to;
		const plan = JSON.parse(
			JSON.stringify(late, (key, value: unknown) =>
				['from', 'to', 'at', 'due', 'plating', 'warm', 'ready', 'plated'].includes(key) && typeof value === 'number'
					? value + shift
					: value
			)
		) as Run['plan'];
		const run = runUntil(runOf(plan), 86_400 - 600);
		const slept = viewRun(run, instantAt(run, 86_400 + 900));
		expect(slept.clock).toBe(86_400 + 900);
		expect(slept.now.length).toBeGreaterThan(0);
		expect(slept.now.map((c) => c.at)).toEqual(slept.now.map((c) => c.at).toSorted((a, b) => a - b));
		expect(originOf(run)).toBe(originOf(runOf(plan)));
	});
});

describe('what was kept before', () => {
	const old = {
		format: 'juntos-run',
		version: 1,
		id: brunch.meal,
		plan: {
			...brunch,
			version: 1,
			steps: brunch.steps.map(({ mu, sigma, care, facts, heldBy, ...s }) => {
				expect([mu, sigma, care, facts ?? {}, heldBy]).toBeDefined();
				return { ...s, heldBy: 'It fits best here.', reason: { from: 'a', model: 'b', off: 'c' } };
			})
		},
		events: [
			{ kind: 'done', cue: cuesOf(brunch)[0]!.id, at: brunch.from },
			{ kind: 'stretch', step: brunch.steps[0]!.id, seconds: 120, at: brunch.from + 30 }
		]
	};

	test('a run of version 1, with a plan of sentences, is read with all that was done', () => {
		const read = readRun(old, today);
		if (!read.ok) throw new Error(JSON.stringify(read.issues.slice(0, 3)));
		expect(read.value.events.map((e) => e.kind)).toEqual(['done', 'late']);
		const facts = factsOf(read.value);
		expect([...facts.done.values()]).toEqual([brunch.from]);
		expect(facts.plan.steps[0]?.heldBy).toEqual({ kind: 'said', text: 'It fits best here.' });
		expect(viewRun(read.value, instantAt(read.value, brunch.from + 60)).done).toBe(1);
	});

	test('anything else has issues, and never throws', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (data) => {
				expect(readRun(data, today).ok).toBe(false);
			}),
			{ numRuns: 100, seed: 3 }
		);
		const run = beginRun(brunch, { run: 'r', date: '2026-13-45', zone: 'Nowhere/Town', clock: { kind: 'wall' } });
		const read = readRun(run, today);
		expect(read.ok ? [] : read.issues.map((i) => i.path.join('.'))).toContain('zone');
	});
});

describe('looks before the end', () => {
	test.each([...library.values()].map((t) => [t.id, t] as const))(
		'%s: whatever is on for long is looked at, by somebody there or by a cue',
		(id, t) => {
			const plan = planned(
				mealOf([{ technique: id, ...(t.steps.some((s) => s.ahead) ? {} : { ahead: 'evening' as const }) }])
			);
			const cues = cuesOf(plan);
			expect(cues.at(-1)?.kind).toBe('serve');
			for (const s of plan.steps.filter((x) => x.kind === 'cook' && (x.sign !== undefined || x.pull !== undefined))) {
				const length = s.to - s.from;
				const own = cues.filter((c) => c.step === s.id && c.kind === 'look');
				const isThere = s.hands.some((h) => h.whole || (h.to > s.from + 0.6 * length && h.from < s.to - 60));
				expect(own.length, s.say).toBe(isThere || length < 480 ? 0 : 1);
				for (const c of own) {
					expect(c.at, s.say).toBeGreaterThanOrEqual(s.from + length / 2 - 1);
					expect(c.at, s.say).toBeLessThanOrEqual(s.from + 0.8 * length + 1);
				}
			}
		}
	);
});

describe('a look that found it not done', () => {
	const looked = plans.flatMap((plan) =>
		plan.steps.flatMap((step) => {
			const look = cuesOf(plan).find((c) => c.kind === 'look' && c.step === step.id);
			return look ? [{ plan, step, look }] : [];
		})
	);
	const at = (plan: (typeof plans)[number], clock: number) => {
		const run = runUntil(runOf(plan), clock - 1);
		return { run, instant: instantAt(run, clock) };
	};
	test('answers that look, moves the end by what was said, and asks for the next in between', () => {
		expect(looked.length).toBeGreaterThan(2);
		for (const { plan, step, look } of looked) {
			const { run, instant } = at(plan, look.at);
			const before = viewRun(run, instant);
			expect(before.now.map((c) => c.id)).toContain(look.id);
			const ends = (['nearly', 'half way', 'far'] as const).map((how) => {
				const after = viewRun(withEvent(run, { kind: 'notYet', step: step.id, how }, instant), instant);
				expect(after.now.map((c) => c.id)).not.toContain(look.id);
				const ends = after.plan.steps.find((s) => s.id === step.id)!.to;
				const next = after.next.find((c) => c.kind === 'look' && c.step === step.id);
				if (next) {
					expect(next.at).toBeGreaterThanOrEqual(look.at + 29);
					expect(next.at).toBeLessThan(ends);
				}
				return ends;
			});
			expect(ends).toEqual(ends.toSorted((a, b) => a - b));
			expect(ends[2]).toBeGreaterThan(step.to);
		}
	});
	test('is kept by the replan that takes it in, taken back by undo, and ends with the step', () => {
		for (const { plan, step, look } of looked) {
			const { run, instant } = at(plan, look.at);
			const told = withEvent(run, { kind: 'notYet', step: step.id, how: 'half way' }, instant);
			const seen = viewRun(told, instant);
			const taken = withEvent(told, { kind: 'replan', plan: seen.plan, moved: [], because: [] }, instant);
			expect(viewRun(taken, instant).plan.steps.find((s) => s.id === step.id)!.to).toBe(
				seen.plan.steps.find((s) => s.id === step.id)!.to
			);
			const last = told.events.at(-1)!;
			const undone = withEvent(told, { kind: 'undo', event: last.id }, instant);
			expect(viewRun(undone, instant).now.map((c) => c.id)).toContain(look.id);
			// It is done at the next look: no more is asked of it.
			const end = cuesOf(seen.plan).find((c) => c.step === step.id && c.kind === 'end');
			if (!end) continue;
			const over = viewRun(withEvent(told, { kind: 'done', cue: end.id }, instant + 60_000), instant + 61_000);
			expect([...over.now, ...over.next].filter((c) => c.step === step.id)).toEqual([]);
			expect(over.on.some((o) => o.step.id === step.id)).toBe(false);
		}
	});
	test('five times at the most, however it goes', () => {
		for (const { plan, step, look } of looked) {
			let { run, instant } = at(plan, look.at);
			let looks = 0;
			for (;;) {
				run = withEvent(run, { kind: 'notYet', step: step.id, how: 'far' }, instant);
				looks++;
				const next = viewRun(run, instant).next.find((c) => c.kind === 'look' && c.step === step.id);
				if (!next) break;
				instant = instantAt(run, next.at);
			}
			expect(looks).toBeLessThanOrEqual(5);
			expect(looks).toBeGreaterThan(1);
		}
	});
});

test('two tabs, word late and in any order: in the end one run, each cue done once, nothing lost', () => {
	fc.assert(
		fc.property(
			anyPlan,
			fc.array(fc.tuple(fc.boolean(), fc.nat(3), fc.nat(5)), { minLength: 4, maxLength: 24 }),
			(plan, acts) => {
				const logs: Record<'a' | 'b', Run> = { a: runOf(plan), b: runOf(plan) };
				let clock = plan.from;
				for (const [isA, wait, what] of acts) {
					const [own, other] = isA ? (['a', 'b'] as const) : (['b', 'a'] as const);
					clock += 60 * wait;
					const at = instantAt(logs[own], clock);
					const { now: due, next: later } = viewRun(logs[own], at);
					const cue = due[0] ?? later[0];
					// Word from the other tab comes now and then.
					if (what === 0) logs[own] = { ...logs[own], events: [...merged(logs[own].events, logs[other].events)] };
					else if (what === 1) {
						const last = undoable(logs[own].events);
						if (last) logs[own] = withEvent(logs[own], { kind: 'undo', event: last.id }, at, own);
					} else if (cue) logs[own] = withEvent(logs[own], { kind: 'done', cue: cue.id }, at, own);
				}
				const ends = instantAt(logs.a, clock + 60);
				const joined = [merged(logs.a.events, logs.b.events), merged(logs.b.events, logs.a.events)].map((events) =>
					viewRun({ ...logs.a, events: [...events] }, ends)
				);
				expect(joined[0]).toEqual(joined[1]);
				const all = merged(logs.a.events, logs.b.events);
				expect(all).toHaveLength(new Set([...logs.a.events, ...logs.b.events].map((e) => e.id)).size);
				const done = active(all).flatMap((e) => (e.kind === 'done' ? [e.cue] : []));
				expect(factsOf({ ...logs.a, events: [...all] }).done.size).toBe(new Set(done).size);
			}
		),
		{ numRuns: 1000, seed: 29 }
	);
}, 120_000);

test('after a replan what had begun is begun and what was over is over: nothing of it is asked again', () => {
	for (const demo of demoCases) {
		const plan = planDemo(demo, 3000);
		for (const share of [0.3, 0.5, 0.7, 0.85]) {
			const clock = Math.round(plan.from + share * (plan.to - plan.from));
			const run = runUntil(runOf(plan), clock);
			const at = instantAt(run, clock);
			const before = viewRun(run, at);
			// A plan of the rest that has other gaps between its steps: what followed at once does so no more.
			const standing = standingOf(run, at);
			const outcome = planMealNow({ ...demo, techniques: [...library.values()], seed: 5, budget: 4000, standing });
			if (outcome.kind !== 'plan') throw new Error(outcome.kind);
			const anew = withEvent(run, { kind: 'replan', plan: outcome.plan, moved: [], because: [], asOf: at }, at + 8000);
			const after = viewRun(anew, at + 8000);
			const isOver = (id: string | undefined) => before.begun.get(id ?? '')?.hasEnded === true;
			for (const [id, b] of before.begun) if (b.to <= clock) expect(after.begun.get(id), id).toBeDefined();
			expect([...after.now, ...after.next].filter((c) => isOver(c.step) && c.kind !== 'oven').map((c) => c.id)).toEqual(
				[]
			);
		}
	}
});
