// An evening that is only played: how long things really take, what a cook would see on looking, and what goes wrong when.
import type { Meal } from '../model/meal';
import type { Plan, PlannedStep } from '../model/plan';
import type { Happening } from '../run/events';
import { normalOf, uniformOf } from './luck';

/** Hidden from the cook: the seed of an evening, and how many mishaps an hour it brings. */
export interface Training {
	readonly seed: number;
	readonly mishaps: number;
}

/** Seconds that a step of such an evening really takes, whatever it was planned to in the meantime. */
export function trueLength({ seed }: Training, { id, mu, sigma }: Pick<PlannedStep, 'id' | 'mu' | 'sigma'>): number {
	return Math.max(15, Math.exp(mu + sigma * normalOf(seed, `length ${id}`)));
}

/** What is seen of a step that has been on for so long. */
export type Seen = 'done' | 'nearly' | 'half way' | 'far';

/** @param length that it really takes, seconds */
export function seenAfter(length: number, elapsed: number): Seen {
	const share = elapsed / Math.max(1, length);
	return share >= 1 ? 'done' : share >= 0.8 ? 'nearly' : share >= 0.45 ? 'half way' : 'far';
}

/** Something that goes wrong. */
export interface Mishap {
	readonly id: string;
	/** The plan's clock, seconds. */
	readonly at: number;
	readonly happening: Happening;
}

type Kind = 'late' | 'dropped' | 'doorbell' | 'burner' | 'guest' | 'service';
/** How often each of them is what goes wrong. */
const kinds: readonly Kind[] = [
	'late',
	'late',
	'late',
	'doorbell',
	'doorbell',
	'dropped',
	'dropped',
	'guest',
	'service',
	'burner'
];
const most = 30;

/**
 * The mishaps of an evening by its seed: they come by themselves, so many an hour (a Poisson process), until ten minutes before
 * the last service. None is of something that is not there.
 */
export function mishapsOf(
	{ seed, mishaps }: Training,
	plan: Plan,
	meal: Pick<Meal, 'parts' | 'covers'>,
	instantOf: (clock: number) => number
): readonly Mishap[] {
	if (mishaps <= 0) return [];
	const last = Math.max(...plan.services.map((s) => s.at)) - 600;
	const all: Mishap[] = [];
	let at = plan.from + 120;
	for (let n = 0; n < most; n++) {
		at += (-3600 / mishaps) * Math.log(uniformOf(seed, `gap ${n}`));
		if (at > last) break;
		const happening = happeningOf(n, Math.round(at));
		if (happening) all.push({ id: `mishap-${n}`, at: Math.round(at), happening });
	}
	return all;

	function happeningOf(n: number, clock: number): Happening | undefined {
		const pick = <T>(list: readonly T[], what: string): T | undefined =>
			list[Math.floor(uniformOf(seed, `${what} ${n}`) * list.length)];
		switch (pick(kinds, 'kind')) {
			case 'late': {
				const step = pick(
					plan.steps.filter((s) => s.from <= clock && s.to > clock + 60 && s.hands.every((h) => !h.whole)),
					'step'
				);
				return step && { kind: 'late', step: step.id, seconds: 60 * (2 + Math.floor(4 * uniformOf(seed, `by ${n}`))) };
			}
			case 'dropped': {
				const begun = new Set(plan.steps.flatMap((s) => (s.from < clock ? [s.part] : [])));
				const part = pick(
					meal.parts.filter((p) =>
						plan.parts.some((x) => (x.of ?? x.id) === p.id && begun.has(x.id) && x.plated > clock)
					),
					'part'
				);
				return part && { kind: 'failed', part: part.id, then: 'again', covers: 1 };
			}
			case 'doorbell': {
				const cook = pick(plan.cooks, 'cook');
				return cook && { kind: 'out', what: cook.id, seconds: 240 };
			}
			case 'burner': {
				const free = plan.lanes.filter(
					(l) => l.kind === 'burner' && !plan.steps.some((s) => s.lane === l.id && s.from <= clock && s.to > clock)
				);
				const others = plan.lanes.filter((l) => l.kind === 'burner').length > 2;
				const lane = others ? pick(free, 'lane') : undefined;
				return lane && { kind: 'out', what: lane.id };
			}
			case 'guest':
				return { kind: 'guests', covers: Math.min(60, meal.covers + 1) };
			case 'service': {
				const course = pick(
					plan.services.filter((s) => s.at > clock + 900),
					'course'
				);
				return course && { kind: 'service', course: course.course, to: instantOf(course.at + 300) };
			}
			case undefined:
				return undefined;
		}
	}
}
