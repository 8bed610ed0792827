// A function that remembers its last answers: what a meal asks again after a change of one part is not computed again.

const most = 600;
const all: Map<string, unknown>[] = [];

/** Forget everything: for who measures how long it takes to compute it. */
export function forget(): void {
	for (const known of all) known.clear();
}

/** The same function of plain data, remembering so many answers; the oldest are forgotten first. */
export function remembering<Q extends object, A>(of: (question: Q) => A): (question: Q) => A {
	const known = new Map<string, A>();
	all.push(known);
	return (question) => {
		const key = JSON.stringify(question);
		const found = known.get(key);
		if (found !== undefined) return found;
		const answer = of(question);
		if (known.size >= most) known.delete(known.keys().next().value ?? key);
		known.set(key, answer);
		return answer;
	};
}
