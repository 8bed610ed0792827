// Changes to a meal, each of which leaves it consistent: links whose steps are gone go with them.
import type { VesselKind } from './kitchen';
import { serviceOf, type Evening, type Room, type Guest, type Meal, type Part, type Wish } from './meal';
import { commonSettings, trayStep, type Technique } from './technique';

type Techniques = ReadonlyMap<string, Technique>;
const tones = 8;

/** Another number of people; of the wishes stay those that there are guests for. */
export function withCovers(meal: Meal, covers: number): Meal {
	const fewer = (meal.guests ?? []).slice(covers).reduce((m, g) => withoutGuest(m, g.id), meal);
	return { ...fewer, covers, parts: fewer.parts.map((p) => withFewerWishes(p, p.covers ?? covers)) };
}

/** One more guest to be cooked for with care, by an id of their own; or one in place of that of the same id. */
export function withGuest(meal: Meal, guest: Guest): Meal {
	const guests = meal.guests ?? [];
	const isThere = guests.some((g) => g.id === guest.id);
	const named = (w: Wish) => (w.guest === guest.id ? { ...w, name: guest.name } : w);
	return {
		...meal,
		guests: isThere ? guests.map((g) => (g.id === guest.id ? guest : g)) : [...guests, guest],
		parts: meal.parts.map((p) => (p.wishes ? { ...p, wishes: p.wishes.map(named) } : p))
	};
}

/** A guest of whom nothing is known yet, by the next free number. */
export function newGuest(meal: Meal): Guest {
	const guests = meal.guests ?? [];
	const id = freeId(
		guests.map((g) => g.id),
		'guest'
	);
	return { id, name: `Guest ${guests.length + 1}`, allergies: [] };
}

/** Without a guest, and without what was cooked otherwise for them. */
export function withoutGuest(meal: Meal, guest: string): Meal {
	return {
		...meal,
		guests: (meal.guests ?? []).filter((g) => g.id !== guest),
		parts: meal.parts.map((p) => (p.wishes ? { ...p, wishes: p.wishes.filter((w) => w.guest !== guest) } : p))
	};
}

function withFewerWishes(part: Part, covers: number): Part {
	if (part.wishes === undefined) return part;
	let left = covers;
	const wishes = part.wishes.flatMap((w) => {
		const kept = Math.min(w.covers, left);
		left -= kept;
		return kept > 0 ? [{ ...w, covers: kept }] : [];
	});
	return { ...part, wishes };
}

export function withService(meal: Meal, course: string, service: number): Meal {
	return { ...meal, courses: meal.courses.map((c) => (c.id === course ? { ...c, service: onClock(service) } : c)) };
}

const day = 86_400;

/** A time as a clock shows it, also beyond midnight. */
const onClock = (seconds: number) => ((seconds % day) + day) % day;

/** The meal with its evening calm, even or short. */
export const withEvening = (meal: Meal, evening: Evening): Meal => ({ ...meal, evening });

/** Room behind each step, of all parts alike; `undefined`: none. */
export function withRoom(meal: Meal, room: Room | undefined): Meal {
	const parts = meal.parts.map((part) => {
		const own = { ...part };
		delete own.room;
		return own;
	});
	const rest = { ...meal, parts };
	delete rest.room;
	return room === undefined ? rest : { ...rest, room };
}

/** Whether there is room behind any of its steps. */
export const hasRoom = ({ room, parts }: Pick<Meal, 'room' | 'parts'>): boolean =>
	room !== undefined || parts.some((p) => p.room !== undefined);

/** With room behind the steps of one part. */
export const withPartRoom = (meal: Meal, part: string, room: Room): Meal => ({
	...meal,
	parts: meal.parts.map((p) => (p.id === part ? { ...p, room } : p))
});

/** The meal with the times in the days before at which somebody is free to cook. */
export const withFree = (meal: Meal, free: NonNullable<Meal['free']>): Meal => ({
	...meal,
	free: free.toSorted((a, b) => b.days - a.days || a.from - b.from)
});

/** Work begins no earlier than so many seconds after midnight. */
export function withEarliest(meal: Meal, earliest: number): Meal {
	return { ...meal, earliest: onClock(earliest) };
}

/** All of it so much later, and work no earlier than a time, seconds after midnight. */
export function withBeginningAt(meal: Meal, now: number, by: number): Meal {
	const later = meal.courses.reduce((m, c) => withService(m, c.id, serviceOf(meal, c) + by), meal);
	return withEarliest(later, now);
}

