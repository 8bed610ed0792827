// Plan and axis → lanes, cords, beads, knots: everything the drawing shows, as numbers. u runs with time, v across lanes.
import { platingsOf, type Lane, type PlannedPart } from '../../core/model/plan';
import { laneRow } from '../../core/model/stations';
import type { SpokenPlan, SpokenStep } from '../../core/words/speak';
import { formatClock, formatDuration } from '../../core/units/time';
import { packSlots } from './slots';
import type { TimeAxis } from './time-axis';

/** Sizes across the lanes, pixels. */
export interface Sizes {
	/** Room for one cord, with its label. */
	readonly slot: number;
	/** Room for one dotted wait in the lane for keeping. */
	readonly keepSlot: number;
	/** Free room at both edges of a lane, and between two lanes. */
	readonly pad: number;
	readonly gap: number;
	/** Row of one cook in the hands strip. */
	readonly hands: number;
	/** Width of a letter of a label; 0: no labels. */
	readonly letter: number;
}

export const wide: Sizes = { slot: 27, keepSlot: 8, pad: 4, gap: 4, hands: 26, letter: 6 };

interface LaneBox {
	readonly lane: Lane;
	readonly v: number;
	readonly height: number;
}
/** A piece of a cord: one step. */
export interface Segment {
	readonly step: SpokenStep;
	readonly tone: number;
	readonly u0: number;
	readonly u1: number;
	readonly v: number;
	readonly look: 'heat' | 'work' | 'still';
	/** Where hands are wanted all the time. */
	readonly hatched: readonly { readonly u0: number; readonly u1: number }[];
	/** Until where it may last. */
	readonly fade: number;
	readonly label: string;
	/** Until where it may be later, services unmoved; its own end where it may not. Absent: not known. */
	readonly slack: number | undefined;
	/** From when to when it ends in four evenings of five; absent: not known, or as planned. */
	readonly fan: { readonly u0: number; readonly u1: number } | undefined;
}
interface Bead {
	readonly u: number;
	readonly v: number;
	readonly part: string;
	readonly say: string;
}
/** The way from one place to the next; dotted where the part waits meanwhile. */
export interface Transit {
	readonly part: string;
	readonly tone: number;
	readonly u0: number;
	readonly v0: number;
	readonly u1: number;
	readonly v1: number;
	readonly isWait: boolean;
}
interface Knot {
	readonly part: PlannedPart;
	readonly u: number;
	readonly v: number;
	/** At the pass itself, or at an earlier course's own. */
	readonly isLast: boolean;
	readonly note: string;
}
interface HandPiece {
	readonly u0: number;
	readonly u1: number;
	readonly v: number;
	readonly tone: number | undefined;
	readonly part: string | undefined;
	readonly isWhole: boolean;
}
export interface Drawing {
	readonly length: number;
	/** Height of the lanes, and of all with the hands strip. */
	readonly lanesEnd: number;
	readonly height: number;
	readonly lanes: readonly LaneBox[];
	readonly segments: readonly Segment[];
	readonly transits: readonly Transit[];
	readonly waits: readonly {
		readonly part: string;
		readonly tone: number;
		readonly u0: number;
		readonly u1: number;
		readonly v: number;
	}[];
	readonly beads: readonly Bead[];
	readonly knots: readonly Knot[];
	/** Courses that go out before the last one. */
	readonly earlier: readonly { readonly name: string; readonly u: number; readonly label: string }[];
	readonly terrain: readonly {
		readonly lane: LaneBox;
		readonly points: readonly { readonly u: number; readonly v: number }[];
	}[];
	readonly setPoints: readonly {
		readonly u: number;
		readonly v: number;
		readonly text: string;
		/** The words end at the point. */
		readonly isBefore: boolean;
	}[];
	readonly hands: readonly HandPiece[];
	readonly handRows: readonly { readonly name: string; readonly v: number }[];
	readonly tight: readonly TightBox[];
	readonly idle: readonly { readonly u0: number; readonly u1: number; readonly v: number; readonly say: string }[];
}

const still = new Set<SpokenStep['kind']>(['rest', 'chill', 'temper', 'soak', 'marinate', 'hold']);
/** Free room above the cords of an oven, for the top of its terrain, as a share of a place. */
const ovenHead = 0.6;
/** Width of a letter under the hands strip, pixels. */
const boldLetter = 6.4;
/** Shorter climbs of an oven get no words, pixels. */
const leastClimb = 64;

