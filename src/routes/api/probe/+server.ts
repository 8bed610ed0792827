// GET /api/probe?food=…: the readings of a wireless probe that plays, as server-sent events (docs/probe.md).
import { z } from 'zod';
import { bodiesWith, bodyFrom, celsius, filmSchema } from '$lib/core/formats/bodies/shapes';
import { issuesOf } from '$lib/core/issues';
import { media } from '$lib/core/probe/posterior';
import { play } from '$lib/core/probe/simulate';
import { parseJson } from '$lib/core/formats/juntos/juntos';
import { issuesAnswer } from '$lib/server/problem-details';
import type { RequestHandler } from './$types';

export const prerender = false;

/** Seconds between two readings, of the food's own time; how long a probe plays at the most. */
const every = 10;
const longest = 6 * 3600;
/** A connection without a reading is kept open by a word now and then, milliseconds. */
const beat = 15_000;

const foodSchema = z.object({
	body: z.discriminatedUnion('shape', [...bodiesWith({})]),
	t0_c: celsius,
	medium: z.enum(media),
	film: filmSchema
});
const querySchema = z.object({
	food: z.string(),
	seed: z.coerce.number().int().min(0).max(2_000_000_000).default(1),
	/** Seconds since heating began, where it goes on; and how fast its clock runs. */
	from: z.coerce.number().min(0).max(longest).default(0),
	speed: z.coerce.number().min(1).max(60).default(1),
	/** What goes wrong, somewhere on the way. */
	wrong: z.enum(['placement', 'out', 'stuck', 'lost']).optional()
});

export const GET: RequestHandler = ({ url, request }) => {
	const query = querySchema.safeParse(Object.fromEntries(url.searchParams));
	if (!query.success) return issuesAnswer(issuesOf(query.error));
	const json = parseJson(query.data.food);
	if (!json.ok) return issuesAnswer(json.issues.map((i) => ({ ...i, path: ['food', ...i.path] })));
	const food = foodSchema.safeParse(json.value);
	if (!food.success) return issuesAnswer(issuesOf(food.error).map((i) => ({ ...i, path: ['food', ...i.path] })));
	const { seed, from, speed, wrong } = query.data;
	const { body, film, medium, t0_c: t0 } = food.data;
	const setting = { body: bodyFrom(body), film, t0 };
	const { readings } = play({ setting, medium, seed, every, until: longest, wrong });
	const coming = readings.filter(([at]) => at >= from);
	return new Response(told(coming, from, speed, request.signal), {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
	});
};

/** Readings as events, each at its time; ends with the last of them, or when nobody listens any more. */
function told(
	readings: readonly (readonly [number, number])[],
	from: number,
	speed: number,
	signal: AbortSignal
): ReadableStream<Uint8Array> {
	const encoder = new TextEncoder();
	const begun = Date.now();
	let timer: ReturnType<typeof setTimeout> | undefined;
	let pulse: ReturnType<typeof setInterval> | undefined;
	const stop = () => {
		clearTimeout(timer);
		clearInterval(pulse);
	};
	return new ReadableStream({
		start(controller) {
			let next = 0;
			const end = () => {
				stop();
				try {
					controller.close();
				} catch {
					// It was closed from the other side.
				}
			};
			signal.addEventListener('abort', end);
			pulse = setInterval(() => {
				controller.enqueue(encoder.encode(': on\n\n'));
			}, beat);
			const go = () => {
				const reading = readings[next];
				if (!reading) {
					end();
					return;
				}
				const due = begun + ((reading[0] - from) * 1000) / speed;
				timer = setTimeout(
					() => {
						const data = JSON.stringify({ seconds: reading[0], celsius: Number(reading[1].toFixed(2)) });
						controller.enqueue(encoder.encode(`event: reading\nid: ${reading[0]}\ndata: ${data}\n\n`));
						next++;
						go();
					},
					Math.max(0, due - Date.now())
				);
			};
			go();
		},
		cancel: stop
	});
}
