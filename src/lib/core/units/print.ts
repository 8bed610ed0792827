// Amounts as a cook can use them: rounded to what a kitchen can measure. Stored values stay unrounded.

/** Which system a cook reads. */
export type System = 'metric' | 'us';

function toStep(value: number, step: number): number {
	return Math.round(value / step) * step;
}

const trimmed = (value: number) => String(Number(value.toFixed(2)));

/** Grams: to 0.5 below 10 g, 1 below 100, 5 below 1 kg, then 10; ounces to ¼, pounds with ounces. */
export function printMass(grams: number, system: System = 'metric'): string {
	if (!Number.isFinite(grams)) return '—';
	if (system === 'us') {
		const ounces = grams / 28.349523125;
		const step = ounces < 4 ? 1 / 8 : 1 / 4;
		const rounded = toStep(ounces, step);
		if (rounded < 16) return `${fraction(rounded)} oz`;
		const pounds = Math.floor(rounded / 16);
		const left = Math.round(rounded - 16 * pounds);
		return left === 0 ? `${pounds} lb` : left === 16 ? `${pounds + 1} lb` : `${pounds} lb ${left} oz`;
	}
	const step = grams < 10 ? 0.5 : grams < 100 ? 1 : grams < 1000 ? 5 : 10;
	const rounded = toStep(grams, step);
	return rounded >= 1000 ? `${trimmed(rounded / 1000)} kg` : `${trimmed(rounded)} g`;
}

/** Millilitres to 5 from a spoon up; US: quarter teaspoons, half tablespoons, quarter and third cups. */
export function printVolume(ml: number, system: System = 'metric'): string {
	if (!Number.isFinite(ml)) return '—';
	if (system === 'metric') {
		const rounded = ml < 20 ? toStep(ml, 1) : toStep(ml, ml < 1000 ? 5 : 50);
		return rounded >= 1000 ? `${trimmed(rounded / 1000)} l` : `${trimmed(rounded)} ml`;
	}
	const [tsp, tbsp, cups] = [ml / 4.92892159375, ml / 14.78676478125, ml / 236.5882365];
	if (tsp < 3) return `${fraction(toStep(tsp, 1 / 4))} tsp`;
	if (cups < 0.24) return `${fraction(toStep(tbsp, 1 / 2))} tbsp`;
	const whole = Math.floor(cups + 1 / 24);
	const parts = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1];
	const nearest = parts.reduce((a, b) => (Math.abs(b - (cups - whole)) < Math.abs(a - (cups - whole)) ? b : a));
	return `${fraction(whole + nearest)} ${whole + nearest > 1 ? 'cups' : 'cup'}`;
}

/** Cores to half a degree, ovens to 5, all else to whole ones. */
export function printTemperature(
	celsius: number,
	system: System = 'metric',
	what: 'core' | 'oven' | 'plain' = 'plain'
): string {
	if (!Number.isFinite(celsius)) return '—';
	const step = what === 'oven' ? 5 : what === 'core' && system === 'metric' ? 0.5 : 1;
	const value = system === 'us' ? celsius * 1.8 + 32 : celsius;
	return `${trimmed(toStep(value, step))} ${system === 'us' ? '°F' : '°C'}`;
}

/** Millimetres to 1; inches to ⅛. */
export function printLength(mm: number, system: System = 'metric'): string {
	if (!Number.isFinite(mm)) return '—';
	return system === 'metric' ? `${toStep(mm, 1)} mm` : `${fraction(toStep(mm / 25.4, 1 / 8))} in`;
}

/** Seconds as a cook reads them: to 5 s below 2 min, 30 s below 20 min, then 1 min; always up where it must not be short. */
export function printSeconds(seconds: number, rounding: 'near' | 'up' = 'near'): string {
	if (seconds === Infinity) return 'never';
	if (!Number.isFinite(seconds)) return '—';
	const step = seconds < 120 ? 5 : seconds < 1200 ? 30 : 60;
	const rounded = (rounding === 'up' ? Math.ceil(seconds / step - 1e-9) : Math.round(seconds / step)) * step;
	if (rounded < 120) return `${rounded} s`;
	const minutes = Math.floor(rounded / 60);
	const rest = rounded % 60;
	if (minutes < 60) return rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
	return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

/** 1.25 as "1¼". */
function fraction(value: number): string {
	const names: readonly (readonly [number, string])[] = [
		[1 / 8, '⅛'],
		[1 / 4, '¼'],
		[1 / 3, '⅓'],
		[3 / 8, '⅜'],
		[1 / 2, '½'],
		[5 / 8, '⅝'],
		[2 / 3, '⅔'],
		[3 / 4, '¾'],
		[7 / 8, '⅞']
	];
	const whole = Math.floor(value + 1e-9);
	const part = value - whole;
	const sign = names.find(([size]) => Math.abs(size - part) < 0.02)?.[1];
	if (!sign) return trimmed(value);
	return whole === 0 ? sign : `${whole}${sign}`;
}
