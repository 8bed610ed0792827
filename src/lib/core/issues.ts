// What is wrong with data from outside: facts first (a code, a place, the values seen), worded in one place.
import type { z } from 'zod';

export type Path = readonly (string | number)[];

/** One thing to mend in a file or a request; `path` leads to it from the top of the data. */
export type Issue =
	| { readonly code: 'not-json'; readonly path: Path; readonly detail: string }
	| { readonly code: 'shape'; readonly path: Path; readonly detail: string }
	| { readonly code: 'wrong-format'; readonly path: Path; readonly seen: string; readonly expected: string }
	| { readonly code: 'future-version'; readonly path: Path; readonly seen: number; readonly newest: number }
	| { readonly code: 'duplicate-id'; readonly path: Path; readonly id: string }
	| { readonly code: 'unknown-id'; readonly path: Path; readonly id: string; readonly among: string }
	| {
			readonly code: 'use-window';
			readonly path: Path;
			readonly from: number;
			readonly to: number;
			readonly duration: number;
	  }
	| { readonly code: 'no-such-mode'; readonly path: Path; readonly mode: number; readonly count: number }
	| { readonly code: 'two-options'; readonly path: Path; readonly task: string }
	| { readonly code: 'out-of-order'; readonly path: Path; readonly what: string }
	| {
			readonly code: 'too-many';
			readonly path: Path;
			readonly what: string;
			readonly seen: number;
			readonly most: number;
	  }
	| {
			readonly code: 'missing-station';
			readonly path: Path;
			readonly part: string;
			readonly step: string;
			readonly need: string;
	  }
	| {
			readonly code: 'never-done';
			readonly path: Path;
			readonly part: string;
			readonly step: string;
			readonly why: string;
	  }
	| { readonly code: 'missing-vessel'; readonly path: Path; readonly part: string; readonly vessel: string }
	| { readonly code: 'other-kitchen'; readonly path: Path; readonly wanted: string; readonly given: string }
	| { readonly code: 'steps-in-a-circle'; readonly path: Path; readonly steps: readonly string[] };

/** The data, or everything that is wrong with it. */
export type Read<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

/** A path as people write it: `parts[2].settings.thickness`; empty for the whole. */
export function wordPath(path: Path): string {
	return path.reduce<string>((text, key) => {
		if (typeof key === 'number') return `${text}[${key}]`;
		return text === '' ? key : `${text}.${key}`;
	}, '');
}

/** One sentence for a person: where, what is wrong, how to mend it. */
export function wordIssue(issue: Issue): string {
	const at = wordPath(issue.path);
	const where = at === '' ? '' : `${at}: `;
	switch (issue.code) {
		case 'not-json':
			return `${where}this is not JSON (${issue.detail}). Choose a file that Juntos exported, or mend the text there.`;
		case 'shape':
			return `${where}${issue.detail}.`;
		case 'wrong-format':
			return `${where}the format is ${issue.seen}, expected "${issue.expected}". Choose another file.`;
		case 'future-version':
			return `${where}version ${issue.seen} was written by a newer Juntos; this one reads up to ${issue.newest}. Update Juntos, or export an older version.`;
		case 'duplicate-id':
			return `${where}"${issue.id}" stands twice. Give one of the two another id.`;
		case 'unknown-id':
			return `${where}"${issue.id}" is not among the ${issue.among}. Correct the id, or add what it names.`;
		case 'use-window':
			return `${where}a use needs 0 ≤ from < to ≤ ${issue.duration}, is ${issue.from} to ${issue.to}. Shorten the use or lengthen the task.`;
		case 'no-such-mode':
			return `${where}there is no mode ${issue.mode}: it has ${issue.count}, counted from 0. Choose one of those.`;
		case 'two-options':
			return `${where}task "${issue.task}" stands in another option too. Leave it in one of the two.`;
		case 'out-of-order':
			return `${where}${issue.what}. Put the smaller value first.`;
		case 'too-many':
			return `${where}${issue.seen} ${issue.what}, and there are ${issue.most}. Take some out.`;
		case 'missing-station':
			return `${where}"${issue.step}" (${issue.part}) needs ${issue.need}, and this kitchen has none. Add one to the kitchen, or choose another technique.`;
		case 'never-done':
			return `${where}"${issue.step}" (${issue.part}) never comes to that: ${issue.why}. Change the size, the heat or the doneness.`;
		case 'missing-vessel':
			return `${where}${issue.part} needs a ${issue.vessel}, and this kitchen has none. Add one to the kitchen, or leave the part out.`;
		case 'other-kitchen':
			return `${where}the meal is for the kitchen "${issue.wanted}", not "${issue.given}". Send that kitchen along, or change the meal's kitchen.`;
		case 'steps-in-a-circle':
			return `${where}${issue.steps.map((step) => `"${step}"`).join(' waits for ')} and so on, in a circle. Remove one of the waits.`;
	}
}

/** A schema's own findings, as issues with their places. */
export function issuesOf(error: z.ZodError): readonly Issue[] {
	return error.issues.map((issue) => ({
		code: 'shape',
		path: issue.path.map((key) => (typeof key === 'number' ? key : String(key))),
		detail: issue.message
	}));
}

/** The ids that stand twice in a list, as issues. */
export function duplicateIds(list: readonly { readonly id: string }[], path: Path): readonly Issue[] {
	const seen = new Set<string>();
	return list.flatMap(({ id }, i) => {
		if (seen.has(id)) return [{ code: 'duplicate-id', path: [...path, i, 'id'], id } as const];
		seen.add(id);
		return [];
	});
}
