// How long a part is neither cold nor hot: what the safety clock counts over all of its steps.
import type { PlannedStep } from '../../model/plan';
import { laneRow } from '../../model/stations';
import type { Technique } from '../../model/technique';

type Timed = Pick<PlannedStep, 'kind' | 'from' | 'to' | 'lane' | 'peak'>;

/** What food is kept in stays above 57 °C so long once it has left the heat at 90 °C, seconds (est.: a lidded pot, a dish, a portion). */
const staysHot = { pot: 85 * 60, dish: 78 * 60, portion: 29 * 60 } as const;
/** A piece that peaks above this stays hot through its rest, °C and seconds (est.). */
const hotPiece = { peak: 60, seconds: 15 * 60 };

/** Parts that spoil from the first touch; all others do once they are cooked. */
const rawSpoils: ReadonlySet<Technique['kind']> = new Set<Technique['kind']>(['protein', 'egg']);
/** Nobody counts the time of these: dry, sour or drunk at once. */
const uncounted: ReadonlySet<Technique['kind']> = new Set<Technique['kind']>(['bread', 'drink', 'table', 'dessert']);

/** How long a part of a technique stays hot by itself, seconds, by what it is cooked in last. */
function hotFor({ kind, vessels }: Pick<Technique, 'kind' | 'vessels'>, peak: number | undefined): number {
	if (rawSpoils.has(kind)) return peak !== undefined && peak >= hotPiece.peak ? hotPiece.seconds : 0;
	const last = vessels.at(-1)?.kind;
	if (last === 'pot' || last === 'saucepan') return staysHot.pot;
	return last === 'dish' ? staysHot.dish : staysHot.portion;
}

/**
 * Seconds until a part is on the plate in which it is neither on the heat, nor in the cold, nor still hot of itself. Meat,
 * fish and eggs count from their first touch, all else from when it is first cooked. Steps without the food itself (water,
 * pans) do not begin it; what is made ahead is kept cold meanwhile.
 *
 * @param laneKind kind of the place of a step, by lane
 * @param plated when it goes on the plate
 */
export function secondsBetween(
	technique: Pick<Technique, 'kind' | 'vessels'>,
	steps: readonly Timed[],
	laneKind: ReadonlyMap<string, string>,
	plated: number
): number {
	if (uncounted.has(technique.kind)) return 0;
	const rowOf = (s: Timed) => laneRow(laneKind.get(s.lane) ?? '');
	const handled = steps.filter((s) => s.kind !== 'preheat');
	const spoiling = rawSpoils.has(technique.kind) ? handled : handled.filter((s) => s.kind === 'cook');
	const from = Math.min(plated, ...spoiling.map((s) => s.from));
	const peak = steps.reduce<number | undefined>(
		(most, s) => (s.peak === undefined ? most : Math.max(s.peak, most ?? 0)),
		undefined
	);
	const warm = hotFor(technique, peak);
	const kept = handled
		.filter((s) => rowOf(s)?.isSafe)
		.map((s) => {
			const isHot = rowOf(s)?.isHot === true && (s.kind === 'cook' || s.kind === 'hold');
			return { from: Math.max(from, s.from), to: Math.min(plated, s.to + (isHot ? warm : 0)) };
		})
		.sort((a, b) => a.from - b.from);
	let [covered, until] = [0, from];
	for (const { from: start, to } of kept) {
		covered += Math.max(0, to - Math.max(start, until));
		until = Math.max(until, to);
	}
	return plated - from - covered;
}
