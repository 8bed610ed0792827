// A computed time beside a written one, in words.
import type { Compared } from '../recipe/compared';
import { formatDuration } from '../units/time';

const minutes = (s: number) => formatDuration(s < 120 ? Math.round(s / 15) * 15 : Math.round(s / 60) * 60);

/** “It says 25 min; computed 31 to 38 min for 900 g.” */
export function wordCompared({ seconds, of, by }: Compared, written: readonly [number, number, number] | null): string {
	const says = written === null ? '' : `It says ${minutes(written[1])}; `;
	const computed = `computed ${minutes(seconds[0])} to ${minutes(seconds[2])} for ${of}`;
	return `${says}${says === '' ? computed.charAt(0).toUpperCase() + computed.slice(1) : computed}, as “${by}”.`;
}
