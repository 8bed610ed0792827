// Links: what goes in comes out; what was cut off, made up or blown up says nothing.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { library } from '../core/library/library';
import { demoCases } from '../core/testing/demo-plan';
import { readFile, writeFile } from '../core/formats/juntos/juntos';
import { isLink, linkOf, textInLink } from './link';

test.each(demoCases.map((d) => [d.meal.name, d] as const))(
	'%s and its kitchen go through a link',
	async (_, { meal, kitchen }) => {
		const link = await linkOf(JSON.stringify(JSON.parse(writeFile(meal, kitchen))));
		expect(link).toBeDefined();
		expect(link).toMatch(/^#meal=[\w-]+$/);
		const text = await textInLink(link!);
		expect(readFile(text!, library)).toEqual({ ok: true, value: { meal, kitchen } });
	}
);

test('any text comes out as it went in', async () => {
	await fc.assert(
		fc.asyncProperty(fc.string({ unit: 'binary', maxLength: 400 }), async (text) => {
			expect(await textInLink((await linkOf(text))!)).toBe(new TextDecoder().decode(new TextEncoder().encode(text)));
		}),
		{ numRuns: 100, seed: 3 }
	);
});

test('what is too long for a link is none', async () => {
	let [text, x] = ['', 1];
	for (let i = 0; i < 9000; i++) {
		x = Math.imul(x, 48_271) >>> 0;
		text += String.fromCharCode(33 + ((x >>> 8) % 90));
	}
	expect(await linkOf(text)).toBeUndefined();
});

test('cut off, changed, or something else: nothing, and no error', async () => {
	const link = (await linkOf('{"format":"juntos-file"}'))!;
	expect(isLink(link)).toBe(true);
	expect(isLink('#duck')).toBe(false);
	for (const bad of ['', '#duck', '#meal=', '#meal=%', '#meal=***', link.slice(0, -6), `${link}AAAA`])
		expect((await textInLink(bad)) ?? '').not.toContain('juntos-file"}x');
	expect(await textInLink(link.slice(0, -6))).toBeUndefined();
	// A little that would become very much.
	const bomb = await linkOf('a'.repeat(3_000_000));
	expect(bomb).toBeDefined();
	expect(await textInLink(bomb!)).toBeUndefined();
});
