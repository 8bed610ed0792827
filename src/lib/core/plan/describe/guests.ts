// What of a plan is not for a guest: allergens, what they do not eat, and what is risky for those at risk.
import { notEaten } from '../../foods/diets';
import type { Guest, Meal, Part } from '../../model/meal';
import type { Clash, PlannedPart, PlannedStep } from '../../model/plan';
import type { Technique } from '../../model/technique';
import type { Care } from '../../model/time-facts';

interface Planned {
	readonly parts: readonly Pick<PlannedPart, 'id' | 'of' | 'technique' | 'allergens' | 'tray'>[];
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
			const beside = plan.parts.filter((p) => portion.tray?.includes(p.of ?? p.id));
			const touching = [technique, ...beside.flatMap((p) => techniques.get(p.technique ?? '') ?? [])];
			return reasonsOf(guest, part, portion, touching, plan).map((why) => ({
				guest: guest.id,
				name: guest.name,
				part: part.id,
				of: part.name,
				why
			}));
		})
	);
}

function reasonsOf(
	guest: Guest,
	part: Part,
	portion: Planned['parts'][number],
	/** Its own, and those of what lies on its tray. */
	techniques: readonly Technique[],
	plan: Planned
): readonly Clash['why'][] {
	const { allergies, diet, risk } = guest;
	const holds = (portion.allergens ?? []).filter((tag) => allergies.some((a) => a === tag));
	const eaten =
		diet === undefined
			? undefined
			: notEaten(
					diet,
					techniques.flatMap((t) => t.ingredients ?? [])
				);
	const raw = techniques[0]?.raw;
	return [
		...(holds.length > 0 ? [{ kind: 'allergen' as const, allergens: holds }] : []),
		...(diet !== undefined && eaten !== undefined ? [{ kind: 'diet' as const, diet, holds: eaten }] : []),
		...(risk !== undefined && raw !== undefined ? [{ kind: 'raw' as const, risk, raw }] : []),
		...(risk === undefined ? [] : caresOf(part, portion, plan).map((care) => ({ kind: 'risk' as const, risk, care })))
	];
}

/** Risky cares of the steps that a portion goes through, each kind once: its own, and those it shares with the first. */
function caresOf(part: Part, portion: Planned['parts'][number], { steps }: Planned): readonly Care[] {
	const stepOf = (id: string) => id.slice(id.lastIndexOf('/') + 1).replace(/-b\d+$/, '');
	const own = steps.filter((s) => s.part === portion.id);
	const has = new Set(own.map((s) => stepOf(s.id)));
	const shared = portion.id === part.id ? [] : steps.filter((s) => s.part === part.id && !has.has(stepOf(s.id)));
	const cares = [...own, ...shared].flatMap((s) => s.care).filter((c) => risky.has(c.kind));
	return [...new Map(cares.map((c) => [c.kind, c])).values()];
}
