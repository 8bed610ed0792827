// A recipe that was pasted: its text, what is read in it, and what the cook says otherwise. It never leaves the device.
import type { ReadRecipe, ReadStep } from '../core/recipe/read';
import { splitAt } from '../core/recipe/split';
import { readRecipe, type RecipeRead } from '../core/recipe/read';

/** What a cook changes of a step. */
export type StepChange = Partial<Pick<ReadStep, 'kind' | 'station' | 'seconds' | 'hands' | 'celsius' | 'after'>>;

export class Pasting {
	text = $state('');
	private changes: Readonly<Record<string, StepChange>> = $state.raw({});
	private dropped: readonly string[] = $state.raw([]);
	/** Steps that are one with the step before them. */
	private joined: readonly string[] = $state.raw([]);
	/** Steps that are two, cut at a place in their words. */
	private splits: readonly { readonly id: string; readonly at: number }[] = $state.raw([]);
	/** How thick something is, mm, by the step that asks. */
	sizes: Readonly<Record<string, number>> = $state.raw({});
	/** Questions that were answered, by step. */
	private answered: readonly string[] = $state.raw([]);

	readonly read: RecipeRead | undefined = $derived.by(() =>
		this.text.trim() === '' ? undefined : readRecipe(this.text)
	);
	readonly recipe: ReadRecipe | undefined = $derived.by(() => {
		const { read } = this;
		if (!read?.ok) return undefined;
		const doubts = read.recipe.doubts.filter((d) => !this.answered.includes(`${d.about} ${d.question}`));
		return { ...read.recipe, doubts, steps: this.changed(read.recipe.steps) };
	});
	readonly isChanged = $derived.by(
		() =>
			Object.keys(this.changes).length > 0 ||
			this.dropped.length > 0 ||
			this.joined.length > 0 ||
			this.splits.length > 0
	);

	/** Another text: what was said of the one before does not hold for it. */
	take(text: string): void {
		if (text === this.text) return;
		this.text = text;
		this.again();
	}

	/** As it was read at first. */
	again(): void {
		this.changes = {};
		this.dropped = [];
		this.joined = [];
		this.splits = [];
		this.sizes = {};
		this.answered = [];
	}

	change(id: string, change: StepChange): void {
		this.changes = { ...this.changes, [id]: { ...this.changes[id], ...change } };
	}

	/** Whether a step waits for another one. */
	wait(id: string, before: string, waits: boolean): void {
		const after = this.recipe?.steps.find((s) => s.id === id)?.after ?? [];
		this.change(id, { after: waits ? [...after, before] : after.filter((a) => a !== before) });
	}

	drop(id: string): void {
		this.dropped = [...this.dropped, id];
	}

	/** Two steps, the second from a place in its words. */
	split(id: string, at: number): void {
		this.splits = [...this.splits, { id, at }];
	}

	/** A question is answered: it is asked no more. */
	answer(about: string, question: string): void {
		this.answered = [...this.answered, `${about} ${question}`];
	}

	/** What a step is about is so thick, mm. */
	size(id: string, millimetres: number): void {
		this.sizes = { ...this.sizes, [id]: millimetres };
	}

	/** One step with the one before it. */
	join(id: string): void {
		this.joined = [...this.joined, id];
	}

	private changed(steps: readonly ReadStep[]): readonly ReadStep[] {
		const cut = this.splits.reduce((all, { id, at }) => splitAt(all, id, at), steps);
		let list = cut.map((s) => ({ ...s, ...this.changes[s.id] }));
		for (const id of this.dropped) {
			const gone = list.find((s) => s.id === id);
			if (!gone) continue;
			// What waited for it waits for what it waited for.
			list = list
				.filter((s) => s.id !== id)
				.map((s) =>
					s.after.includes(id) ? { ...s, after: once([...s.after.filter((a) => a !== id), ...gone.after]) } : s
				);
		}
		for (const id of this.joined) {
			const at = list.findIndex((s) => s.id === id);
			const [one, before] = [list[at], list[at - 1]];
			if (!one || !before) continue;
			const sum = (k: 0 | 1 | 2) => (before.seconds?.[k] ?? 0) + (one.seconds?.[k] ?? 0);
			const both: ReadStep = {
				...before,
				text: `${before.text.replace(/[.\s]+$/, '')}; ${one.text}`,
				seconds: [sum(0), sum(1), sum(2)],
				hands:
					one.hands === 'whole' || before.hands === 'whole'
						? 'whole'
						: one.hands === 'touches'
							? 'touches'
							: before.hands,
				after: once([...before.after, ...one.after.filter((a) => a !== before.id)]),
				sign: one.sign ?? before.sign
			};
			list = list
				.filter((s) => s.id !== id)
				.map((s) =>
					s.id === before.id
						? both
						: s.after.includes(id)
							? { ...s, after: once(s.after.map((a) => (a === id ? before.id : a))) }
							: s
				);
		}
		return list;
	}
}

const once = (ids: readonly string[]) => [...new Set(ids)];
