// GET /api/schema/NAME.json: the JSON Schema of a format, made from the very schema that checks it.
import { z } from 'zod';
import { backupSchema } from '$lib/core/formats/juntos/backup';
import { fileSchema, techniqueFileSchema } from '$lib/core/formats/juntos/juntos';
import { kitchenSchema } from '$lib/core/model/kitchen';
import { mealSchema } from '$lib/core/model/meal';
import { planSchema } from '$lib/core/model/plan';
import { runSchema } from '$lib/core/run/events';
import { problemSchema, scheduleSchema } from '$lib/core/plan/problem';
import { problemDetails } from '$lib/server/problem-details';
import type { RequestHandler } from './$types';

export const prerender = false;

const schemas: ReadonlyMap<string, z.ZodType> = new Map<string, z.ZodType>([
	['file.json', fileSchema],
	['backup.json', backupSchema],
	['meal.json', mealSchema],
	['kitchen.json', kitchenSchema],
	['technique.json', techniqueFileSchema],
	['plan.json', planSchema],
	['run.json', runSchema],
	['problem.json', problemSchema],
	['schedule.json', scheduleSchema]
]);

export const GET: RequestHandler = ({ params: { name } }) => {
	const schema = schemas.get(name);
	if (!schema)
		return problemDetails(404, `There is no schema "${name}". There are: ${[...schemas.keys()].join(', ')}.`);
	return Response.json(z.toJSONSchema(schema, { io: 'input' }), {
		headers: { 'content-type': 'application/schema+json' }
	});
};
