// Luck by key: the same seed and name give the same draw, in whatever order they are asked for, so that two plans meet the same
// evening (common random numbers: Glasserman & Yao 1992, Management Science 38, 884–908).
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { normalQuantile } from '../learn/spread';

/** FNV-1a over the characters, 32 bits. */
export function hashed(key: string): number {
	let h = 0x811c9dc5;
	for (let i = 0; i < key.length; i++) h = Math.imul(h ^ key.charCodeAt(i), 0x01000193);
	// The last characters change all bits (Murmur's finish).
	h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
	h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
	return (h ^ (h >>> 16)) >>> 0;
}

/** A uniform draw of a seed for a name, 0 < u < 1. */
export function uniformOf(seed: number, key: string): number {
	const generator = xoroshiro128plus(hashed(`${seed} ${key}`) | 0);
	uniformFloat64(generator);
	return Math.min(1 - 1e-12, Math.max(1e-12, uniformFloat64(generator)));
}

/** A standard normal draw of a seed for a name. */
export const normalOf = (seed: number, key: string): number => normalQuantile(uniformOf(seed, key));
