// Names beside the drawing are never longer than their room, and whole wherever they can be.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { fitted, lettersOf, marginLetters } from './fitted';

const name = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 80 });

test('what has room is said in full; what has none is cut, and shows it', () => {
	fc.assert(
		fc.property(name, fc.integer({ min: 2, max: 30 }), (text, most) => {
			const said = fitted([`Hands · ${text}`, text], most);
			expect(lettersOf(said).length).toBeLessThanOrEqual(most);
			if (lettersOf(text).length <= most) expect([`Hands · ${text}`, text]).toContain(said);
			else {
				expect(said.endsWith('…')).toBe(true);
				expect(text.startsWith(said.slice(0, -1))).toBe(true);
			}
		})
	);
});

test.each([
	['You', 'Hands · You'],
	['Chef', 'Hands · Chef'],
	['Second cook', 'Second cook'],
	['Pastry and garnish', 'Pastry and ga…']
])('the hands of %s are told as %s', (who, said) => {
	expect(fitted([`Hands · ${who}`, who], marginLetters)).toBe(said);
});
