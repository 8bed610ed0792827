// The run sheet: every cue of an evening on one line, for a sheet of paper, a table or a calendar.
import type { Plan } from '../../model/plan';
import { cuesOf, type Cue } from '../../run/cues';
import type { Measure } from '../../units/amount';
import { formatClock, formatDuration } from '../../units/time';
import { speakCue } from '../../words/speak';

export interface SheetLine {
	/** Of its cue: the same over replans. */
	readonly id: string;
	readonly kind: Cue['kind'] | 'ahead';
	/** The plan's clock, seconds from the midnight that begins the day of the meal: before it is negative. */
	readonly at: number;
	readonly until: number;
	/** Seconds until its own course goes out, or until the next one does; below 0 once the last has. */
	readonly left: number;
	readonly say: string;
	readonly where: string;
	readonly sign: string;
	readonly cautions: readonly string[];
	/** Names; empty where it is nobody's or of nothing. */
	readonly cook: string;
	readonly part: string;
	readonly course: string;
	/** Where it is done, by id. */
	readonly lane: string | undefined;
}

/** All lines of a plan in order of time, what is made in the days before first. */
export function runSheetOf(plan: Plan, measure: Measure): readonly SheetLine[] {
	const partOf = new Map(plan.parts.map((p) => [p.id, p]));
	const stepOf = new Map(plan.steps.map((s) => [s.id, s]));
	const services = plan.services.toSorted((a, b) => a.at - b.at);
	const leftTo = (course: string | undefined, at: number) => {
		const own = services.find((s) => s.course === course) ?? services.find((s) => s.at >= at) ?? services.at(-1);
		return (own?.at ?? at) - at;
	};
	const courseName = (id: string | undefined) => services.find((s) => s.course === id)?.name ?? '';
	const ahead = (plan.days?.steps ?? []).map(({ part, say, from, to, place }, k): SheetLine => ({
		id: `ahead-${k + 1}-${part}`,
		kind: 'ahead',
		at: from,
		until: to,
		left: leftTo(partOf.get(part)?.course, from),
		say,
		where: place ?? '',
		sign: '',
		cautions: [],
		cook: '',
		part: partOf.get(part)?.name ?? part,
		course: courseName(partOf.get(part)?.course),
		lane: undefined
	}));
	const lines = cuesOf(plan).map((cue): SheetLine => {
		const { say, where, sign, cautions } = speakCue(cue, plan, measure);
		const part = partOf.get(cue.part ?? '');
		const course = cue.course ?? part?.course;
		return {
			id: cue.id,
			kind: cue.kind,
			at: cue.at,
			until: cue.until,
			left: leftTo(course, cue.at),
			say,
			where,
			sign: sign ?? '',
			cautions,
			cook: plan.cooks.find((c) => c.id === cue.cook)?.name ?? '',
			part: part?.name ?? '',
			course: courseName(course),
			lane: cue.lane ?? stepOf.get(cue.step ?? '')?.lane
		};
	});
	return [...ahead, ...lines].toSorted((a, b) => a.at - b.at);
}

/** A sheet of one cook, or of one place: what is theirs, and what concerns everybody. */
export interface Sheet {
	readonly id: string;
	readonly name: string;
	readonly lines: readonly SheetLine[];
}

/** One sheet for each cook who has something to do. */
export const sheetsByCook = (lines: readonly SheetLine[], plan: Plan): readonly Sheet[] =>
	plan.cooks
		.map(({ id, name }) => ({ id, name, lines: lines.filter((l) => l.cook === name || l.kind === 'serve') }))
		.filter((s) => s.lines.some((l) => l.kind !== 'serve'));

/** One sheet for each station that is used. */
export const sheetsByStation = (lines: readonly SheetLine[], plan: Plan): readonly Sheet[] =>
	plan.lanes
		.filter((l) => l.kind !== 'rest' && l.kind !== 'keep')
		.map(({ id, name }) => ({ id, name, lines: lines.filter((l) => l.lane === id) }))
		.filter((s) => s.lines.length > 0);

const day = 86_400;

/** “17:35”, “the day before, 19:00”. */
export function wordWhen(at: number): string {
	const days = Math.floor(at / day);
	const clock = formatClock(((at % day) + day) % day);
	if (days >= 0) return clock;
	return days === -1 ? `the day before, ${clock}` : `${-days} days before, ${clock}`;
}

/** “− 1 h 55”: so long before the course goes out. */
export const wordLeft = (seconds: number): string =>
	seconds < 30 ? 'now' : `− ${formatDuration(Math.round(seconds / 60) * 60)}`;

/** Rows of the run sheet, the head first. */
export const sheetRows = (lines: readonly SheetLine[]): readonly (readonly string[])[] => [
	['at', 'to service', 'what', 'where', 'until it looks', 'cook', 'part', 'course', 'mind'],
	...lines.map((l) => [
		wordWhen(l.at),
		wordLeft(l.left),
		l.say,
		l.where,
		l.sign,
		l.cook,
		l.part,
		l.course,
		l.cautions.join(' ')
	])
];
