// What is doubtful about a probe, in a cook's words, with what to do.
import type { Doubt } from '../probe/doubt';

const words: Readonly<Record<Doubt, string>> = {
	placement:
		'It reads like a spot near the surface: push it in to the middle, from the side. Until then the time is wide.',
	out: 'It reads like the air, not the food: it has slipped out. Put it back into the middle.',
	stuck: 'It does not move any more, and food would: look at the probe, or read it with another one.',
	lost: 'Nothing was read for more than a minute: is it in reach? The time goes by what was read last.'
};
export const wordDoubt = (doubt: Doubt): string => words[doubt];
