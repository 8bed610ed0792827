// The exchange format of the plan problem and its answer, version 1 (docs/problem-format.md): types, parse, write.
import { z } from 'zod';
import { duplicateIds, issuesOf, type Issue, type Path, type Read } from '../issues';

/** Larger than any evening; keeps every sum of times within 32 bits. */
const longest = 100_000_000;
const id = z.string().min(1, 'must be a non-empty text');
const instant = z.int().min(0).max(longest);
const signed = z.int().min(-longest).max(longest);
const price = z.int().min(0).max(10_000_000);
const amount = z.int().min(1).max(1_000_000);

const use = z.strictObject({ resource: id, amount, from: instant.optional(), to: instant.optional() });
const mode = z.strictObject({
	duration: z.int().min(1).max(longest),
	uses: z.array(use).optional(),
	state: z.strictObject({ id, value: z.int().min(-10_000).max(10_000) }).optional(),
	/** Where it is done, for ties and holds. */
	at: id.optional()
});

/** A plan problem; every number is a whole number, times are seconds. */
export const problemSchema = z.strictObject({
	format: z.literal('juntos-problem'),
	version: z.literal(1),
	name: z.string(),
	horizon: instant,
	services: z.array(z.strictObject({ id, due: instant })).min(1),
	weights: z.strictObject({ slip: price, span: price }),
	resources: z.array(z.strictObject({ id, capacity: z.int().min(0).max(1_000_000) })).default([]),
	states: z
		.array(
			z.strictObject({
				id,
				initial: z.int().min(-10_000).max(10_000),
				rise: z.int().min(0).max(10_000),
				fall: z.int().min(0).max(10_000)
			})
		)
		.default([]),
	tasks: z
		.array(
			z.strictObject({
				id,
				modes: z.array(mode).min(1),
				release: instant.optional(),
				ahead: z.boolean().optional(),
				fixed: z.strictObject({ start: instant, mode: z.int().min(0) }).optional()
			})
		)
		.max(5000),
	lags: z.array(z.strictObject({ from: id, to: id, min: signed, max: signed.optional() })).default([]),
	holds: z.array(z.strictObject({ resource: id, amount, from: id, to: id, at: id.optional() })).default([]),
	/** Tasks that are done in one place: in modes of one `at`. */
	ties: z.array(z.array(id).min(2)).default([]),
	choices: z
		.array(z.strictObject({ id, options: z.array(z.strictObject({ id, tasks: z.array(id), cost: price })).min(1) }))
		.default([]),
	serve: z
		.array(
			z.strictObject({
				task: id,
				service: id,
				offset: signed,
				free: instant,
				rate: price,
				max: instant.optional()
			})
		)
		.default([]),
	/** What would rather have ended by an instant: each second later costs. */
	wants: z.array(z.strictObject({ task: id, by: instant, rate: price })).default([])
});
export type Problem = z.infer<typeof problemSchema>;

/** An answer to a problem; `starts`, `modes`, `picks` and `slips` by id, absent tasks left out. */
export const scheduleSchema = z.object({
	format: z.literal('juntos-schedule'),
	version: z.literal(1),
	problem: z.string(),
	status: z.enum(['optimal', 'feasible', 'infeasible', 'unknown']),
	objective: z.int().optional(),
	bound: z.int().optional(),
	starts: z.record(z.string(), z.int()).optional(),
	modes: z.record(z.string(), z.int()).optional(),
	picks: z.record(z.string(), z.string()).optional(),
	slips: z.record(z.string(), z.int()).optional(),
	conflict: z.array(id).optional(),
	/** Tasks that start at another time than in the plan it was asked to stay near. */
	moved: z.array(id).optional(),
	stats: z.record(z.string(), z.number()).optional()
});
export type Schedule = z.infer<typeof scheduleSchema>;

/** How long each list may be, so that nothing that is refused takes long to be refused. */
const mostOf = {
	tasks: 5000,
	lags: 20_000,
	holds: 10_000,
	ties: 5000,
	serve: 10_000,
	wants: 10_000,
	choices: 2500,
	resources: 2000,
	states: 500,
	services: 200
} as const;
/** Modes and uses of one task, and all uses of a problem. */
const mostWays = { modes: 100, uses: 200, all: 60_000 } as const;
/** Tasks of all ties. */
const mostTied = 20_000;

