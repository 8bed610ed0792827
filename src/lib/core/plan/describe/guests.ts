// What of a plan is not for a guest: allergens, what they do not eat, and what is risky for those at risk.
import { notEaten } from '../../foods/diets';
import type { Guest, Meal, Part } from '../../model/meal';
import type { Clash, PlannedPart, PlannedStep } from '../../model/plan';
import type { Technique } from '../../model/technique';
import type { Care } from '../../model/time-facts';

interface Planned {
	readonly parts: readonly Pick<PlannedPart, 'id' | 'of' | 'technique' | 'allergens' | 'tray' | 'into'>[];
	readonly steps: readonly Pick<PlannedStep, 'id' | 'part' | 'care'>[];
}

/** What a guest at risk is not served. */
const risky: ReadonlySet<Care['kind']> = new Set<Care['kind']>([
	'below-advised',
	'soft-egg',
	'start-too-warm',
	'held-too-long'
]);

/** Everything of a plan that is not for one of its guests, each part once a guest and reason. */
export function clashesOf(meal: Meal, plan: Planned, techniques: ReadonlyMap<string, Technique>): readonly Clash[] {
	return (meal.guests ?? []).flatMap((guest) =>
		meal.parts.flatMap((part) => {
			const own = part.wishes?.find((w) => w.guest === guest.id);
			if (own?.without === true) return [];
			const portion =
				plan.parts.find((p) => p.id === `${part.id}-${own?.id ?? ''}`) ??
				plan.parts.find((p) => (p.of ?? p.id) === part.id);
			const technique = techniques.get(portion?.technique ?? part.technique);
			if (!portion || !technique) return [];
			const techniquesOf = (parts: Planned['parts']) => parts.flatMap((p) => techniques.get(p.technique ?? '') ?? []);
			const beside = plan.parts.filter((p) => portion.tray?.includes(p.of ?? p.id));
			const ofPortion = new Set(plan.steps.flatMap((s) => (s.part === portion.id ? s.id : [])));
			const sauces = plan.parts.filter((p) => p.into?.some((step) => ofPortion.has(step)));
			const eaten = [technique, ...techniquesOf(sauces)];
			const touched = techniquesOf(beside);
			const cares = [...caresOf(part, portion, plan), ...sauces.flatMap((s) => caresOf({ id: s.of ?? s.id }, s, plan))];
			return reasonsOf(guest, portion, { eaten, touched, cares }).map((why) => ({
				guest: guest.id,
				name: guest.name,
				part: part.id,
				of: part.name,
				why
			}));
		})
	);
}

/** What comes to a guest with a portion. */
interface Served {
	/** Its own technique, and those of what finishes it. */
	readonly eaten: readonly Technique[];
	/** Those of what lies on its tray. */
	readonly touched: readonly Technique[];
	readonly cares: readonly Care[];
}

function reasonsOf(
	{ allergies, diet, risk }: Guest,
	portion: Planned['parts'][number],
	{ eaten, touched, cares }: Served
): readonly Clash['why'][] {
	const tags = (portion.allergens ?? []).filter((tag) => allergies.some((a) => a === tag));
	const holds =
		diet &&
		notEaten(
			diet,
			[...eaten, ...touched].flatMap((t) => t.ingredients ?? [])
		);
	const raws = new Set(eaten.flatMap((t) => t.raw ?? []));
	const once = [...new Map(cares.map((c) => [c.kind, c])).values()];
	return [
		...(tags.length > 0 ? [{ kind: 'allergen' as const, allergens: tags }] : []),
		...(diet !== undefined && holds !== undefined ? [{ kind: 'diet' as const, diet, holds }] : []),
		...(risk === undefined ? [] : [...raws].map((raw) => ({ kind: 'raw' as const, risk, raw }))),
		...(risk === undefined ? [] : once.map((care) => ({ kind: 'risk' as const, risk, care })))
	];
}

/** Risky cares of the steps that a portion goes through: its own, and those it shares with the first. */
function caresOf(part: Pick<Part, 'id'>, portion: Planned['parts'][number], { steps }: Planned): readonly Care[] {
	const stepOf = (id: string) => id.slice(id.lastIndexOf('/') + 1).replace(/-b\d+$/, '');
	const own = steps.filter((s) => s.part === portion.id);
	const has = new Set(own.map((s) => stepOf(s.id)));
	const shared = portion.id === part.id ? [] : steps.filter((s) => s.part === part.id && !has.has(stepOf(s.id)));
	return [...own, ...shared].flatMap((s) => s.care).filter((c) => risky.has(c.kind));
}
