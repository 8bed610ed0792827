// What is warmed and kept warm: plates before a hot course, and parts that wait, in the warm drawer where there is one.
import type { Kitchen } from '../../model/kitchen';
import type { PlannedStep } from '../../model/plan';
import { laneRow } from '../../model/stations';
import type { Technique } from '../../model/technique';

type Timed = Pick<PlannedStep, 'kind' | 'from' | 'to' | 'lane'>;

/** Plates take so long to warm through, seconds (est.: 0.65 kg of stoneware in air at 70 °C). */
export const platesWarmIn = 20 * 60;
/** What has been off the heat for longer is not served hot, seconds (est.). */
const coolsIn = 45 * 60;
/** Kinds that warm a plate is made for; a drawer would cook on what is a protein or an egg, and soften what is a garnish. */
const onHotPlates: ReadonlySet<Technique['kind']> = new Set<Technique['kind']>(['protein', 'egg', 'side', 'starch']);
const inDrawer: ReadonlySet<Technique['kind']> = new Set<Technique['kind']>(['side', 'starch', 'sauce']);
/** Shorter waits are not worth a way to the drawer, seconds. */
const worthIt = 3 * 60;

/** Whether a part comes to its plate hot: off the heat a short while ago, and not chilled since. */
export function isServedHot(steps: readonly Timed[], laneKind: ReadonlyMap<string, string>, plated: number): boolean {
	const rowOf = (s: Timed) => laneRow(laneKind.get(s.lane) ?? '');
	const last = (of: (s: Timed) => boolean) => Math.max(-Infinity, ...steps.filter(of).map((s) => s.to));
	const hot = last((s) => rowOf(s)?.isHot === true && (s.kind === 'cook' || s.kind === 'hold'));
	const cold = last((s) => s.kind === 'chill' || laneKind.get(s.lane) === 'cold');
	return hot > cold && plated - hot <= coolsIn;
}

interface Waiting {
	readonly id: string;
	readonly course: string;
	readonly kind: Technique['kind'];
	readonly isHot: boolean;
	/** Seconds. */
	readonly wait: number;
}

/** Courses that want warm plates. */
export const wantWarmPlates = (parts: readonly Waiting[]): ReadonlySet<string> =>
	new Set(parts.filter((p) => p.isHot && onHotPlates.has(p.kind)).map((p) => p.course));

/** The warm drawer of a kitchen, and the parts that wait in it: those that wait longest, one to a place. */
export function drawerOf(
	kitchen: Kitchen,
	parts: readonly Waiting[]
): { readonly name: string; readonly parts: ReadonlySet<string> } | undefined {
	const drawer = kitchen.stations.find((s) => s.kind === 'warm');
	if (drawer?.kind !== 'warm') return undefined;
	const waiting = parts
		.filter((p) => p.isHot && inDrawer.has(p.kind) && p.wait >= worthIt)
		.toSorted((a, b) => b.wait - a.wait);
	return { name: drawer.name, parts: new Set(waiting.slice(0, drawer.places).map((p) => p.id)) };
}
