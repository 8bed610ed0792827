// What is wrong with data from outside, as facts: a code, a place, the values seen. `words/issues` makes sentences of them.
import type { z } from 'zod';

export type Path = readonly (string | number)[];

/** What a step needs and a kitchen lacks: a station, or somebody who does such work. */
export type Wanted =
	| { readonly kind: 'cook'; readonly duty?: string | undefined }
	| {
			readonly kind: 'station';
			readonly station: string;
			readonly settings?: readonly number[];
			/** °C between which it has to be. */
			readonly between?: readonly [number, number];
			readonly racks?: number;
			readonly leastPower?: number;
	  };

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
	| { readonly code: 'no-place'; readonly path: Path; readonly task: string; readonly mode: number }
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
			readonly need: Wanted;
	  }
	| {
			/** What was put in, as the facts of the step's time: absent where it is an estimate. */
			readonly code: 'never-done';
			readonly path: Path;
			readonly part: string;
			readonly step: string;
			readonly facts?: unknown;
	  }
	| { readonly code: 'missing-vessel'; readonly path: Path; readonly part: string; readonly vessel: string }
	| { readonly code: 'other-kitchen'; readonly path: Path; readonly wanted: string; readonly given: string }
	| {
			readonly code: 'unknown-technique';
			readonly path: Path;
			readonly part: string;
			readonly technique: string;
	  }
	| { readonly code: 'nothing-to-cook'; readonly path: Path }
	| { readonly code: 'too-large'; readonly path: Path; readonly bytes: number; readonly most: number }
	| { readonly code: 'steps-in-a-circle'; readonly path: Path; readonly steps: readonly string[] };

/** The data, or everything that is wrong with it. */
export type Read<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

/** A schema's own findings, as issues with their places. */
export function issuesOf(error: z.ZodError): readonly Issue[] {
	return error.issues.map((issue) => ({
		code: 'shape',
		path: issue.path.map((key) => (typeof key === 'number' ? key : String(key))),
		detail: detailOf(issue)
	}));
}

/** What each kind of value is called. */
const kinds: Readonly<Record<string, string>> = {
	string: 'a text',
	number: 'a number',
	int: 'a whole number',
	boolean: 'true or false',
	array: 'a list',
	tuple: 'a list',
	object: 'an object',
	record: 'an object'
};
/** How the words of a schema begin where it has none of its own for the case. */
const unworded = /^(Invalid|Too (big|small)|Unrecognized|Expected)/;
const mostListed = 12;

/** What is wrong with a value and how to mend it: the schema's own words, or those for the case. */
function detailOf(issue: z.core.$ZodIssue): string {
	const { message } = issue;
	if (!unworded.test(message)) return message;
	switch (issue.code) {
		case 'invalid_type': {
			const isMissing = message.endsWith('received undefined');
			const wanted = kinds[issue.expected] ?? issue.expected;
			return isMissing ? `is missing: give ${wanted}` : `must be ${wanted}; write it so`;
		}
		case 'too_small':
		case 'too_big': {
			const limit = issue.code === 'too_small' ? issue.minimum : issue.maximum;
			const words = issue.code === 'too_small' ? 'at least' : 'at most';
			const things: Readonly<Record<string, string>> = { string: ' characters', array: ' entries', set: ' entries' };
			const bound = issue.inclusive === false ? `${issue.code === 'too_small' ? 'above' : 'below'} ` : `${words} `;
			return things[issue.origin] === undefined
				? `must be ${bound}${limit}`
				: `must have ${words} ${limit}${things[issue.origin] ?? ''}`;
		}
		case 'invalid_value': {
			const known = issue.values.slice(0, mostListed).map((v) => JSON.stringify(v));
			const more = issue.values.length > mostListed ? ' …' : '';
			return `must be ${known.length === 1 ? '' : 'one of '}${known.join(', ')}${more}`;
		}
		case 'unrecognized_keys': {
			const keys = issue.keys.slice(0, mostListed).map((k) => `"${k.slice(0, 60)}"`);
			return `has ${keys.length === 1 ? 'a field' : 'fields'} that nobody here knows: ${keys.join(', ')}; take it out, or correct its name`;
		}
		case 'invalid_union':
			return issue.discriminator === undefined
				? 'is none of the forms that it may have; see the schema'
				: `needs a "${issue.discriminator}" that is known; see the schema`;
		case 'not_multiple_of':
			return `must be a multiple of ${issue.divisor}`;
		case 'custom':
		case 'invalid_element':
		case 'invalid_format':
		case 'invalid_key':
			return 'cannot be used as it is; see the schema';
	}
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
