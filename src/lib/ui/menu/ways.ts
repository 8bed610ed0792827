// What a look at other ways to make a part is given, one by one or all in a table.
import type { Plan } from '../../core/model/plan';
import type { Technique } from '../../core/model/technique';
import type { SpokenPlan } from '../../core/words/speak';

export interface WaysProps {
	part: { readonly id: string; readonly name: string };
	technique: Technique;
	/** Techniques that make the same. */
	others: readonly Technique[];
	plan: SpokenPlan;
	/** A quick plan with the technique, or why there is none. */
	onpreview: (technique: Technique) => Promise<Plan | readonly string[]>;
	ontake: (technique: Technique) => void;
}
