// Exact temperatures in a body that starts uniform and meets a fluid: one dimension at a time.
import { erfcx } from './erfc';
import { geometry, type Modes } from './modes';

/** Terms beyond this share of the first are left out. */
const negligible = 1e-15;
/** Before this the centre has not moved: |Δθ| < 1e-9. */
const centreMoves = 0.01;
/** Before this the surface is that of a half space: its warm layer is thin beside the body. */
const isThin = 2e-4;

/** Where in the body: its centre, its surface, or its mean over the volume. */
export type Place = 'centre' | 'surface' | 'mean';

/**
 * θ = (T − T∞)/(T₀ − T∞) after Fourier number Fo = αt/L².
 *
 * As many terms as count: about 1 + 1.9/√Fo. At very early times the centre is still 1, and surface and mean are those of a
 * half space.
 *
 * @param at x = 0 (centre) … 1 (surface), or a place by name
 * Source: Carslaw & Jaeger 1959, §§ 2.7, 3.11, 7.7, 9.4.
 */
export function theta(modes: Modes, fo: number, at: Place | number): number {
	if (fo <= 0) return 1;
	if (modes.bi === 0) return 1;
	const x = at === 'centre' ? 0 : at === 'surface' ? 1 : at;
	if (x === 0 && fo < centreMoves) return 1;
	const g = geometry[modes.shape];
	if (fo < isThin && (x === 'mean' || x === 1)) return halfSpace(modes.bi, fo, x === 'mean' ? g.p + 1 : 0);
	let sum = 0;
	for (let n = 1; n <= 4000; n++) {
		const { zeta, weight, decay } = modes.at(n);
		const fading = Math.exp(-decay * fo);
		if (fading < negligible) break;
		sum += weight * fading * (x === 'mean' ? g.mean(zeta) : x === 0 ? 1 : g.phi(zeta * x));
	}
	return sum;
}

/** Surface of a half space, or what is left of the mean when its heat is spread over the body: `areas` surfaces per L. */
function halfSpace(bi: number, fo: number, areas: number): number {
	if (bi === Infinity) return areas === 0 ? 0 : 1 - areas * 2 * Math.sqrt(fo / Math.PI);
	const b = bi * Math.sqrt(fo);
	if (areas === 0) return erfcx(b);
	// Heat taken up per area: ∫ h θ_s dt, in units of L(T∞ − T₀)ρc.
	const taken = (erfcx(b) - 1 + (2 * b) / Math.sqrt(Math.PI)) / bi;
	return 1 - areas * taken;
}