/** A part with all of these settings in place of its own. */
export function withSettings(meal: Meal, part: string, settings: Part['settings']): Meal {
	return changed(meal, part, (p) => ({ ...p, settings: { ...settings } }));
}

/** A parameter of one part set to a value; the usual value is left out. */
export function withSetting(meal: Meal, part: string, parameter: string, value: number, usual: number): Meal {
	return changed(meal, part, (p) => {
		const others = Object.entries(p.settings).filter(([key]) => key !== parameter);
		return { ...p, settings: Object.fromEntries(value === usual ? others : [...others, [parameter, value]]) };
	});
}

/** Another way to make a part; a part that was called as its way was is called as the new one. Settings that the new one lacks or cannot take, and links to steps it lacks, are dropped. */
export function withTechnique(meal: Meal, part: string, technique: Technique, techniques: Techniques): Meal {
	const fits = ([key, value]: readonly [string, number]) =>
		technique.parameters.some((p) => p.id === key && value >= p.least && value <= p.most);
	const fitting = (settings: Part['settings']) => Object.fromEntries(Object.entries(settings).filter(fits));
	const isCalled = (p: Part) => p.name === techniques.get(p.technique)?.name;
	const next = changed(meal, part, (p) => ({
		...p,
		technique: technique.id,
		...(isCalled(p) ? { name: technique.name } : {}),
		settings: fitting(p.settings),
		...(p.wishes ? { wishes: p.wishes.map((w) => ({ ...w, settings: fitting(w.settings) })) } : {})
	}));
	return withTiesSettled(withoutDeadLinks(next, techniques), trayStep(technique) ? undefined : part);
}

export function withoutPart(meal: Meal, part: string, techniques: Techniques): Meal {
	return withTiesSettled(withoutDeadLinks({ ...meal, parts: meal.parts.filter((p) => p.id !== part) }, techniques));
}

/** A part on the tray of another, with all that lies on its own; `undefined`: on one of its own. */
export function withTrayOf(meal: Meal, part: string, other: string | undefined): Meal {
	const host = other === undefined ? undefined : (meal.parts.find((p) => p.id === other)?.trayOf ?? other);
	if (host === part) return meal;
	const parts = meal.parts.map((p) => {
		const isMoved = p.id === part || (host !== undefined && p.trayOf === part);
		return isMoved ? onTray(p, host) : p;
	});
	return withTiesSettled({ ...meal, parts });
}

function onTray(part: Part, host: string | undefined): Part {
	const own = { ...part };
	delete own.trayOf;
	return host === undefined ? own : { ...own, trayOf: host };
}

/** Parts of its course that a part could share a tray with. */
export function trayMates(meal: Meal, part: Part, techniques: Techniques): readonly Part[] {
	const step = trayStep(techniques.get(part.technique));
	if (!step || part.choose === true) return [];
	return meal.parts.filter((p) => {
		const other = trayStep(techniques.get(p.technique));
		const isBeside = p.id !== part.id && p.course === part.course && p.choose !== true;
		return isBeside && other !== undefined && commonSettings([step, other]).length > 0;
	});
}

/**
 * Trays whose first part has gone, or has moved to another course or onto another tray: the next on each has it. What a sauce
 * finished, and is gone, it finishes no more; nor does anything stand on what is gone.
 *
 * @param off a part that lies on no tray any more
 */
function withTiesSettled(meal: Meal, off?: string): Meal {
	const heirs = new Map<string, string>();
	const parts = meal.parts.map((p) => {
		if (p.trayOf === undefined) return p;
		if (p.id === off) return onTray(p, undefined);
		const host = meal.parts.find((o) => o.id === p.trayOf);
		if (host?.course === p.course && host.trayOf === undefined && host.id !== off) return p;
		const key = `${p.trayOf} ${p.course}`;
		const heir = heirs.get(key);
		if (heir === undefined) heirs.set(key, p.id);
		return onTray(p, heir);
	});
	const isThere = (p: Part) =>
		p.finishes === undefined || parts.some((o) => o.id === p.finishes && o.course === p.course);
	const hasBase = (p: Part) => p.onTop === undefined || parts.some((o) => o.id === p.onTop && o.course === p.course);
	const finished = parts.map((p) => (isThere(p) ? p : finishing(p, undefined)));
	return { ...meal, parts: finished.map((p) => (hasBase(p) ? p : stackedOn(p, undefined))) };
}

function finishing(part: Part, other: string | undefined): Part {
	const own = { ...part };
	delete own.finishes;
	return other === undefined ? own : { ...own, finishes: other };
}

