// Changes to a cook's own technique: each gives a technique that is checked before it is kept.
import { freeId } from './edit-meal';
import type { Step, Technique } from './technique';

/** A copy under an id of its own, to be changed. */
export function copyOf(technique: Technique, ids: readonly string[]): Technique {
	const id = freeId(ids, `my-${technique.id}`.slice(0, 60));
	return { ...technique, id, name: `${technique.name}, my way`.slice(0, 80) };
}

export function withStepFacts(technique: Technique, id: string, facts: Partial<Step>): Technique {
	return {
		...technique,
		steps: technique.steps.map((s) => {
			if (s.id !== id) return s;
			const kept = Object.entries({ ...s, ...facts }).filter(([, value]) => value !== undefined);
			return Object.fromEntries(kept) as Step;
		})
	};
}

/** One more step, after the last one of all; it takes five minutes of both hands until it is said otherwise. */
export function withNewStep(technique: Technique): Technique {
	const id = freeId(
		technique.steps.map((s) => s.id),
		'step'
	);
	const last = technique.plate.step;
	const step: Step = {
		id,
		say: 'A new step',
		kind: 'finish',
		time: { shortest: 240, usual: 300, longest: 420 },
		hands: { kind: 'whole' },
		after: [{ step: last, least: 0, most: 600 }]
	};
	return { ...technique, steps: [...technique.steps, step], plate: { ...technique.plate, step: id } };
}

/** Without a step: what waited for it waits for what it waited for. */
export function withoutStepOf(technique: Technique, id: string): Technique {
	const gone = technique.steps.find((s) => s.id === id);
	const rest = technique.steps.filter((s) => s.id !== id);
	const [first] = rest;
	if (!gone || !first) return technique;
	const steps = rest.map((s) => {
		const waits = s.after.filter((a) => a.step !== id);
		if (waits.length === s.after.length) return s;
		return { ...s, after: [...waits, ...gone.after.filter((g) => !waits.some((w) => w.step === g.step))] };
	});
	const instead = gone.after[0]?.step ?? rest.at(-1)?.id ?? first.id;
	const moved = (step: string) => (step === id ? instead : step);
	const { ahead, ...others } = technique;
	return {
		...others,
		steps,
		vessels: technique.vessels.filter((v) => v.from !== id && v.to !== id),
		...(technique.ingredients
			? { ingredients: technique.ingredients.map((i) => ({ ...i, step: moved(i.step) })) }
			: {}),
		...(ahead && ahead.last !== id ? { ahead } : {}),
		plate: { ...technique.plate, step: moved(technique.plate.step) }
	};
}

/** All its oven steps at one set point and no other: the one given, or each at its own first; what rests from them too. */
export function heldAt(technique: Technique, setting?: number): Technique {
	const firstOf = (s: Step) => (s.need?.kind === 'oven' ? s.need.settings[0] : undefined);
	const usual = technique.steps.map(firstOf).find((s) => s !== undefined);
	return {
		...technique,
		steps: technique.steps.map((s) => {
			const at = setting ?? firstOf(s) ?? usual;
			const { model } = s.time;
			const held = at !== undefined && model && 'oven' in model && model.oven !== undefined;
			return {
				...s,
				...(s.need?.kind === 'oven' && at !== undefined ? { need: { ...s.need, settings: [at] } } : {}),
				...(held ? { time: { ...s.time, model: { ...model, oven: at } } } : {})
			};
		})
	};
}
