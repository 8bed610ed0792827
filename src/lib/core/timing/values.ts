// What the quantities of a technique come to for one part: its settings, and how many it is for.
import type { Part } from '../model/meal';
import type { Technique } from '../model/technique';

/** Looks up a parameter of a technique for a part with these settings; `covers` is the number given. */
export function valuesFor(technique: Technique, settings: Part['settings'], covers: number): (id: string) => number {
	return (id) => {
		if (id === 'covers') return covers;
		return settings[id] ?? technique.parameters.find((p) => p.id === id)?.usual ?? 1;
	};
}
