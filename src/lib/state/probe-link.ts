// A wireless probe over the server: its readings as they come. Whoever brings another probe gives another link of this kind.
import type { Setting } from '../core/probe/curve';
import type { Medium } from '../core/probe/posterior';

/** What a link is asked for. */
interface LinkAsked {
	readonly food: Setting & { readonly medium: Medium };
	readonly seed: number;
	/** Seconds since heating began. */
	readonly from: number;
	/** How fast the clock of the evening runs. */
	readonly speed: number;
}

/**
 * Listen to a probe. Each reading is told in °C as it comes; `onGone` once and later, where there is no connection or it ended.
 *
 * @returns ends the listening
 */
export type ProbeLink = (asked: LinkAsked, onReading: (celsius: number) => void, onGone: () => void) => () => void;

const inMillimetres = ({ body }: Setting) => {
	const material = { k_w_mk: body.k, alpha_m2_s: body.alpha };
	switch (body.shape) {
		case 'slab':
			return { ...material, shape: body.shape, thickness_mm: 1000 * body.thickness };
		case 'cylinder':
		case 'sphere':
			return { ...material, shape: body.shape, diameter_mm: 1000 * body.diameter };
		case 'finite-cylinder':
			return { ...material, shape: body.shape, diameter_mm: 1000 * body.diameter, length_mm: 1000 * body.length };
		case 'brick':
			return { ...material, shape: body.shape, sides_mm: body.sides.map((s) => 1000 * s) };
	}
};

/** The simulated wireless probe of the server, by server-sent events. */
export const serverProbe: ProbeLink = ({ food, seed, from, speed }, onReading, onGone) => {
	const { film, t0: t0_c, medium } = food;
	const asked = {
		body: inMillimetres(food),
		t0_c,
		medium,
		film: { h_w_m2k: film.h, tinf_c: film.tinf }
	};
	const query = new URLSearchParams({
		food: JSON.stringify(asked),
		seed: String(seed),
		from: String(Math.max(0, Math.round(from))),
		speed: String(Math.max(1, Math.min(60, speed)))
	});
	const source = new EventSource(`/api/probe?${query}`);
	source.addEventListener('reading', (event) => {
		const data: unknown = JSON.parse(String(event.data));
		const isReading = typeof data === 'object' && data !== null && 'celsius' in data;
		if (isReading && typeof data.celsius === 'number') onReading(data.celsius);
	});
	source.onerror = () => {
		source.close();
		onGone();
	};
	return () => {
		source.close();
	};
};
