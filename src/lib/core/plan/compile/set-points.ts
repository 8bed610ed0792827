// The price of a set point that is not the technique's own. The format prices options and ends, not modes: so a task that
// nobody does stands beside each bake, tied to it by what the oven is set to, and is the longer the further that is away.
import type { Problem } from '../problem';
import { grid } from '../grid';
import { setPointOf, type TracedStep, type Way } from './traced';

/** Ids of tasks that only carry a price, and of the one that they begin with. */
const prefix = 'set point:';
const anchor = `${prefix}0`;

/** Whether a task of the problem is one that nobody does. */
export const isPrice = (task: string) => task.startsWith(prefix);

type Priced = Pick<Problem, 'tasks' | 'ties' | 'lags' | 'wants'>;

/** What a tie knows a way by. */
const labelOf = ({ place, stay, at }: Way): string => (stay && at !== undefined ? at : setPointOf(place?.setting ?? 0));

/**
 * Tasks, ties, lags and wants that price the set points of steps that may be done at several. A stay that has one label for
 * several set points has no price.
 *
 * @param price of one °C
 */
export function priceSetPoints(steps: ReadonlyMap<string, TracedStep>, price: number): Priced {
	const priced = [...steps].flatMap(([id, { step, ways }]) => {
		const own = step.need?.kind === 'oven' ? step.need.settings[0] : undefined;
		const settings = new Map(
			ways.flatMap((w) => (w.place?.setting === undefined ? [] : [[labelOf(w), w.place.setting]]))
		);
		const isClear = ways.every((w) => w.place?.setting === undefined || settings.get(labelOf(w)) === w.place.setting);
		const isFree = own === undefined || new Set(settings.values()).size < 2 || !isClear;
		return isFree ? [] : [{ id, own, settings: [...settings] }];
	});
	if (priced.length === 0 || price === 0) return { tasks: [], ties: [], lags: [], wants: [] };
	return {
		tasks: [
			{ id: anchor, modes: [{ duration: grid }], ahead: true, fixed: { start: 0, mode: 0 } },
			...priced.map(({ id, own, settings }) => ({
				id: `${prefix}${id}`,
				ahead: true,
				modes: settings.map(([at, s]) => ({
					duration: grid + Math.round((price * Math.abs(s - own)) / grid) * grid,
					at
				}))
			}))
		],
		ties: priced.map(({ id }) => [id, `${prefix}${id}`]),
		// All of them from the first instant: they end when they have lasted.
		lags: priced.map(({ id }) => ({ from: anchor, to: `${prefix}${id}`, min: -grid, max: -grid })),
		wants: priced.map(({ id }) => ({ task: `${prefix}${id}`, by: grid, rate: 1 }))
	};
}
