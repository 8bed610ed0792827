// Computed beside written times, as they are said.
import { expect, test } from 'vitest';
import { wordCompared } from './compared';

const compared = { step: 's1', of: '900 g', by: 'Whole chicken', seconds: [1860, 2040, 2280], isOff: true } as const;

test('what it says, what was computed, for how much, and by what', () => {
	expect(wordCompared(compared, [1350, 1500, 1700])).toBe(
		'It says 25 min; computed 31 min to 38 min for 900 g, as “Whole chicken”.'
	);
	expect(wordCompared(compared, null)).toBe('Computed 31 min to 38 min for 900 g, as “Whole chicken”.');
	expect(wordCompared({ ...compared, seconds: [40, 70, 90] }, null)).toBe(
		'Computed 45 s to 1½ min for 900 g, as “Whole chicken”.'
	);
});
