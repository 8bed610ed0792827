// What an evening's log says of each step: when it was begun, when it was over, how that is known, and what was thought before.
import { quantile } from '../learn/spread';
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import { platingsOf, type Plan, type PlannedStep } from '../model/plan';
import { platingKey } from '../model/record-key';
import { cuesOf } from '../run/cues';
import { active, originOf, planClock, type Run, type RunEvent } from '../run/events';
import { factsOf, type Facts } from '../run/facts';
import type { Reading } from '../probe/posterior';
import { roomOf } from '../plan/compile/places';
import { mayBeProbed } from '../run/probed';
import type { FilmSeen } from './oven-film';
import { heardFilm } from './film';
import { wattsOf, type Sensitivity } from './usual-in';
import type { CookedEvening, CookedPart, CookedStep, Equipment } from './evening';

/** Readings kept of a part. */
const mostReadings = 60;
/** A follower that begins so soon after ends what is before it, seconds. */
const atOnce = 45;
/** Spread of plating (est.). */
const platingSigma = 0.25;

/** What an evening is kept with, beside its log. */
export interface Around {
	readonly meal: Pick<Meal, 'name' | 'parts' | 'covers'>;
	readonly kitchen: Pick<Kitchen, 'id' | 'cooks' | 'stations' | 'altitude'>;
	/** How much each step's time goes by its oven or its burner: see `sensitivityOf`. */
	readonly sensitivity: ReadonlyMap<string, Sensitivity>;
	/** Words of what happened that was not planned; none for what was. */
	readonly say: (event: RunEvent) => string | undefined;
}

/** An evening from its log, as far as it has gone. */
export function eveningFrom(run: Run, around: Around): CookedEvening {
	const { meal, kitchen, say } = around;
	const events = active(run.events);
	const facts = factsOf(run);
	const plans = plansOf(run, events);
	const steps = cookedSteps(run, events, facts, plans, around);
	const { plan } = facts;
	const out = (course: string) => facts.done.get(`${course}#serve`);
	const courses = plan.services.map(({ course, name, due, at }) => {
		const served = out(course);
		const planned = run.plan.services.find((s) => s.course === course)?.at ?? at;
		return { id: course, name, due, planned, ...(served === undefined ? {} : { out: served }) };
	});
	return {
		format: 'juntos-evening',
		version: 1,
		id: run.run,
		meal: run.id,
		name: meal.name,
		kitchen: kitchen.id,
		date: run.date,
		zone: run.zone,
		covers: plan.covers,
		origin: originOf(run),
		courses,
		cooks: plan.cooks,
		lanes: plan.lanes.map(({ id, name }) => ({ id, name })),
		parts: plan.parts.map((p) => cookedPart(p, meal, run.plan, facts, steps)),
		steps: [...steps, ...platings(run, facts)],
		...saidOfOvens(run, events, facts, around),
		happened: events.flatMap((e) => say(e) ?? []).slice(0, 200),
		said: events.flatMap((e) =>
			e.kind === 'note'
				? [{ id: e.id, at: e.at, by: e.by, kind: 'note' as const, text: e.text, ...(e.part ? { part: e.part } : {}) }]
				: []
		)
	};
}

/** The plans of an evening, each with the clock from which it was in force. */
function plansOf(run: Run, events: readonly RunEvent[]): readonly { readonly since: number; readonly plan: Plan }[] {
	const later = events.flatMap((e) => (e.kind === 'replan' ? [{ since: planClock(run, e.at), plan: e.plan }] : []));
	return [{ since: -Infinity, plan: run.plan }, ...later];
}

function cookedPart(
	{ id, of = id, name, course, tone, technique = '', covers, free, ready }: Plan['parts'][number],
	meal: Around['meal'],
	first: Plan,
	{ done, readings, plan }: Facts,
	steps: readonly CookedStep[]
): CookedPart {
	const part = meal.parts.find((p) => p.id === of);
	// A guest's own is named after the part and the wish.
	const wish = part?.wishes?.find((w) => `${of}-${w.id}`.slice(0, 64) === id);
	const own = steps.filter((s) => s.part === id && s.how !== 'left out' && !isWash(s.id));
	const last = own.reduce<CookedStep | undefined>((x, s) => (x && x.to >= s.to ? x : s), undefined);
	// What goes by the clock alone, and nobody told of its end, took as long as it was to.
	const over = last?.ended ?? (last?.byClock === true && last.began !== undefined ? last.began + last.p50 : undefined);
	const served = done.get(`${course}#serve`);
	return {
		id,
		of,
		name,
		course,
		tone,
		technique,
		covers: covers ?? plan.covers,
		settings: { ...part?.settings, ...wish?.settings },
		planned: first.parts.find((p) => p.id === id)?.ready ?? ready,
		...(over === undefined ? {} : { ready: Math.max(over, ...own.flatMap((s) => s.ended ?? [])) }),
		...(served === undefined ? {} : { served }),
		free,
		readings: thinned(readings.get(id) ?? [])
	};
}

