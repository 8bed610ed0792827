// Short forms for the hands a step wants, so that techniques read like a recipe card.
import type { Step } from '../model/technique';

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