/** Lists that are too long to be looked at one by one. */
function tooLong(data: unknown): readonly Issue[] {
	if (typeof data !== 'object' || data === null) return [];
	const lists = data as Readonly<Record<string, unknown>>;
	const issues = Object.entries(mostOf).flatMap(([key, most]): Issue[] => {
		const list = lists[key];
		const isLong = Array.isArray(list) && list.length > most;
		return isLong ? [{ code: 'too-many', path: [key], what: key, seen: list.length, most }] : [];
	});
	if (Array.isArray(lists.ties)) {
		const tied = lists.ties.reduce((sum: number, tie) => sum + (Array.isArray(tie) ? tie.length : 0), 0);
		if (tied > mostTied)
			issues.push({ code: 'too-many', path: ['ties'], what: 'tied tasks', seen: tied, most: mostTied });
	}
	if (issues.length > 0 || !Array.isArray(lists.tasks)) return issues;
	let all = 0;
	const count = (value: unknown, key: string): readonly unknown[] => {
		const list = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;
		return Array.isArray(list) ? list : [];
	};
	for (const [i, task] of (lists.tasks as readonly unknown[]).entries()) {
		const modes = count(task, 'modes');
		const path = ['tasks', i, 'modes'];
		if (modes.length > mostWays.modes)
			issues.push({ code: 'too-many', path, what: 'modes', seen: modes.length, most: mostWays.modes });
		for (const [k, mode] of modes.slice(0, mostWays.modes).entries()) {
			const { length } = count(mode, 'uses');
			all += length;
			if (length > mostWays.uses)
				issues.push({ code: 'too-many', path: [...path, k, 'uses'], what: 'uses', seen: length, most: mostWays.uses });
		}
	}
	if (all > mostWays.all)
		issues.push({ code: 'too-many', path: ['tasks'], what: 'uses', seen: all, most: mostWays.all });
	return issues;
}

/** Unknown data as a problem whose references all hold, or every issue found. */
export function readProblem(data: unknown): Read<Problem> {
	const long = tooLong(data);
	if (long.length > 0) return { ok: false, issues: long };
	const parsed = problemSchema.safeParse(data);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const issues = inconsistencies(parsed.data);
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: parsed.data };
}

function inconsistencies(p: Problem): readonly Issue[] {
	const issues: Issue[] = [];
	const known = (list: readonly { id: string }[], among: string) => {
		const ids = new Set(list.map((x) => x.id));
		return (id: string, path: Path) => {
			if (!ids.has(id)) issues.push({ code: 'unknown-id', path, id, among });
		};
	};
	const task = known(p.tasks, 'tasks');
	const resource = known(p.resources, 'resources');
	const state = known(p.states, 'states');
	const service = known(p.services, 'services');

	for (const key of ['services', 'resources', 'states', 'tasks', 'choices'] as const) {
		issues.push(...duplicateIds(p[key], [key]));
	}
	p.tasks.forEach((t, i) => {
		t.modes.forEach((m, k) => {
			const at = ['tasks', i, 'modes', k];
			m.uses?.forEach((u, j) => {
				resource(u.resource, [...at, 'uses', j, 'resource']);
				const { from = 0, to = m.duration } = u;
				if (from >= to || to > m.duration) {
					issues.push({ code: 'use-window', path: [...at, 'uses', j], from, to, duration: m.duration });
				}
			});
			if (m.state) state(m.state.id, [...at, 'state', 'id']);
		});
		if (t.fixed && t.fixed.mode >= t.modes.length) {
			const path = ['tasks', i, 'fixed', 'mode'];
			issues.push({ code: 'no-such-mode', path, mode: t.fixed.mode, count: t.modes.length });
		}
	});
	p.lags.forEach((l, i) => {
		task(l.from, ['lags', i, 'from']);
		task(l.to, ['lags', i, 'to']);
	});
	p.holds.forEach((h, i) => {
		resource(h.resource, ['holds', i, 'resource']);
		task(h.from, ['holds', i, 'from']);
		task(h.to, ['holds', i, 'to']);
	});
	const modesOf = new Map(p.tasks.map((t) => [t.id, t.modes]));
	p.ties.forEach((tie, i) => {
		issues.push(
			...duplicateIds(
				tie.map((id) => ({ id })),
				['ties', i]
			)
		);
		tie.forEach((t, k) => {
			task(t, ['ties', i, k]);
			const nowhere = modesOf.get(t)?.findIndex((m) => m.at === undefined) ?? -1;
			if (nowhere >= 0) issues.push({ code: 'no-place', path: ['ties', i, k], task: t, mode: nowhere });
		});
	});
	p.wants.forEach((w, i) => {
		task(w.task, ['wants', i, 'task']);
	});
	p.serve.forEach((s, i) => {
		task(s.task, ['serve', i, 'task']);
		service(s.service, ['serve', i, 'service']);
	});
	const taken = new Set<string>();
	p.choices.forEach((choice, c) => {
		issues.push(...duplicateIds(choice.options, ['choices', c, 'options']));
		choice.options.forEach((option, o) => {
			option.tasks.forEach((t, i) => {
				const path = ['choices', c, 'options', o, 'tasks', i];
				task(t, path);
				if (taken.has(t)) issues.push({ code: 'two-options', path, task: t });
				taken.add(t);
			});
		});
	});
	return issues;
}
