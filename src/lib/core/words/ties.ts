// How a part hangs together with others: a tray, a pan, a sauce that finishes it, what it stands on. In metric units.
import { isUntied, vesselOf } from '../model/edit-meal';
import { finishersOf } from '../model/finishing';
import type { Meal, Part } from '../model/meal';
import type { Technique } from '../model/technique';
import type { Trays } from '../plan/compile/trays';
import { wordApart } from './loads';

export interface TieWords {
	readonly text: string;
	/** Whether it is something to mend. */
	readonly isAmiss: boolean;
}

export function wordTies(
	meal: Meal,
	part: Part,
	trays: Trays,
	techniques: ReadonlyMap<string, Technique>
): readonly TieWords[] {
	const nameOf = (id: string | undefined) => meal.parts.find((p) => p.id === id)?.name;
	const apart = trays.apart.find((a) => a.parts.some((p) => p.id === part.id));
	const shared = trays.shared.find((s) => s.members.some((m) => m.part.id === part.id));
	const beside = shared?.members.filter((m) => m.part.id !== part.id).map((m) => m.part.name) ?? [];
	const [host, finished, base] = [nameOf(vesselOf(meal, part)), nameOf(part.finishes), nameOf(part.onTop)];
	const sauces = finishersOf(meal, part).map((p) => p.name);
	const { madeIn } = techniques.get(part.technique) ?? {};
	const said: (TieWords | undefined)[] = [
		apart && { text: wordApart(apart), isAmiss: true },
		beside.length > 0 ? { text: `on one tray with ${beside.join(', ')}`, isAmiss: false } : undefined,
		madeIn !== undefined && host !== undefined
			? { text: `made in the ${madeIn} of ${host}, when that has left it`, isAmiss: false }
			: undefined,
		madeIn !== undefined && isUntied(meal, part, techniques)
			? {
					text: `made in the ${madeIn} that another part leaves: add one, or choose it below under “more”`,
					isAmiss: true
				}
			: undefined,
		base === undefined ? undefined : { text: `on top of ${base}`, isAmiss: false },
		finished === undefined ? undefined : { text: `finishes ${finished}, as its last step`, isAmiss: false },
		sauces.length > 0 ? { text: `finished with ${sauces.join(', ')}`, isAmiss: false } : undefined
	];
	return said.filter((w) => w !== undefined);
}
