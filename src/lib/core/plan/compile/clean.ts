// Clean: raw work is followed by a wash of hands, board and knife; a pan or pot that is needed again is washed before.
import type { VesselKind } from '../../model/kitchen';
import type { Step, Technique } from '../../model/technique';
import type { Problem } from '../problem';

/** Seconds: hands; board and knife after raw food; a pan that is used again. */
const washing = { hands: 30, board: 60, pan: 90 } as const;
/** What is washed between two parts. */
export const isWashed: ReadonlySet<VesselKind> = new Set<VesselKind>([
	'frying pan',
	'grill pan',
	'saucepan',
	'pot',
	'dish',
	'tray'
]);

/** Whether a task is a wash. */
export const isWash = (task: string) => task.includes('/wash-');

type Raw = 'meat or fish' | 'egg';

/** What raw food a step of handwork on a board deals with. */
export function rawIn({ ingredients = [] }: Technique, step: Step): Raw | undefined {
	if (step.kind !== 'prep' || step.need?.kind !== 'board') return undefined;
	const own = ingredients.filter((i) => i.step === step.id);
	if (own.some((i) => i.aisle === 'meat and fish')) return 'meat or fish';
	return own.some((i) => i.aisle === 'dairy and eggs' && /\begg/i.test(i.name)) ? 'egg' : undefined;
}

/** The wash after raw work: at once, on the same board. Eggs are broken over a bowl: hands, and what dripped. */
export function washAfter(step: Step, raw: Raw): Step {
	const usual = raw === 'egg' ? washing.hands : washing.hands + washing.board;
	return {
		id: `wash-${step.id}`.slice(0, 64),
		say: raw === 'egg' ? 'Wash hands after the raw egg' : 'Wash hands, board and knife',
		// As the raw work itself: whoever does that washes.
		kind: 'prep',
		time: { shortest: usual - 10, usual, longest: usual + 30 },
		need: { kind: 'board' },
		hands: { kind: 'whole' },
		after: []
	};
}

/** The wash of a vessel that others of its kind are too few for. */
export const washOf = (kind: VesselKind, first: string): Step => ({
	id: `wash-${kind.replace(' ', '-')}-${first}`.slice(0, 64),
	say: `Wash the ${kind}`,
	kind: 'finish',
	time: { shortest: washing.pan - 30, usual: washing.pan, longest: washing.pan + 60 },
	hands: { kind: 'whole' },
	after: []
});

/** Resources that vessels are held from more often than there are of them. */
export function scarceAmong(
	held: readonly { readonly resources: readonly string[]; readonly amount: number }[],
	owned: Problem['resources']
): ReadonlySet<string> {
	const wanted = new Map<string, number>();
	for (const { resources, amount } of held) for (const id of resources) wanted.set(id, (wanted.get(id) ?? 0) + amount);
	return new Set(owned.filter(({ id, capacity }) => (wanted.get(id) ?? 0) > capacity).map(({ id }) => id));
}
