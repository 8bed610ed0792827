// Changes to a meal, each of which leaves it consistent: links whose steps are gone go with them.
import type { Meal, Part } from './meal';
import type { Technique } from './technique';

type Techniques = ReadonlyMap<string, Technique>;
const tones = 8;

export function withCovers(meal: Meal, covers: number): Meal {
	return { ...meal, covers };
}

export function withService(meal: Meal, course: string, service: number): Meal {
	return { ...meal, courses: meal.courses.map((c) => (c.id === course ? { ...c, service } : c)) };
}

/** A parameter of one part set to a value; the usual value is left out. */
export function withSetting(meal: Meal, part: string, parameter: string, value: number, usual: number): Meal {
	return changed(meal, part, (p) => {
		const others = Object.entries(p.settings).filter(([key]) => key !== parameter);
		return { ...p, settings: Object.fromEntries(value === usual ? others : [...others, [parameter, value]]) };
	});
}

/** Another way to make a part; settings that the new one lacks, and links to steps it lacks, are dropped. */
export function withTechnique(meal: Meal, part: string, technique: Technique, techniques: Techniques): Meal {
	const known = new Set(technique.parameters.map((p) => p.id));
	const next = changed(meal, part, (p) => ({
		...p,
		technique: technique.id,
		settings: Object.fromEntries(Object.entries(p.settings).filter(([key]) => known.has(key)))
	}));
	return withoutDeadLinks(next, techniques);
}

export function withoutPart(meal: Meal, part: string, techniques: Techniques): Meal {
	return withoutDeadLinks({ ...meal, parts: meal.parts.filter((p) => p.id !== part) }, techniques);
}

/** A new part, last in its course, with an id of its own and the tone least used. */
export function withPart(meal: Meal, technique: Technique, course: string): Meal {
	const ids = new Set(meal.parts.map((p) => p.id));
	let id = technique.id;
	for (let n = 2; ids.has(id); n++) id = `${technique.id}-${n}`;
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
