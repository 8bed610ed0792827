// What is or can be made before the evening: since when, until when; and what to take out of the cold.
import { serviceOf, type Meal, type Part } from '../../model/meal';
import type { Plan } from '../../model/plan';
import type { Technique } from '../../model/technique';
import { clock } from '../../safety/rules';
import { beforeAnd } from '../compile/portions';

export interface Ahead {
	readonly part: Part;
	readonly technique: Technique;
	/** Whether the plan has it made before. */
	readonly isBefore: boolean;
	/** Steps that are done then, in words. */
	readonly steps: readonly string[];
	/** Not sooner than so many seconds before service, or it does not keep. */
	readonly keeps: number;
	readonly source: string;
	readonly how: string;
	/** Service of its course, seconds after midnight. */
	readonly service: number;
}

/** Every part that can be made before, with what the plan does. */
export function aheadOf(meal: Meal, plan: Plan, techniques: ReadonlyMap<string, Technique>): readonly Ahead[] {
	return meal.parts.flatMap((part): Ahead[] => {
		const planned = plan.parts.find((p) => (p.of ?? p.id) === part.id);
		const technique = techniques.get(planned?.technique ?? part.technique) ?? techniques.get(part.technique);
		const { ahead } = technique ?? {};
		const course = meal.courses.find((c) => c.id === part.course);
		const service = course && serviceOf(meal, course);
		if (!technique || !ahead || service === undefined) return [];
		const early = beforeAnd(technique, ahead.last);
		return [
			{
				part,
				technique,
				isBefore: planned?.before !== undefined,
				steps: technique.steps.filter((s) => early.has(s.id)).map((s) => s.say),
				keeps: ahead.keeps,
				source: ahead.source,
				how: ahead.how,
				service
			}
		];
	});
}

export interface OutOfCold {
	readonly part: string;
	readonly say: string;
	/** Clock times, seconds after midnight; and the latest at which it has to be on the heat. */
	readonly at: number;
	readonly until: number;
	readonly limit: number;
}

/** What comes out of the cold in the evening, with the hour that it may stay out. */
export function outOfCold(plan: Plan): readonly OutOfCold[] {
	return plan.steps
		.filter((s) => s.kind === 'temper')
		.map((s) => ({ part: s.part, say: s.say, at: s.from, until: s.to, limit: s.from + clock.tempering }))
		.sort((a, b) => a.at - b.at);
}