const isWash = (id: string) => id.includes('/wash-');

/** So many of a stream, evenly, the last one among them. */
function thinned(readings: readonly (readonly [number, number])[]): [number, number][] {
	const stride = Math.max(1, Math.ceil(readings.length / mostReadings));
	const from = (readings.length - 1) % stride;
	return readings.filter((_, i) => i % stride === from).map(([at, celsius]) => [Math.round(at), celsius]);
}

/** All steps of the evening: as last planned, with those of the first plan that were begun and planned away. */
function cookedSteps(
	run: Run,
	events: readonly RunEvent[],
	facts: Facts,
	plans: ReturnType<typeof plansOf>,
	around: Around
): CookedStep[] {
	const { plan, done } = facts;
	const cues = cuesOf(plan);
	const skipped = new Set(events.flatMap((e) => (e.kind === 'skipped' ? [e.cue] : [])));
	const failed = new Set(events.flatMap((e) => (e.kind === 'failed' ? [e.part] : [])));
	const out = new Set(events.flatMap((e) => (e.kind === 'out' ? [e.what] : [])));
	const first = new Map(run.plan.steps.map((s) => [s.id, s]));
	const taps = tapsByCook(plan, done);
	const found = new Map<string, Pick<CookedStep, 'began' | 'ended' | 'how'>>();
	for (const step of plan.steps.toSorted((a, b) => a.from - b.from)) found.set(step.id, actualOf(step));

	return plan.steps.map((step): CookedStep => {
		const actual = found.get(step.id) ?? {};
		// What was thought of it when it began, not what was seen of it since.
		const thought = plans.findLast((p) => p.since <= (actual.began ?? Infinity))?.plan ?? run.plan;
		const before = thought.steps.find((s) => s.id === step.id) ?? step;
		const planned = first.get(step.id) ?? step;
		const { mu, sigma, basis, hands } = before;
		const isHands = hands.some((h) => h.whole);
		const cook = step.hands[0]?.cook;
		const part = plan.parts.find((p) => p.id === step.part);
		const { began = Infinity, ended = -Infinity } = actual;
		// What a probe told is looked at once, when the step is over.
		const stream = ended > began ? (facts.readings.get(step.part) ?? []) : [];
		const read = stream.flatMap(([at, c]): Reading[] => (at >= began && at <= ended ? [[at - began, c]] : []));
		const equipment = isHands
			? undefined
			: equipmentOf(before, around, () => {
					const air = { room: roomOf(around.kitchen), altitude: around.kitchen.altitude };
					return mayBeProbed(before, plan.steps) ? heardFilm(run.run, before, air, read) : undefined;
				});
		// What somebody saw to in between was time off this work.
		const isLeft = isHands && (taps.get(cook ?? '')?.touches ?? []).some((t) => t > began && t < ended);
		const isDisturbed =
			isLeft ||
			failed.has(part?.of ?? step.part) ||
			out.has(step.lane) ||
			facts.breaks.some((b) => b.cook === cook && b.from < ended && b.to > began);
		const isSeen = actual.how === 'seen' || step.sign !== undefined || step.pull !== undefined;
		return {
			id: step.id,
			part: step.part,
			key: basis?.key ?? step.id,
			say: step.say.slice(0, 300),
			kind: isHands ? 'hands' : 'heat',
			...(cook === undefined ? {} : { cook }),
			lane: step.lane,
			from: planned.from,
			to: planned.to,
			...actual,
			model: Math.max(1, basis?.model ?? Math.exp(mu)),
			...(basis?.paced === undefined ? {} : { paced: basis.paced }),
			...(isHands ? { pace: paceOf(around.kitchen, cook) } : {}),
			sigma: Math.min(3, sigma),
			p10: quantile({ mu, sigma }, 0.1),
			p50: Math.exp(mu),
			p90: quantile({ mu, sigma }, 0.9),
			...(equipment ? { equipment } : {}),
			...(isDisturbed ? { disturbed: true } : {}),
			...(isHands || isSeen ? {} : { byClock: true })
		};
	});

	function actualOf(step: PlannedStep): Pick<CookedStep, 'began' | 'ended' | 'how'> {
		const whole = step.hands.some((h) => h.whole);
		const own = cues.filter((c) => c.step === step.id && c.kind !== 'oven' && c.kind !== 'look');
		if (own.length > 0 && own.every((c) => skipped.has(c.id))) return { how: 'left out' };
		const start = own.find((c) => c.kind === 'start');
		const end = own.find((c) => c.kind === 'end');
		const tapped = start && done.get(start.id);
		const said = facts.begun.get(step.id);
		if (whole) {
			if (tapped === undefined) return said === undefined ? {} : { began: said };
			// One tap tells that it is over; it was begun when it was due, or when the cook had done the work before.
			const { works = [] } = taps.get(step.hands[0]?.cook ?? '') ?? {};
			const before = works.findLast((t) => t < tapped) ?? -Infinity;
			const began = said ?? Math.max(step.from, before);
			return began < tapped ? { began, ended: tapped, how: 'said' } : { ended: tapped };
		}
		const followed = step.after.flatMap((id) => found.get(id)?.ended ?? []);
		const alone = !start && step.after.length > 0 && followed.length > 0 ? Math.max(...followed) : undefined;
		const began = said ?? tapped ?? alone;
		const over = (how: 'said' | 'seen' | 'followed', ended: number) => ({
			...(began === undefined ? {} : { began }),
			ended,
			how
		});
		const told = began === undefined ? undefined : seenDone(step.id, began, run, events, plans);
		if (told !== undefined) return over('seen', told);
		const tap = end && done.get(end.id);
		if (tap !== undefined) return over(facts.looks.has(step.id) ? 'seen' : 'said', tap);
		// What comes at once after it has begun: it is over. Handwork's one tap tells of its end, not of its beginning.
		const [follower] = plan.steps.flatMap((s) => {
			const isNext = s.after.includes(step.id) && s.from >= step.to && s.from - step.to < atOnce;
			return isNext && s.hands.every((h) => !h.whole) ? (done.get(`${s.id}#start`) ?? []) : [];
		});
		if (!end && follower !== undefined) return over('followed', follower);
		return began === undefined ? {} : { began };
	}
}

