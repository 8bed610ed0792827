// Bodies and films as cases name them (docs/heat.md): shapes in millimetres, films in W/(m² K).
import { z } from 'zod';
import type { Body, Film } from '../../heat/body';

export const positive = z.number().positive();
export const atLeast0 = z.number().min(0);
export const celsius = z.number().min(-100).max(2000);

export const filmSchema = z
	.object({ h_w_m2k: atLeast0.nullable().optional(), tinf_c: celsius })
	.transform(({ h_w_m2k, tinf_c }): Film => ({ h: h_w_m2k ?? null, tinf: tinf_c }));

/** What every body has, with the fields that a case adds. */
export function bodiesWith<S extends z.ZodRawShape>(more: S) {
	const material = { k_w_mk: positive, alpha_m2_s: positive, ...more };
	return [
		z.object({ ...material, shape: z.literal('slab'), thickness_mm: positive }),
		z.object({ ...material, shape: z.literal('cylinder'), diameter_mm: positive }),
		z.object({ ...material, shape: z.literal('sphere'), diameter_mm: positive }),
		z.object({ ...material, shape: z.literal('finite-cylinder'), diameter_mm: positive, length_mm: positive }),
		z.object({ ...material, shape: z.literal('brick'), sides_mm: z.tuple([positive, positive, positive]) })
	] as const;
}

interface Sized {
	readonly k_w_mk: number;
	readonly alpha_m2_s: number;
}
export type BodyCase = Sized &
	(
		| { readonly shape: 'slab'; readonly thickness_mm: number }
		| { readonly shape: 'cylinder' | 'sphere'; readonly diameter_mm: number }
		| { readonly shape: 'finite-cylinder'; readonly diameter_mm: number; readonly length_mm: number }
		| { readonly shape: 'brick'; readonly sides_mm: readonly [number, number, number] }
	);

/** A case's body in metres. */
export function bodyFrom(b: BodyCase): Body {
	const common = { k: b.k_w_mk, alpha: b.alpha_m2_s };
	switch (b.shape) {
		case 'slab':
			return { ...common, shape: b.shape, thickness: b.thickness_mm / 1000 };
		case 'cylinder':
		case 'sphere':
			return { ...common, shape: b.shape, diameter: b.diameter_mm / 1000 };
		case 'finite-cylinder':
			return { ...common, shape: b.shape, diameter: b.diameter_mm / 1000, length: b.length_mm / 1000 };
		case 'brick': {
			const [x, y, w] = b.sides_mm;
			return { ...common, shape: b.shape, sides: [x / 1000, y / 1000, w / 1000] };
		}
	}
}
