// Film coefficients by surroundings, W/(m² K), with the range in which they lie.

export interface FilmRow {
	readonly h: number;
	readonly range: readonly [number, number];
	/** Whether radiation is in it already. */
	readonly isTotal: boolean;
	readonly source: string;
}

const row = (h: number, low: number, high: number, source: string, isTotal = true): FilmRow => ({
	h,
	range: [low, high],
	isTotal,
	source
});
const incropera = 'Incropera & DeWitt 2007';

export const films = {
	'still oven': row(8, 5, 12, `${incropera}; est.`, false),
	'fan oven': row(20, 15, 40, `${incropera}; est.`, false),
	grill: row(60, 40, 120, 'est.'),
	'wood oven': row(15, 10, 30, 'est.', false),
	simmer: row(1000, 500, 3000, incropera),
	'rolling boil': row(2000, 500, 3000, incropera),
	steam: row(3000, 800, 10_000, incropera),
	'steam with air': row(800, 300, 3000, incropera),
	'water bath': row(95, 80, 200, 'Baldwin 2012, through bag and film'),
	'still bath': row(60, 40, 100, 'Baldwin 2012'),
	'bubbling oil': row(500, 300, 1000, 'Hubbard & Farkas 1999'),
	'quiet oil': row(250, 150, 300, 'Hubbard & Farkas 1999'),
	'dry pan': row(350, 200, 1200, 'Houšová & Topinka 1985'),
	basting: row(300, 150, 500, 'est.'),
	'on a rack': row(12, 8, 15, `${incropera}; est.`),
	'on a board': row(10, 6, 12, `${incropera}; est.`),
	tented: row(6, 4, 8, 'est.'),
	fridge: row(7, 5, 25, 'ASHRAE Refrigeration'),
	'fan fridge': row(15, 5, 25, 'ASHRAE Refrigeration'),
	'ice water': row(250, 150, 1000, incropera),
	'stirred ice water': row(600, 150, 1000, incropera),
	'hot cupboard': row(9, 6, 12, 'est.')
} as const satisfies Readonly<Record<string, FilmRow>>;

/** A film behind layers: metres and W/(m K) of each (air 0.026, paper 0.1, fat of skin 0.2), resistances in series. */
export function behind(h: number, layers: readonly { readonly thickness: number; readonly k: number }[]): number {
	return 1 / layers.reduce((resistance, { thickness, k }) => resistance + thickness / k, 1 / h);
}
