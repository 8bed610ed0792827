// The slow oracle of the rehearsal: an evening second by second, with whole lengths and lags of at least 0. Shares nothing with
// `rehearse/network`.
import type { Problem, Schedule } from '../plan/problem';

/** @param lengths s, whole and such that each use of a task begins and ends at a whole second */
export function simulatePlainly(
	problem: Problem,
	{ starts = {}, modes = {} }: Schedule,
	lengths: Readonly<Record<string, number>>,
	isEarly: boolean
) {
	const there = problem.tasks.filter((t) => starts[t.id] !== undefined);
	const way = (id: string) => {
		const task = there.find((t) => t.id === id)!;
		return task.modes[modes[id] ?? 0]!;
	};
	const scale = (id: string) => lengths[id]! / way(id).duration;
	/** What begins: a task, or a use within it; in the planned order. */
	const moments = there
		.flatMap((t, k) =>
			[...new Set([0, ...(way(t.id).uses ?? []).map((u) => u.from ?? 0)])].map((from) => ({ id: t.id, from, k }))
		)
		.sort(
			(a, b) =>
				starts[a.id]! + a.from - starts[b.id]! - b.from ||
				a.from / way(a.id).duration - b.from / way(b.id).duration ||
				a.k - b.k
		);
	const came = new Map<string, number>();
	const key = (id: string, from: number) => `${id}@${from}`;
	/** When a task has come so far (planned seconds into it), if that is known yet; its waits within count. */
	const reached = (id: string, to: number): number | undefined => {
		const last = moments.filter((m) => m.id === id && m.from < to).sort((a, b) => b.from - a.from)[0];
		const at = last && came.get(key(id, last.from));
		return at === undefined ? undefined : at + Math.round((to - last!.from) * scale(id));
	};
	const endOf = (id: string) => reached(id, way(id).duration);
	const takings = problem.resources.map((r) => ({
		...r,
		list: moments.flatMap(({ id, from }) => [
			...(way(id).uses ?? [])
				.filter((u) => u.resource === r.id && (u.from ?? 0) === from)
				.map((u) => ({ by: key(id, from), amount: u.amount, over: () => reached(id, u.to ?? way(id).duration) })),
			...problem.holds
				.filter((h) => h.resource === r.id && h.from === id && from === 0 && starts[h.to] !== undefined)
				.filter((h) => h.at === undefined || h.at === way(id).at)
				.filter((h) => starts[h.to]! + way(h.to).duration > starts[h.from]!)
				.map((h) => ({ by: key(id, from), amount: h.amount, over: () => endOf(h.to) }))
		])
	}));
	const stateOf = (id: string) => way(id).state;
	const setup = (s: Problem['states'][number], a: number, b: number) => (b > a ? s.rise * (b - a) : s.fall * (a - b));
	for (let now = 0; came.size < moments.length; now++) {
		if (now > 100_000) throw new Error('an evening without end');
		for (let again = true; again;) {
			again = false;
			for (const { id, from } of moments) {
				if (came.has(key(id, from))) continue;
				const task = there.find((t) => t.id === id)!;
				let waitsForAny = false;
				let isReady = true;
				if (from > 0)
					isReady =
						(reached(id, from) ?? Infinity) <= now &&
						moments.every((m) => m.id !== id || m.from >= from || came.has(key(id, m.from)));
				else {
					for (const l of problem.lags.filter((l) => l.to === id && starts[l.from] !== undefined)) {
						waitsForAny = true;
						if (!((endOf(l.from) ?? Infinity) + l.min <= now)) isReady = false;
					}
					const own = stateOf(id);
					for (const s of problem.states.filter((x) => x.id === own?.id)) {
						if (now < setup(s, s.initial, own!.value)) isReady = false;
						for (const other of moments.slice(
							0,
							moments.findIndex((m) => m.id === id && m.from === 0)
						)) {
							const theirs = other.from === 0 ? stateOf(other.id) : undefined;
							if (theirs?.id !== s.id || theirs.value === own!.value) continue;
							waitsForAny = true;
							if (!((endOf(other.id) ?? Infinity) + setup(s, theirs.value, own!.value) <= now)) isReady = false;
						}
					}
				}
				for (const { list, capacity } of takings) {
					list.forEach((own, k) => {
						if (own.by !== key(id, from)) return;
						const before = list.slice(0, k);
						if (before.reduce((sum, t) => sum + t.amount, own.amount) > capacity) waitsForAny = true;
						const held = before.filter((t) => !((t.over() ?? Infinity) <= now)).reduce((sum, t) => sum + t.amount, 0);
						if (held + own.amount > capacity) isReady = false;
					});
				}
				if (from === 0) {
					const soonest = isEarly && !task.fixed && waitsForAny ? (task.release ?? 0) : starts[id]!;
					if (now < soonest) isReady = false;
				}
				if (!isReady) continue;
				came.set(key(id, from), now);
				again = true;
			}
		}
	}
	return Object.fromEntries(there.map((t) => [t.id, { from: came.get(key(t.id, 0))!, to: endOf(t.id)! }]));
}
