// Core temperatures by style, after carryover: taste only. Safety runs beside it and flags.

export interface Style {
	readonly id: string;
	readonly say: string;
	/** Range of the core at its peak, °C. */
	readonly from: number;
	readonly to: number;
}

const style = (id: string, from: number, to: number, say = id): Style => ({ id, say, from, to });
const red = [
	style('blue', 46, 49),
	style('rare', 50, 53),
	style('medium rare', 54, 57),
	style('medium', 58, 62),
	style('medium well', 63, 68),
	style('well', 71, 75)
];

/** By food: McGee 2004, Baldwin 2012, usual kitchen practice; houses differ: the default is the middle of a range. */
export const doneness = {
	'beef, lamb, venison': red,
	'pork, veal': [style('pink', 60, 63), style('done', 65, 68), style('well', 71, 75)],
	'duck, pigeon breast': [style('rare', 52, 54), style('pink', 55, 59), style('further', 60, 65)],
	'poultry breast': [style('tender', 63, 65, 'tender, held'), style('classic', 68, 74)],
	'poultry leg': [style('done', 77, 82)],
	mince: [style('done', 71, 74)],
	'salmon, trout': [style('translucent', 43, 46), style('tender', 48, 52), style('flaky', 55, 60)],
	tuna: [style('rare', 42, 50)],
	'white fish': [style('just flaking', 50, 54), style('flaky', 58, 62)],
	scallop: [style('done', 50, 54)],
	'prawn, lobster': [style('done', 57, 62)],
	custard: [style('set', 80, 83)],
	quiche: [style('set', 75, 80)],
	gratin: [style('hot through', 85, 92)],
	'lean bread': [style('done', 95, 98)]
} as const satisfies Readonly<Record<string, readonly Style[]>>;

/** The middle of a style's range, °C. */
export const middleOf = ({ from, to }: Style) => (from + to) / 2;
