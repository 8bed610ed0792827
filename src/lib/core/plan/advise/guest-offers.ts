// What may be done for a guest to whom a part is not to be served: theirs cooked as it is advised, or left out.
import { finishersOf } from '../../model/finishing';
import { withWish } from '../../model/edit-meal';
import type { Meal } from '../../model/meal';
import type { Clash } from '../../model/plan';
import type { Technique } from '../../model/technique';
import { hardEdge } from '../../heat/egg';

export interface GuestOffer {
	readonly id: string;
	readonly what:
		| { readonly kind: 'without'; readonly guest: string; readonly part: string }
		| { readonly kind: 'hotter'; readonly guest: string; readonly part: string; readonly celsius: number }
		| { readonly kind: 'hard'; readonly guest: string; readonly part: string }
		| { readonly kind: 'undressed'; readonly guest: string; readonly part: string; readonly sauces: readonly string[] };
	readonly meal: Meal;
}

/** What would mend a clash, the gentlest first. Each is a meal to put in force. */
export function offersFor(clash: Clash, meal: Meal, techniques: ReadonlyMap<string, Technique>): readonly GuestOffer[] {
	const part = meal.parts.find((p) => p.id === clash.part);
	const technique = techniques.get(part?.technique ?? '');
	if (!part || !technique) return [];
	const { guest, name, of } = clash;
	const known = part.wishes?.find((w) => w.guest === guest);
	const base = {
		id: known?.id ?? `for-${guest}`.slice(0, 40),
		guest,
		name,
		covers: 1,
		settings: known?.settings ?? {}
	};
	const told = { guest: name, part: of };
	const offers: GuestOffer[] = [];
	const care = clash.why.kind === 'risk' ? clash.why.care : undefined;
	const peak = technique.parameters.find((p) => p.id === 'peak');
	if (care?.kind === 'below-advised' && peak && peak.most >= care.advised) {
		const celsius = Math.min(peak.most, Math.ceil(care.advised) + 0.5);
		const wish = { ...base, settings: { ...base.settings, peak: celsius } };
		offers.push({
			id: `${guest} ${part.id} hotter`,
			what: { kind: 'hotter', ...told, celsius },
			meal: withWish(meal, part.id, wish)
		});
	}
	const yolk = technique.parameters.find((p) => p.id === 'yolk');
	const hard = yolk?.options?.find((o) => o.value >= hardEdge);
	if (care?.kind === 'soft-egg' && hard) {
		const wish = { ...base, settings: { ...base.settings, yolk: hard.value } };
		offers.push({
			id: `${guest} ${part.id} hard`,
			what: { kind: 'hard', ...told },
			meal: withWish(meal, part.id, wish)
		});
	}
	const without = { ...base, settings: {}, without: true };
	const sauces = finishersOf(meal, part);
	if (sauces.length > 0)
		offers.push({
			id: `${guest} ${part.id} undressed`,
			what: { kind: 'undressed', ...told, sauces: sauces.map((s) => s.name) },
			meal: sauces.reduce((m, s) => withWish(m, s.id, without), withWish(meal, part.id, base))
		});
	offers.push({
		id: `${guest} ${part.id} without`,
		what: { kind: 'without', ...told },
		meal: withWish(meal, part.id, without)
	});
	return offers;
}