function stackedOn(part: Part, other: string | undefined): Part {
	const own = { ...part };
	delete own.onTop;
	return other === undefined ? own : { ...own, onTop: other };
}

/** Parts of its course that a part could be built onto: none that stands on it. */
export function basesFor(meal: Meal, part: Part): readonly Part[] {
	const standsOn = (p: Part | undefined): boolean =>
		p?.onTop !== undefined && (p.onTop === part.id || standsOn(meal.parts.find((o) => o.id === p.onTop)));
	return meal.parts.filter((p) => p.id !== part.id && p.course === part.course && !standsOn(p));
}

/** A part built onto another on the plate; `undefined`: beside the others. */
export function withBase(meal: Meal, part: string, other: string | undefined): Meal {
	return changed(meal, part, (p) => stackedOn(p, other));
}

/** Kinds of parts that may finish another one. */
const sauceKinds: ReadonlySet<Technique['kind']> = new Set<Technique['kind']>(['sauce', 'garnish']);
/** Kinds that nothing is stirred into. */
const byItself: ReadonlySet<Technique['kind']> = new Set<Technique['kind']>(['sauce', 'drink']);

/** Parts of its course that a sauce or a dressing could finish. */
export function finishedBy(meal: Meal, part: Part, techniques: Techniques): readonly Part[] {
	const kind = techniques.get(part.technique)?.kind;
	const isTaken = meal.parts.some((p) => p.finishes === part.id);
	if (kind === undefined || !sauceKinds.has(kind) || isTaken) return [];
	return meal.parts.filter((p) => {
		const other = techniques.get(p.technique)?.kind;
		const isOther = p.id !== part.id && p.course === part.course && p.finishes === undefined;
		return isOther && other !== undefined && !byItself.has(other);
	});
}

/** A sauce added to another part, whose last step that is; `undefined`: plated by itself. */
export function withFinishing(meal: Meal, part: string, other: string | undefined): Meal {
	return changed(meal, part, (p) => finishing(p, other));
}

/** A part that is made in what another leaves, in the vessel of the first of its course that leaves one. */
export function withVesselFound(meal: Meal, part: Part, techniques: Techniques): Meal {
	if (techniques.get(part.technique)?.madeIn === undefined) return meal;
	const able = meal.parts.filter(
		(p) => p.id !== part.id && p.course === part.course && vesselLink(meal, p.id, part.id, techniques) !== undefined
	);
	// What is seared or roasted leaves what a sauce is made of; beans do not.
	const host = able.find((p) => techniques.get(p.technique)?.kind === 'protein') ?? able[0];
	return host ? withVesselOf(meal, part.id, host.id, techniques) : meal;
}

/** Whether a part is made in what another one leaves, and none is named. */
export function isUntied(meal: Meal, part: Part, techniques: Techniques): boolean {
	const isMadeSo = techniques.get(part.technique)?.madeIn !== undefined;
	return isMadeSo && vesselOf(meal, part) === undefined;
}

/** A new part, last in its course, with an id of its own and the tone least used. */
export function withPart(meal: Meal, technique: Technique, course: string): Meal {
	const id = freeId(
		meal.parts.map((p) => p.id),
		technique.id
	);
	const uses = Array.from({ length: tones }, (_, tone) => meal.parts.filter((p) => p.tone === tone).length);
	const tone = uses.indexOf(Math.min(...uses));
	const part: Part = { id, name: technique.name, technique: technique.id, course, settings: {}, tone };
	return { ...meal, parts: [...meal.parts, part] };
}

/** A single step as a part of its own: what to do, how long, and where; its technique belongs to this meal. */
export function withStep(
	meal: Meal,
	step: {
		readonly say: string;
		readonly seconds: number;
		readonly spread: number;
		readonly where?: 'burner' | 'oven' | undefined;
		readonly setting?: number | undefined;
	},
	course: string
): Meal {
	const { say, seconds, spread, where, setting = 180 } = step;
	let number = meal.own.length + 1;
	while (meal.own.some((t) => t.id === `own-${number}`)) number++;
	const usual = Math.max(1, Math.round(seconds));
	const need: Technique['steps'][number]['need'] =
		where === 'burner'
			? { kind: 'burner' }
			: where === 'oven'
				? { kind: 'oven', racks: 1, settings: [setting] }
				: undefined;
	const technique: Technique = {
		id: `own-${number}`,
		name: say.slice(0, 80),
		kind: 'side',
		parameters: [],
		steps: [
			{
				id: 'do',
				say: say.slice(0, 80),
				kind: 'cook',
				time: { shortest: Math.floor(usual * (1 - spread)), usual, longest: Math.ceil(usual * (1 + spread)) },
				...(need ? { need } : {}),
				hands: {
					kind: 'touches',
					at: [
						{ share: 0, seconds: 30, say: `Start: ${say}`.slice(0, 80) },
						{ share: 1, seconds: 30, say: `Done: ${say}`.slice(0, 80) }
					]
				},
				after: []
			}
		],
		vessels: [],
		plate: { step: 'do', perPlate: 5, free: 300, rate: 1, most: 3600, keep: 'covered' }
	};
	return withPart({ ...meal, own: [...meal.own, technique] }, technique, course);
}

