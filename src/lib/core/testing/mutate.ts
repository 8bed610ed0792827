// Documents with one or a few things wrong, drawn from a seed: what a torn file, a foreign program or ill will may send.
import type { Draw } from './odd-problem';

type Json = null | boolean | number | string | Json[] | JsonObject;
interface JsonObject {
	[key: string]: Json;
}

const strange: readonly Json[] = [
	null,
	true,
	0,
	-1,
	0.5,
	1e9,
	-1e300,
	'',
	' ',
	'x'.repeat(300),
	'__proto__',
	'constructor',
	'19:30',
	'🍳',
	[],
	[null],
	{},
	{ id: 'a' }
];

/** Every place in a document: what holds it, and under which key. */
function placesOf(json: Json): { readonly holder: Json[] | JsonObject; readonly key: string }[] {
	if (typeof json !== 'object' || json === null) return [];
	const holder = json;
	return Object.keys(holder).flatMap((key) => [{ holder, key }, ...placesOf((holder as JsonObject)[key] ?? null)]);
}

/** A copy of a document that was changed in `count` places. */
export function mutated(document: unknown, d: Draw, count = 1): unknown {
	const json = JSON.parse(JSON.stringify(document)) as Json;
	for (let i = 0; i < count; i++) {
		const places = placesOf(json);
		if (places.length === 0) return json;
		const { holder, key } = d.pick(places);
		const fields = holder as JsonObject;
		const value = fields[key] ?? null;
		switch (d.int(0, 6)) {
			case 0:
				if (Array.isArray(holder)) holder.splice(Number(key), 1);
				else Reflect.deleteProperty(holder, key);
				break;
			case 1:
				if (Array.isArray(holder)) holder.push(structuredClone(value));
				else fields[`${key}s`] = value;
				break;
			case 2:
				fields[key] = typeof value === 'number' ? value * d.pick([-1, 0, 10, 1000, 0.1]) : d.pick(strange);
				break;
			case 3:
				fields[key] = structuredClone(d.pick(places.map((p) => (p.holder as JsonObject)[p.key] ?? null)));
				break;
			default:
				fields[key] = structuredClone(d.pick(strange));
		}
	}
	return json;
}
