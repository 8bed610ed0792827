// Amounts in metric words: what is bought whole or by its size, and ratios.
import type { Amount } from '../model/quantities';
import type { Ratio } from '../model/ratios';
import { printAmount } from '../units/amount';

/** How it is bought, where weight alone does not say it: "2 of 1.5 kg", "11 cm across, about 24 cm long"; else nothing. */
export function wordBought({ whole, size, unit, name }: Pick<Amount, 'whole' | 'size' | 'unit' | 'name'>): string {
	if (whole) return `${whole.count} of ${printAmount(whole.each, unit, name, 'metric')}`;
	if (!size) return '';
	const [across, long] = [`${Math.round(size.across / 10)} cm`, `${Math.max(1, Math.round(size.long / 10))} cm`];
	// What is shorter than it is thick is a thick slice of a larger one.
	return size.long < size.across
		? `a slice ${long} thick of one ${across} across`
		: `${across} across, about ${long} long`;
}

/** "vinegar to olive oil 1 : 2.4", by weight; what is thin by whole numbers. */
export function wordRatio({ one, to, times }: Ratio): string {
	const round = (x: number) => (x < 10 ? Number(x.toFixed(1)) : x < 100 ? Math.round(x) : 10 * Math.round(x / 10));
	return times >= 1 ? `${one} to ${to} 1 : ${round(times)}` : `${one} to ${to} ${round(1 / times)} : 1`;
}