/** How much later a step may be, seconds, by step. */
export type SlackOf = Readonly<Record<string, { readonly seconds: number } | undefined>>;

/** When a step ends in evenings that were played, clock times, by step. */
export type FanOf = Readonly<
	Record<string, { readonly end: { readonly p10: number; readonly p90: number } } | undefined>
>;

/** Ends that lie closer together than this are one, seconds. */
const leastFan = 60;

/** Lay out a plan along an axis. */
export function layoutCords(
	plan: SpokenPlan,
	axis: TimeAxis,
	sizes: Sizes,
	slackOf: SlackOf = {},
	fanOf: FanOf = {}
): Drawing {
	const partOf = new Map(plan.parts.map((p) => [p.id, p]));
	const toneOf = (part: string) => partOf.get(part)?.tone ?? 0;
	const last = plan.services.reduce((a, b) => (b.at >= a.at ? b : a));
	const finalWaits = plan.waits.filter((w) => w.lane === 'keep');

	// Lanes, as high as their places.
	const lanes: LaneBox[] = [];
	const vOf = new Map<string, number>();
	const waitV = new Map<string, number>();
	let v = 0;
	for (const lane of plan.lanes) {
		const isKeep = lane.kind === 'keep';
		const steps = isKeep ? [] : plan.steps.filter((s) => s.lane === lane.id);
		const waits = isKeep ? finalWaits : [];
		if (steps.length + waits.length === 0 && lane.kind !== 'burner' && lane.kind !== 'oven') continue;
		const extents = [...steps, ...waits].map(({ from, to, part }) => ({ from, to, group: part }));
		const { slots, count } = packSlots(extents);
		const pitch = isKeep ? sizes.keepSlot : sizes.slot;
		const head = lane.kind === 'oven' ? ovenHead * pitch : 0;
		const box = { lane, v, height: head + count * pitch + 2 * sizes.pad };
		const labelRoom = isKeep || sizes.letter === 0 ? 0 : 5;
		const top = v + sizes.pad + head + labelRoom;
		const middle = (i: number) => top + ((slots[i] ?? 0) + 0.5) * pitch;
		steps.forEach((s, i) => vOf.set(s.id, middle(i)));
		waits.forEach((w, i) => waitV.set(w.part, middle(steps.length + i)));
		lanes.push(box);
		v += box.height + sizes.gap;
	}
	const lanesEnd = v - sizes.gap;

	const slackEnd = (step: SpokenStep) => {
		const later = slackOf[step.id]?.seconds;
		return later === undefined ? undefined : axis.u(Math.min(axis.to, step.to + later));
	};

	const fanFor = (step: SpokenStep) => {
		const end = fanOf[step.id]?.end;
		if (!end || end.p90 - end.p10 < leastFan) return undefined;
		const u = (at: number) => axis.u(Math.min(axis.to, Math.max(axis.from, at)));
		return { u0: u(end.p10), u1: u(end.p90) };
	};

	// Cords.
	const segments = withLabels(
		plan.steps.map((step): Segment => {
			const lane = plan.lanes.find((l) => l.id === step.lane);
			const [u0, u1] = [axis.u(step.from), Math.max(axis.u(step.from) + 5, axis.u(step.to))];
			return {
				step,
				tone: toneOf(step.part),
				u0,
				u1,
				v: vOf.get(step.id) ?? 0,
				look: still.has(step.kind) ? 'still' : laneRow(lane?.kind ?? '')?.isHot ? 'heat' : 'work',
				hatched: step.hands.filter((h) => h.whole).map((h) => ({ u0: axis.u(h.from), u1: axis.u(h.to) })),
				fade: Math.min(axis.length, axis.u(Math.min(axis.to, step.from + step.longest))),
				label: '',
				slack: slackEnd(step),
				fan: fanFor(step)
			};
		}),
		(part) => partOf.get(part)?.name ?? '',
		axis.length,
		sizes.letter
	);
	const beads = plan.steps.flatMap((step) =>
		step.hands
			.filter((h) => !h.whole)
			.map((h): Bead => ({ u: axis.u((h.from + h.to) / 2), v: vOf.get(step.id) ?? 0, part: step.part, say: h.say }))
	);

	// Knots: the last course's spread over the pass, an earlier one's where its cord comes to its own.
	// What another part is finished with ends there.
	const plated = plan.parts.filter((p) => p.into === undefined);
	const lastParts = plated.filter((p) => p.course === last.course);
	const endOf = (part: PlannedPart) =>
		plan.steps
			.filter((s) => s.part === part.id)
			.reduce<SpokenStep | undefined>((a, s) => (a && a.to >= s.to ? a : s), undefined);
	const knots = plated.map((part): Knot => {
		const isLast = part.course === last.course;
		const place = lastParts.indexOf(part);
		const end = endOf(part);
		const own = waitV.get(part.id) ?? (end ? vOf.get(end.id) : undefined) ?? 0;
		return {
			part,
			isLast,
			u: isLast ? axis.length : axis.u(plan.services.find((s) => s.course === part.course)?.at ?? part.plated),
			v: isLast ? ((place + 0.5) / lastParts.length) * lanesEnd : own,
			note: part.wait < 60 ? 'straight from the heat' : `waits ${formatDuration(part.wait)}`
		};
	});

	// The ways between.
	const steps = new Map(plan.steps.map((s) => [s.id, s]));
	const between = plan.steps.flatMap((step) =>
		step.after.flatMap((id): Transit[] => {
			const before = steps.get(id);
			const [v0, v1] = [vOf.get(id), vOf.get(step.id)];
			if (before?.part !== step.part || v0 === undefined || v1 === undefined) return [];
			const isWait = step.from - before.to >= 60;
			if (v0 === v1 && !isWait) return [];
			return [
				{ part: step.part, tone: toneOf(step.part), u0: axis.u(before.to), v0, u1: axis.u(step.from), v1, isWait }
			];
		})
	);
	const waits = finalWaits.map((w) => {
		const [u0, u1] = [axis.u(w.from), axis.u(w.to)];
		return { part: w.part, tone: toneOf(w.part), u0, u1: Math.max(u0, u1), v: waitV.get(w.part) ?? 0 };
	});
	/** Where each part's cord goes in the end: to its knot, or to where it is added. */
	const goals = [
		...knots,
		...plan.parts.flatMap((part) =>
			(part.into ?? []).flatMap((id) => {
				const [step, v] = [steps.get(id), vOf.get(id)];
				return step && v !== undefined ? [{ part, u: axis.u(step.from), v }] : [];
			})
		)
	];
	const home = goals.flatMap((knot): Transit[] => {
		const { part } = knot;
		const end = endOf(part);
		const v0 = end && vOf.get(end.id);
		if (!end || v0 === undefined) return [];
		const common = { part: part.id, tone: part.tone, isWait: false };
		const wait = waits.find((w) => w.part === part.id);
		if (!wait) return [{ ...common, u0: axis.u(part.ready), v0, u1: knot.u, v1: knot.v }];
		const into = { ...common, u0: axis.u(part.ready), v0, u1: Math.min(wait.u0 + 6, wait.u1), v1: wait.v };
		return [into, { ...common, u0: wait.u1, v0: wait.v, u1: knot.u, v1: knot.v }];
	});

	// Ovens.
	const terrain = plan.terrain.flatMap(({ lane, points }) => {
		const box = lanes.find((l) => l.lane.id === lane);
		if (!box || points.length === 0) return [];
		const top = Math.max(120, ...points.map((p) => p.celsius));
		const height = (celsius: number) =>
			box.v + box.height - 3 - (Math.max(0, celsius - 20) / (top - 20)) * (box.height - 8);
		return [
			{
				lane: box,
				points: points.map((p) => ({ u: axis.u(p.at), v: height(p.celsius), at: p.at, celsius: p.celsius }))
			}
		];
	});
	const setPoints = terrain.flatMap(({ points }) =>
		points.flatMap((p, i) => {
			const next = points[i + 1];
			if (!next) return [];
			if (next.celsius === p.celsius && p.celsius > 40)
				return [{ u: p.u + 6, v: p.v + 11, text: `${p.celsius}°`, isBefore: false }];
			if (next.celsius > p.celsius && next.u - p.u > leastClimb) {
				return [
					{
						u: (p.u + next.u) / 2 - 10,
						v: (p.v + next.v) / 2,
						text: `heat up ${formatDuration(next.at - p.at)}`,
						isBefore: true
					}
				];
			}
			return [];
		})
	);

	// Hands.
	const handsTop = lanesEnd + 2 * sizes.gap;
	const rowOf = new Map(plan.cooks.map((c, i) => [c.id, handsTop + i * (sizes.hands + 2)]));
	const hands = [
		...plan.steps.flatMap((step) =>
			step.hands.map((h): HandPiece => {
				const u0 = axis.u(h.from);
				const common = { part: step.part, tone: toneOf(step.part), isWhole: h.whole, v: rowOf.get(h.cook) ?? handsTop };
				return { ...common, u0, u1: Math.max(u0 + 3, axis.u(h.to)) };
			})
		),
		...plan.services
			.flatMap((s) => platingsOf(plan, s))
			.filter((p) => p.from < p.to)
			.flatMap((p) =>
				(p.cooks.length > 0 ? p.cooks : ['']).map((cook): HandPiece => {
					const v = rowOf.get(cook) ?? handsTop;
					const common = { part: undefined, tone: undefined, isWhole: true, v };
					return { ...common, u0: axis.u(p.from), u1: axis.u(p.to) };
				})
			)
	];
	return {
		length: axis.length,
		lanesEnd,
		height: handsTop + plan.cooks.length * (sizes.hands + 2),
		lanes,
		segments,
		transits: [...between, ...home],
		waits,
		beads,
		knots,
		earlier: plan.services
			.filter((s) => s !== last)
			.map((s) => ({ name: s.name, u: axis.u(s.at), label: `${s.name} out ${formatClock(s.at)}` })),
		terrain,
		setPoints,
		hands,
		handRows: plan.cooks.map((c) => ({ name: c.name, v: rowOf.get(c.id) ?? handsTop })),
		tight: withoutOverlaps(plan.tight.map((t) => ({ u0: axis.u(t.from), u1: axis.u(t.to), say: t.say }))),
		idle: plan.idle.map((t) => ({
			u0: axis.u(t.from),
			u1: axis.u(t.to),
			v: rowOf.get(t.cook) ?? handsTop,
			say: `free ${formatDuration(t.to - t.from)}`
		}))
	};
}