/** Told to be over, and to be shorter, in one: so close to each other, seconds. */
const asOne = 90;

/**
 * When somebody saw that a step was done before its time, by the clock: it was told to take as much less as was left of it. That
 * it will be a minute shorter is no end.
 *
 * @param began the plan's clock, seconds
 */
function seenDone(
	id: string,
	began: number,
	run: Run,
	events: readonly RunEvent[],
	plans: ReturnType<typeof plansOf>
): number | undefined {
	let [since, more] = [-Infinity, 0];
	for (const e of events) {
		if (e.kind !== 'late' || e.step !== id) continue;
		const at = planClock(run, e.at);
		const then = plans.findLast((p) => p.since <= at);
		if (then && then.since !== since) [since, more] = [then.since, 0];
		const step = then?.plan.steps.find((s) => s.id === id);
		if (step && e.seconds < 0 && Math.abs(at - began - (step.to - step.from + more + e.seconds)) <= asOne) return at;
		more += e.seconds;
	}
	return undefined;
}

/** When each cook told that work was over, and that something was seen to, in order. */
function tapsByCook(
	plan: Plan,
	done: Facts['done']
): ReadonlyMap<string, { readonly works: readonly number[]; readonly touches: readonly number[] }> {
	const taps = new Map<string, { works: number[]; touches: number[] }>();
	const whole = new Set(plan.steps.flatMap((s) => (s.hands.some((h) => h.whole) ? [s.id] : [])));
	for (const { id, cook, step, hand } of cuesOf(plan)) {
		const at = done.get(id);
		if (cook === undefined || at === undefined || hand === undefined) continue;
		const own = taps.get(cook) ?? { works: [], touches: [] };
		own[whole.has(step ?? '') ? 'works' : 'touches'].push(at);
		taps.set(cook, own);
	}
	for (const { works } of taps.values()) works.sort((a, b) => a - b);
	return taps;
}

