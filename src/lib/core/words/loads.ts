// Why a load is as large as it is, and what else would do.
import type { Batches } from '../plan/compile/load';
import type { SharedTray, TrayApart } from '../plan/compile/trays';

const pieces = (most: number) => (most === 1 ? 'one piece' : `${most} pieces`);
const counted = (n: number, word: string, many = `${word}s`) => `${n} ${n === 1 ? word : many}`;

/** Why it is so, in metric units (see `inUnits`). */
export function wordLoad({ limit, most, by }: Batches): string {
	switch (limit.kind) {
		case 'tray':
			return `${limit.perTray} pieces a tray leave it ${Math.round(100 * limit.full)} % full: fuller, it steams instead of browning.`;
		case 'pan':
			return by === 'heat'
				? `${pieces(most)} at a time is all that the strongest burner keeps at 180 °C: more would stew.`
				: `${pieces(most)} at a time fill the pan as far as it still browns.`;
		case 'layer':
			return `${pieces(most)} at a time lie in one layer: ${Math.round(limit.area * 10_000)} cm², ${Math.round(100 * limit.full)} % full at the most.`;
		case 'pot':
			return by === 'heat'
				? `${most.toFixed(1)} kg drop the boil by ${limit.drop} K; more would stew before it boils again.`
				: `${most.toFixed(1)} kg swim in ${limit.litres.toFixed(1)} l; more would break up.`;
		case 'fryer':
			return by === 'heat'
				? `${most.toFixed(2)} kg cool ${limit.litres} l of oil by 20 K; more would soak it up.`
				: `${most.toFixed(2)} kg swim freely in ${limit.litres} l; more would stick together.`;
		case 'dish':
			return `${limit.each.toFixed(1)} l fill a dish as deep as asked: what does not fit goes into another, not deeper.`;
		case 'base':
			return `${most.toFixed(1)} l are as much as can be stirred over ${Math.round(limit.area * 10_000)} cm²: more would steam.`;
		case 'basket':
			return `${most.toFixed(1)} kg heap a basket of ${limit.litres.toFixed(1)} l: steam no longer comes through more.`;
		case 'bath':
			return `${most.toFixed(1)} kg are a third of ${limit.litres} l: the water must go round every bag.`;
	}
}

const minutes = (seconds: number) => `${Math.round(seconds / 60)} min`;
const list = (names: readonly string[]) =>
	names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

/** What goes onto a shared tray when. */
export function wordAdded({ members }: SharedTray): readonly string[] {
	const [first] = members;
	return members.map(({ part, seconds }, i) => {
		const later = (first?.seconds ?? 0) - seconds;
		if (i === 0) return `${part.name} first, ${minutes(seconds)}`;
		return later < 60
			? `${part.name} right after, ${minutes(seconds)}`
			: `${part.name} ${minutes(later)} later, ${minutes(seconds)}`;
	});
}

/** How full a shared tray gets, and that it loosens. */
export function wordFull({ covered, coveredAtEnd, vessels }: SharedTray): string {
	const most = Math.round(100 * Math.max(...covered));
	const end = Math.round(100 * coveredAtEnd);
	const on = vessels === 1 ? 'The tray' : `${vessels} trays`;
	return `${on} ${vessels === 1 ? 'is' : 'are'} ${most} % covered at the fullest, ${end} % as all comes out: pieces shrink as they lose water.`;
}

/** Why parts that were to share a tray do not, and what would help. */
export function wordApart({ parts, why }: TrayApart): string {
	const names = list(parts.map((p) => p.name));
	switch (why.kind) {
		case 'set point':
			return `${names} have no oven temperature in common here: each goes on a tray of its own.`;
		case 'room':
			return `${names} need ${counted(why.needed, 'tray')} together and there ${why.there === 1 ? 'is' : 'are'} ${counted(why.there, 'tray')} with a rack: they go apart. Fewer of them, smaller pieces or one more tray would do.`;
	}
}

/** Which vessels may work side by side: a plan that wants their burners takes one after another. */
function wordBeside(lanes: Batches['lanes']): string {
	const names = lanes.map((l) => l.vessel).filter((v) => v !== undefined);
	if (names.length < 2) return '';
	const which = [...new Set(names)].join(' and ');
	return `, up to ${counted(names.length, 'vessel')} side by side (${which})`;
}

/** What follows from what the kitchen lacks, and its mend; nothing where all goes in at once. */
export function wordBatches({ limit, whole, most, by, batches, lanes }: Batches): string | undefined {
	if (batches <= 1) return undefined;
	const beside = wordBeside(lanes);
	switch (limit.kind) {
		case 'tray': {
			const { needed, trays, racks } = limit;
			const short = trays <= racks ? counted(trays, 'tray') : counted(racks, 'rack');
			return `${needed} trays are needed and there ${Math.min(trays, racks) === 1 ? 'is' : 'are'} ${short}: ${batches} batches, each as long. One more tray and rack, smaller pieces or fewer people would do.`;
		}
		case 'pan':
			return `${whole} pieces, ${pieces(most)} at a time: ${batches} batches${beside}. A wider pan${by === 'heat' ? ' on a stronger burner' : ''}, or the oven, would do them at once.`;
		case 'layer':
			return `${whole} pieces, ${pieces(most)} at a time: ${batches} batches${beside}. A larger vessel or another way would do them at once.`;
		case 'pot':
			return `${whole.toFixed(1)} kg go in ${batches} batches${beside}. A larger pot would do it at once.`;
		case 'fryer':
			return `${whole.toFixed(1)} kg go in ${batches} batches of ${(whole / batches).toFixed(2)} kg. More oil${by === 'heat' ? ' and power' : ''} would take fewer.`;
		case 'dish':
			return `${limit.needed} dishes are needed and there ${limit.dishes === 1 ? 'is' : 'are'} ${counted(limit.dishes, 'dish', 'dishes')} with a rack: ${batches} batches. A larger dish, or another, would do it at once.`;
		case 'base':
			return `${whole.toFixed(1)} l, ${most.toFixed(1)} l at a time: ${batches} batches${beside}. A wider pan would take fewer.`;
		case 'basket':
			return `${whole.toFixed(1)} kg go in ${batches} batches${beside}. A larger basket, or boiling, would do it at once.`;
		case 'bath':
			return `${whole.toFixed(1)} kg go in ${batches} batches. More litres of bath would do it at once.`;
	}
}
