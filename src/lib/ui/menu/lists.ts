// The shopping and the bowls as text to take along: CSV through the well-known package, loaded when it is asked for.
import type { Plan } from '../../core/model/plan';
import type { Bowl } from '../../core/model/bowls';
import type { ShoppingLine } from '../../core/model/quantities';
import { wordBought, wordRatio } from '../../core/words/amounts';
import { inUnits } from '../../core/words/quantities';
import { printAmount, type Measure } from '../../core/units/amount';
import { formatClock } from '../../core/units/time';

/** Rows of the shopping list, the head first. */
export function shoppingRows(lines: readonly ShoppingLine[], measure: Measure): readonly (readonly string[])[] {
	return [
		['aisle', 'ingredient', 'to buy', 'size', 'for', 'allergens'],
		...lines.map((l) => [
			l.aisle,
			l.name,
			printAmount(l.bought, l.unit, l.name, measure),
			inUnits(wordBought(l), measure),
			l.parts.join(', '),
			l.allergens.join(', ')
		])
	];
}

/** When a bowl's step begins, seconds after midnight; absent where the plan has not got it. */
export function bowlAt({ part, step }: Pick<Bowl, 'part' | 'step'>, plan: Plan): number | undefined {
	// A technique that the planner chose stands before the step.
	return plan.steps.find((s) => s.id === `${part}/${step}` || (s.part === part && s.id.endsWith(`.${step}`)))?.from;
}

/** Rows of the bowls in the order in which they are used, the head first. */
export function bowlRows(bowls: readonly Bowl[], plan: Plan, measure: Measure): readonly (readonly string[])[] {
	return [
		['at', 'part', 'step', 'ingredient', 'amount', 'to begin with', 'ratio', 'allergens'],
		...bowls.flatMap((bowl) => {
			const at = bowlAt(bowl, plan);
			return bowl.amounts.map((a) => [
				at === undefined ? '' : formatClock(at),
				bowl.name,
				bowl.say,
				a.name,
				printAmount(a.used, a.unit, a.name, measure),
				a.first === undefined ? '' : printAmount(a.first, a.unit, a.name, measure),
				bowl.ratios
					.filter((r) => r.one === a.name)
					.map(wordRatio)
					.join(', '),
				a.allergens.join(', ')
			]);
		})
	];
}

/** Rows as CSV; formulas are escaped. */
export async function csvOf(rows: readonly (readonly string[])[]): Promise<string> {
	const { default: papa } = await import('papaparse');
	return papa.unparse(
		rows.map((r) => [...r]),
		{ escapeFormulae: true, newline: '\r\n' }
	);
}