interface TightBox {
	readonly u0: number;
	readonly u1: number;
	readonly say: string;
}

/** Boxes keep their words only where these do not run into those of the box before. */
function withoutOverlaps(boxes: readonly TightBox[]): readonly TightBox[] {
	let taken = -Infinity;
	return boxes.map((box) => {
		const half = (box.say.length * boldLetter) / 2;
		const middle = (box.u0 + box.u1) / 2;
		if (middle - half < taken) return { ...box, say: '' };
		taken = middle + half + boldLetter;
		return box;
	});
}

/** The longest words that fit before the next cord in the same place: what is done, else the part, else none. */
function withLabels(
	segments: readonly Segment[],
	name: (part: string) => string,
	length: number,
	letter: number
): readonly Segment[] {
	if (letter === 0) return segments;
	const byPlace = new Map<number, Segment[]>();
	for (const s of segments) byPlace.set(s.v, [...(byPlace.get(s.v) ?? []), s]);
	const labelled = new Map<Segment, string>();
	for (const row of byPlace.values()) {
		const sorted = row.toSorted((a, b) => a.u0 - b.u0);
		sorted.forEach((s, i) => {
			const room = (sorted[i + 1]?.u0 ?? length) - s.u0 - 4;
			const fits = [s.step.say, name(s.step.part)].find((text) => text.length * letter <= room);
			labelled.set(s, fits ?? '');
		});
	}
	return segments.map((s) => ({ ...s, label: labelled.get(s) ?? '' }));
}

/** The path of a transit: leaves and arrives along the lanes, with a bend wide enough to be followed. */
export function transitPath({ u0, v0, u1, v1 }: Transit, place: (u: number, v: number) => string): string {
	const reach = Math.max(9, Math.abs(u1 - u0) / 2);
	return `M${place(u0, v0)}C${place(u0 + reach, v0)} ${place(u1 - reach, v1)} ${place(u1, v1)}`;
}
