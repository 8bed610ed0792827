// Amounts in metric words: what is bought whole or by its size, ratios, what a step takes and what has to stand ready for it.
import type { Amount } from '../model/quantities';
import type { Bowl } from '../model/bowls';
import type { PlannedStep } from '../model/plan';
import type { Ratio } from '../model/ratios';
import { baseOf } from '../plan/compile/portions';
import { printAmount } from '../units/amount';

/** How it is bought, where weight alone does not say it: "2 of 1.5 kg", "11 cm across, about 24 cm long"; else nothing. */
export function wordBought({ whole, size, unit, name }: Pick<Amount, 'whole' | 'size' | 'unit' | 'name'>): string {
	if (whole) return `${whole.count} of ${printAmount(whole.each, unit, name, 'metric')}`;
	if (!size) return '';
	const [across, long] = [`${Math.round(size.across / 10)} cm`, `${Math.max(1, Math.round(size.long / 10))} cm`];
	// What is shorter than it is thick is a thick slice of a larger one.
	return size.long < size.across
		? `a slice ${long} thick of one ${across} across`
		: `${across} across, about ${long} long`;
}

/** "vinegar to olive oil 1 : 2.4", by weight; what is thin by whole numbers. */
export function wordRatio({ one, to, times }: Ratio): string {
	const round = (x: number) => (x < 10 ? Number(x.toFixed(1)) : x < 100 ? Math.round(x) : 10 * Math.round(x / 10));
	return times >= 1 ? `${one} to ${to} 1 : ${round(times)}` : `${one} to ${to} ${round(1 / times)} : 1`;
}

/** Of a plan, spoken or not. */
type StepOf = Pick<PlannedStep, 'id' | 'part'>;
type BoundOf = StepOf & Readonly<Pick<PlannedStep, 'say' | 'kind' | 'vessel' | 'bound' | 'after'>>;
interface PlanOf<T extends StepOf> {
	readonly parts: readonly { readonly id: string; readonly of?: string | undefined }[];
	readonly steps: readonly T[];
}

/** The bowl of a step of the plan: of a batch, or of a guest who has it otherwise, that of the whole part. */
function bowlFor(step: StepOf, plan: PlanOf<StepOf>, bowls: readonly Bowl[]): Bowl | undefined {
	const part = plan.parts.find((p) => p.id === step.part);
	const own = baseOf(step.id.slice(step.id.indexOf('/') + 1));
	// A technique that the planner chose stands before its step.
	return bowls.find((b) => b.part === (part?.of ?? step.part) && (own === b.step || own.endsWith(`.${b.step}`)));
}

/** What goes into a step, in metric words: "12 eggs", "96 g butter"; empty where it takes nothing. */
export function wordTaken(step: StepOf, plan: PlanOf<StepOf>, bowls: readonly Bowl[]): readonly string[] {
	const bowl = bowlFor(step, plan, bowls);
	if (!bowl) return [];
	const isPart = plan.steps.some((s) => s.id !== step.id && bowlFor(s, plan, [bowl]));
	return bowl.amounts.map(({ name, unit, used, first }) => {
		const amount = printAmount(used, unit, name, 'metric');
		const begin = first === undefined ? '' : `, begin with ${printAmount(first, unit, name, 'metric')} and taste`;
		return `${amount} ${name}${isPart ? ' in all' : ''}${begin}`;
	});
}

/** What has to stand ready before a step that cannot be left; empty for any other. */
export function wordReady(step: BoundOf, plan: PlanOf<BoundOf>, bowls: readonly Bowl[]): readonly string[] {
	if (step.bound !== true) return [];
	const before = plan.steps.filter((s) => step.after.includes(s.id) && s.part === step.part && s.kind === 'prep');
	return [
		...(step.vessel === undefined ? [] : [step.vessel]),
		...wordTaken(step, plan, bowls),
		...before.map((s) => `done: ${s.say.toLowerCase()}`)
	];
}