/** The part one place earlier or later on the plate, within its course. */
export function movedPart(meal: Meal, part: string, by: -1 | 1): Meal {
	const moving = meal.parts.find((p) => p.id === part);
	const course = meal.parts.filter((p) => p.course === moving?.course);
	const other = course[course.findIndex((p) => p.id === part) + by];
	if (!moving || !other) return meal;
	const swapped = new Map([
		[moving.id, other],
		[other.id, moving]
	]);
	return { ...meal, parts: meal.parts.map((p) => swapped.get(p.id) ?? p) };
}

function changed(meal: Meal, part: string, change: (part: Part) => Part): Meal {
	return { ...meal, parts: meal.parts.map((p) => (p.id === part ? change(p) : p)) };
}

function withoutDeadLinks(meal: Meal, techniques: Techniques): Meal {
	const isAlive = (end: { readonly part: string; readonly step: string }) => {
		const part = meal.parts.find((p) => p.id === end.part);
		return techniques.get(part?.technique ?? '')?.steps.some((s) => s.id === end.step) ?? false;
	};
	return { ...meal, links: meal.links.filter((l) => isAlive(l.from) && isAlive(l.to)) };
}

/** The part at a place on the plate of a course, 0 the first. */
export function placedPart(meal: Meal, part: string, course: string, at: number): Meal {
	const moving = meal.parts.find((p) => p.id === part);
	if (!moving) return meal;
	const others = meal.parts.filter((p) => p.id !== part);
	const within = others.filter((p) => p.course === course);
	const next = within[at];
	const index = next ? others.indexOf(next) : others.length;
	return withTiesSettled({ ...meal, parts: others.toSpliced(index, 0, { ...moving, course }) });
}

/**
 * A part begun again from nothing, as a part with an id of its own, so that what was done for the first is not done for this:
 * for all its guests, in place of it; for some of them, beside it.
 *
 * @returns the meal, and the new part's id
 */
export function withPartAnew(
	meal: Meal,
	part: string,
	covers: number,
	techniques: Techniques
): { readonly meal: Meal; readonly part: string } {
	const old = meal.parts.find((p) => p.id === part);
	if (!old) return { meal, part };
	const ids = meal.parts.map((p) => p.id);
	const id = freeId(ids, part.replace(/-again(-\d+)?$/, '').slice(0, 50) + '-again');
	const all = old.covers ?? meal.covers;
	if (covers < all) {
		const beside: Part = { ...old, id, name: `${old.name}, again`.slice(0, 80), covers };
		delete beside.wishes;
		delete beside.trayOf;
		const fewer = withPartFacts(meal, part, { covers: all - covers });
		return { meal: withTiesSettled({ ...fewer, parts: [...fewer.parts, beside] }), part: id };
	}
	const named = (other: string | undefined) => (other === part ? id : other);
	const parts = meal.parts.map((p): Part => {
		const own = { ...p, id: named(p.id) ?? p.id };
		for (const key of ['trayOf', 'onTop', 'finishes'] as const) {
			const other = named(p[key]);
			if (other !== undefined) own[key] = other;
		}
		// What lay on a tray with others that are long in the oven goes on one of its own.
		if (p.id === part) delete own.trayOf;
		return own;
	});
	const links = meal.links.map((l) => ({
		...l,
		from: { ...l.from, part: named(l.from.part) ?? l.from.part },
		to: { ...l.to, part: named(l.to.part) ?? l.to.part }
	}));
	return { meal: withTiesSettled(withoutDeadLinks({ ...meal, parts, links }, techniques)), part: id };
}

/** Some facts of a part changed: its name, how many it is for, whether the planner chooses, what is made before. */
export function withPartFacts(
	meal: Meal,
	part: string,
	facts: Partial<Pick<Part, 'name' | 'covers' | 'choose' | 'ahead' | 'allergens' | 'wishes'>>
): Meal {
	return changed(meal, part, (p) => {
		const next = { ...p, ...facts };
		const kept = Object.entries(next).filter(([, value]) => value !== undefined);
		const part = Object.fromEntries(kept) as Part;
		return withFewerWishes(part, part.covers ?? meal.covers);
	});
}

