// Guests who have to be cooked for with care, in words: what is not for them, and what would mend it.
import type { Clash, Plan, PlannedPart } from '../model/plan';
import type { Cue } from '../run/cues';
import type { GuestOffer } from '../plan/advise/guest-offers';
import { plainCelsius } from './quantities';

const raws: Readonly<Record<string, string>> = {
	egg: 'raw or hardly warmed egg',
	fish: 'raw fish',
	meat: 'raw meat',
	sprouts: 'raw sprouts',
	milk: 'unpasteurised milk'
};
const cares: Partial<Record<string, string>> = {
	'soft-egg': 'the egg stays soft',
	'start-too-warm': 'it lay too warm',
	'held-too-long': 'it is too long neither cold nor hot'
};

/** Why a part is not for somebody. */
export function wordClash({ name, of, why }: Clash): string {
	switch (why.kind) {
		case 'allergen':
			return `${of} is not for ${name}: it contains ${why.allergens.join(', ')}.`;
		case 'diet':
			return `${of} is not for ${name} (${why.diet}): it contains ${why.holds}.`;
		case 'raw':
			return `${of} is not for ${name} (${why.risk}): ${raws[why.raw] ?? why.raw}.`;
		case 'risk': {
			const { care } = why;
			const what =
				care.kind === 'below-advised'
					? `it stays below ${plainCelsius(care.advised)}`
					: (cares[care.kind] ?? care.kind);
			return `${of} is not for ${name} (${why.risk}): ${what}.`;
		}
	}
}

/** The same in few words, for the pass and the cook's hands: "not for Ana: milk". */
export function wordShortly({ name, why }: Clash): string {
	const what = why.kind === 'allergen' ? why.allergens.join(', ') : why.kind === 'diet' ? why.diet : why.risk;
	return `not for ${name}: ${what}`;
}

/** What of a part is not for somebody; all portions of it share that. */
export const clashesOfPart = (part: Pick<PlannedPart, 'id' | 'of'>, clashes: readonly Clash[]): readonly Clash[] =>
	clashes.filter((c) => c.part === (part.of ?? part.id));

/** Whom what a cue is about is not for: its part, or at the pass all parts of the course, each by name. */
export function wordNotFor(cue: Pick<Cue, 'part' | 'course'>, { parts, clashes }: Plan): readonly string[] {
	const part = parts.find((p) => p.id === cue.part);
	const said = part
		? clashesOfPart(part, clashes).map(wordShortly)
		: parts
				.filter((p) => p.course === cue.course)
				.flatMap((p) => clashesOfPart(p, clashes))
				.map((c) => `${c.of} ${wordShortly(c)}`);
	return [...new Set(said)];
}

export function wordGuestOffer({ what }: GuestOffer): string {
	switch (what.kind) {
		case 'without':
			return `${what.guest} without ${what.part}`;
		case 'hotter':
			return `${what.guest}’s to ${plainCelsius(what.celsius)}`;
		case 'hard':
			return `${what.guest}’s egg hard`;
		case 'undressed':
			return `${what.guest}’s ${what.part} without the ${what.sauces.join(', ').toLowerCase()}`;
	}
}