const paceOf = ({ cooks }: Around['kitchen'], cook: string | undefined) => {
	const found = cooks.find((c) => c.id === cook);
	return found?.measuredPace ?? found?.pace ?? 1;
};

/** Plating of each course, from its first plate until it goes out. */
function platings(run: Run, { plan, done }: Facts): CookedStep[] {
	return plan.services.flatMap((service): CookedStep[] => {
		const stretches = platingsOf(plan, service);
		const [first] = stretches;
		const [began, ended] = [done.get(`${service.course}#plate`), done.get(`${service.course}#serve`)];
		if (!first || stretches.some((s) => s.cooks.length > 1)) return [];
		const planned = run.plan.services.find((s) => s.course === service.course) ?? service;
		const last = stretches.at(-1) ?? first;
		const length = Math.max(1, last.to - first.from);
		const [cook] = first.cooks;
		return [
			{
				id: `${service.course}#plate`,
				key: platingKey,
				say: `Plate ${service.name}`.slice(0, 300),
				kind: 'hands',
				...(cook === undefined ? {} : { cook }),
				from: planned.plating,
				to: planned.at,
				...(began === undefined ? {} : { began }),
				...(ended === undefined ? {} : { ended, how: 'said' as const }),
				model: length,
				sigma: platingSigma,
				p10: quantile({ mu: Math.log(length), sigma: platingSigma }, 0.1),
				p50: length,
				p90: quantile({ mu: Math.log(length), sigma: platingSigma }, 0.9)
			}
		];
	});
}

/** A thermometer that shows so much less than the knob, K, shows an oven on its way; one that shows no more than that, cold. */
const onItsWay = 15;

/**
 * What thermometers and lamps said of ovens: how hot they were against their knobs, once they were hot; and how long they took
 * from cold.
 */
function saidOfOvens(
	run: Run,
	events: readonly RunEvent[],
	{ plan, done }: Facts,
	{ kitchen }: Around
): Pick<CookedEvening, 'heats' | 'warmed'> {
	const heats: CookedEvening['heats'] = [];
	const warmed: NonNullable<CookedEvening['warmed']> = [];
	for (const e of events) {
		if (e.kind !== 'heat') continue;
		const station = kitchen.stations.find((s) => s.id === e.station);
		if (station?.kind !== 'oven') continue;
		const at = planClock(run, e.at);
		const own = plan.steps
			.filter((s) => s.lane === e.station && s.setting !== undefined)
			.toSorted((a, b) => a.from - b.from);
		const lit = own.map((s) => done.get(`${s.id}#oven`)).find((t) => t !== undefined);
		const firing = own.findLast((s) => s.from <= at) ?? own[0];
		const knob = firing?.knob ?? firing?.setting;
		if (knob === undefined) continue;
		const { room, rise, measuredRise = rise } = station;
		const hot = lit === undefined ? (own[0]?.from ?? Infinity) : lit + measuredRise * (knob - room);
		const warming = lit !== undefined && firing === own[0] && !warmed.some((w) => w.lane === e.station);
		if (e.lamp === true || (at < hot && e.celsius < knob - onItsWay)) {
			const celsius = e.lamp === true ? knob : e.celsius;
			if (warming && at > lit && celsius > room + onItsWay)
				warmed.push({ lane: e.station, at: Math.round(at), seconds: at - lit, celsius });
		} else if (at >= hot) heats.push({ lane: e.station, at: Math.round(at), knob, celsius: e.celsius });
	}
	return { heats, ...(warmed.length > 0 ? { warmed } : {}) };
}

/** What a burner or an oven is to a step's time, where it matters to it. */
function equipmentOf(
	step: PlannedStep,
	{ kitchen, sensitivity }: Around,
	seen: () => FilmSeen | undefined
): Equipment | undefined {
	const found = sensitivity.get(step.id);
	const station = kitchen.stations.find((s) => s.id === step.lane);
	if (found === undefined || !station) return undefined;
	const { per, perFilm } = found;
	if (station.kind === 'burner') return { kind: 'burner', id: station.id, watts: wattsOf(station), per };
	const { setting, knob = setting } = step;
	if (station.kind !== 'oven' || setting === undefined || knob === undefined) return undefined;
	const film = seen();
	return {
		kind: 'oven',
		id: station.id,
		offset: setting - knob,
		per,
		...(perFilm === undefined ? {} : { film: station.film ?? 1, perFilm }),
		...(film ? { seen: film } : {})
	};
}