/** One more wish, by its id; or one in place of that of the same id. */
export function withWish(meal: Meal, part: string, wish: Wish): Meal {
	const wishes = meal.parts.find((p) => p.id === part)?.wishes ?? [];
	const isThere = wishes.some((w) => w.id === wish.id);
	return withPartFacts(meal, part, {
		wishes: isThere ? wishes.map((w) => (w.id === wish.id ? wish : w)) : [...wishes, wish]
	});
}

export function withoutWish(meal: Meal, part: string, wish: string): Meal {
	const wishes = (meal.parts.find((p) => p.id === part)?.wishes ?? []).filter((w) => w.id !== wish);
	return withPartFacts(meal, part, { wishes });
}

/** One more course, served a while after the last one, with an id of its own. */
export function withCourse(meal: Meal, name: string): Meal {
	const id = freeId(
		meal.courses.map((c) => c.id),
		slugOf(name) || 'course'
	);
	const last = Math.max(meal.earliest, ...meal.courses.map((c) => serviceOf(meal, c)));
	return { ...meal, courses: [...meal.courses, { id, name, service: onClock(last + betweenCourses) }] };
}

/** Without a course and its parts; the last one stays. */
export function withoutCourse(meal: Meal, course: string, techniques: Techniques): Meal {
	if (meal.courses.length < 2) return meal;
	return withoutDeadLinks(
		{
			...meal,
			courses: meal.courses.filter((c) => c.id !== course),
			parts: meal.parts.filter((p) => p.course !== course)
		},
		techniques
	);
}

export function withCourseName(meal: Meal, course: string, name: string): Meal {
	return { ...meal, courses: meal.courses.map((c) => (c.id === course ? { ...c, name } : c)) };
}

/** Vessels in which one part can go on where another was cooked. */
const handedOn: readonly VesselKind[] = ['frying pan', 'grill pan', 'tray', 'pot', 'saucepan'];

/**
 * The link that makes a part go on in what another was cooked in, where the two have a kind of vessel in common: from the end
 * of the one to the start of the other, within an hour.
 */
export function vesselLink(
	meal: Meal,
	from: string,
	to: string,
	techniques: Techniques
): Meal['links'][number] | undefined {
	const heldBy = (part: string) =>
		techniques.get(meal.parts.find((p) => p.id === part)?.technique ?? '')?.vessels ?? [];
	const made = techniques.get(meal.parts.find((p) => p.id === to)?.technique ?? '')?.madeIn;
	for (const kind of made ? [made] : handedOn) {
		const [a, b] = [heldBy(from).find((v) => v.kind === kind), heldBy(to).find((v) => v.kind === kind)];
		if (!a || !b) continue;
		return {
			from: { part: from, step: a.to },
			to: { part: to, step: b.from },
			least: 0,
			most: 3600,
			sameVessel: true
		};
	}
	return undefined;
}

/** The part in whose vessel it goes on, by id. */
export const vesselOf = (meal: Meal, part: Part): string | undefined =>
	meal.links.find((l) => l.sameVessel && l.to.part === part.id)?.from.part;

/** A part in the vessel of another; `undefined`: in one of its own. */
export function withVesselOf(meal: Meal, part: string, other: string | undefined, techniques: Techniques): Meal {
	const links = meal.links.filter((l) => !(l.sameVessel && l.to.part === part));
	const link = other === undefined ? undefined : vesselLink(meal, other, part, techniques);
	return { ...meal, links: link ? [...links, link] : links };
}

const betweenCourses = 40 * 60;

/** A name as an id: lower-case letters, digits and hyphens. */
export function slugOf(name: string): string {
	return name
		.toLowerCase()
		.normalize('NFKD')
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-+|-+$/g, '')
		.slice(0, 50);
}

/** An id like this that is not among those. */
export function freeId(ids: readonly string[], like: string): string {
	const taken = new Set(ids);
	let id = like;
	for (let n = 2; taken.has(id); n++) id = `${like}-${n}`;
	return id;
}

/** A meal without parts, for a kitchen. */
export function emptyMeal(id: string, name: string, kitchen: string): Meal {
	return {
		format: 'juntos-meal',
		version: 1,
		id,
		name,
		kitchen,
		covers: 4,
		earliest: 17 * 3600,
		courses: [{ id: 'plates', name: 'Plates', service: 19 * 3600 + 1800 }],
		parts: [],
		own: [],
		links: []
	};
}
