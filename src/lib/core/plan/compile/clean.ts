// Clean: raw work is followed by a wash of hands, board and knife; a pan or pot that is needed again is washed before.
import type { Kitchen, VesselKind } from '../../model/kitchen';
import type { Step, Technique } from '../../model/technique';

/** Seconds: hands; board and knife after raw food; a pan that is used again. */
const washing = { hands: 30, board: 60, pan: 90 } as const;
const washed: ReadonlySet<VesselKind> = new Set<VesselKind>([
	'frying pan',
	'grill pan',
	'saucepan',
	'pot',
	'dish',
	'tray'
]);

/** Whether a task is a wash. */
export const isWash = (task: string) => /\/wash-/.test(task);

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
		kind: 'finish',
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

/** Kinds of vessels that are used more often than there are of them. */
export function scarceKinds(
	vessels: readonly { readonly kind: VesselKind; readonly amount: number }[],
	kitchen: Kitchen
): ReadonlySet<VesselKind> {
	const owned = (kind: VesselKind) =>
		kitchen.vessels.filter((v) => v.kind === kind).reduce((sum, v) => sum + v.count, 0);
	const wanted = (kind: VesselKind) => vessels.filter((v) => v.kind === kind).reduce((sum, v) => sum + v.amount, 0);
	return new Set([...washed].filter((kind) => wanted(kind) > owned(kind)));
}
