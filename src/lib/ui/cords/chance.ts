// The chance that a course has gone out, along the time after it is due: as a line to draw.

export interface ChanceLine {
	readonly path: string;
	readonly ticks: readonly { readonly x: number; readonly seconds: number }[];
}

const fiveMinutes = 300;

/**
 * @param late seconds late at the k-th of hundred quantiles, ascending
 * @returns a path from the due time on, its top the certainty; ticks in whole five minutes
 */
export function chanceLine(late: readonly number[], width: number, height: number): ChanceLine {
	const most = late.at(-3) ?? 0;
	const span = fiveMinutes * Math.max(2, Math.ceil(most / fiveMinutes));
	const last = late.length - 1;
	const x = (seconds: number) => Math.min(width, (width * seconds) / span);
	const y = (k: number) => height * (1 - k / last);
	const onTime = late.findLastIndex((s) => s <= 0);
	const points = late
		.map((s, k) => ({ s, k }))
		.filter(({ s, k }) => k >= onTime && s <= span)
		.map(({ s, k }) => `${x(Math.max(0, s)).toFixed(1)} ${y(k).toFixed(1)}`);
	const end = y(late.findLastIndex((s) => s <= span)).toFixed(1);
	const first = onTime < 0 ? `0 ${height}` : `0 ${y(onTime).toFixed(1)}`;
	const every = span > 6 * fiveMinutes ? 2 * fiveMinutes : fiveMinutes;
	const count = Math.floor(span / every);
	return {
		path: `M${[first, ...points, `${width} ${end}`].join(' L')}`,
		ticks: Array.from({ length: count + 1 }, (_, i) => ({ x: x(i * every), seconds: i * every }))
	};
}
