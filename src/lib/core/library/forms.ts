// Short forms for hands, holds and parameters, so that techniques read like a recipe card.
import { holdPrice, holds, type HoldKind } from '../heat/holding';
import type { Step, Technique } from '../model/technique';

type Hands = Step['hands'];

export const whole: Hands = { kind: 'whole' };
export const none: Hands = { kind: 'none' };

/** Touches at shares of the step, as [share, seconds, words]; and one again and again, as [interval, seconds, words]. */
export function touches(
	at: readonly (readonly [share: number, seconds: number, say: string])[],
	every?: readonly [interval: number, seconds: number, say: string]
): Hands {
	const list = at.map(([share, seconds, say]) => ({ share, seconds, say }));
	if (!every) return { kind: 'touches', at: list };
	const [interval, seconds, say] = every;
	return { kind: 'touches', at: list, every: { interval, seconds, say } };
}

/** How a part holds and fades once it is ready: seconds free, price of each second after, the longest, how to keep it. */
export function held(kind: HoldKind): Pick<Technique['plate'], 'free' | 'rate' | 'most' | 'keep'> {
	return { ...holdPrice(holds[kind]), keep: holds[kind].keep };
}

type Parameter = Technique['parameters'][number];

export const thickness: Parameter = { id: 'thickness', name: 'Thickness', unit: 'mm', least: 15, most: 55, usual: 30 };
export const egg: Parameter = { id: 'egg', name: 'Egg in its shell', unit: 'g', least: 45, most: 80, usual: 58 };
/** How cold it comes out of the fridge. */
export const start: Parameter = { id: 'start', name: 'Starts at', unit: '°C', least: 1, most: 24, usual: 5 };

const by = (id: string, times: number, plus = 0) => ({ by: id, times, plus });
/** Quantities of time models: so much for each person; millimetres and grams as metres and kilograms. */
export const each = (amount: number, plus = 0) => by('covers', amount, plus);
export const metres = (id: string) => by(id, 0.001);
export const kilograms = (id: string) => by(id, 0.001);
export const degrees = (id: string, plus = 0) => by(id, 1, plus);
