// What is wrong with data from outside, in a sentence for a person: where, what, how to mend it.
import type { Issue, Path, Wanted } from '../issues';
import { timeFactsSchema } from '../model/time-facts';
import { wordReason } from './reasons';

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
		case 'no-place':
			return `${where}task "${issue.task}" is tied, but its mode ${issue.mode} has no "at". Say where that mode is done, or take the task out of the tie.`;
		case 'two-options':
			return `${where}task "${issue.task}" stands in another option too. Leave it in one of the two.`;
		case 'out-of-order':
			return `${where}${issue.what}. Put the smaller value first.`;
		case 'too-many':
			return `${where}${issue.seen} ${issue.what} are more than the ${issue.most} that can be. Take some out, or make it for fewer.`;
		case 'missing-station':
			return `${where}"${issue.step}" (${issue.part}) needs ${wordWanted(issue.need)}, and this kitchen has none. Add one to the kitchen, or choose another technique.`;
		case 'never-done':
			return `${where}"${issue.step}" (${issue.part}) never comes to that: ${wordWhyNever(issue.facts)}. Change the size, the heat or the doneness.`;
		case 'missing-vessel':
			return `${where}${issue.part} needs a ${issue.vessel}, and this kitchen has none. Add one to the kitchen, or leave the part out.`;
		case 'other-kitchen':
			return `${where}the meal is for the kitchen "${issue.wanted}", not "${issue.given}". Send that kitchen along, or change the meal's kitchen.`;
		case 'unknown-technique':
			return `${where}${issue.part} is made by the technique "${issue.technique}", which is not known here. Choose another one, or import that technique.`;
		case 'nothing-to-cook':
			return `${where}there is nothing to cook yet. Add a part.`;
		case 'too-large':
			return `${where}it has ${megabytes(issue.bytes)}, and at most ${megabytes(issue.most)} are read. Choose a smaller file.`;
		case 'steps-in-a-circle':
			return `${where}${issue.steps.map((step) => `"${step}"`).join(' waits for ')} and so on, in a circle. Remove one of the waits.`;
	}
}

/** So many issues are worded; of the others it is said how many they are. */
export const mostWorded = 20;

/** Issues as one text: the first ones in words, and how many more there are. */
export function wordIssues(issues: readonly Issue[]): string {
	const more = issues.length - mostWorded;
	return [...issues.slice(0, mostWorded).map(wordIssue), ...(more > 0 ? [`And ${more} more.`] : [])].join(' ');
}

const megabytes = (bytes: number) => `${(bytes / 1_000_000).toFixed(1)} MB`;

/** The station in words; what it must be able to do, where it must. */
const stationWords: Readonly<Record<string, (need: Extract<Wanted, { kind: 'station' }>) => string>> = {
	burner: ({ leastPower }) => (leastPower === undefined ? 'a burner' : `a burner of at least ${leastPower} W`),
	oven: ({ racks = 1, settings = [] }) =>
		`${racks === 1 ? 'an oven' : `an oven of at least ${wordRacks(racks)}`}${settings.length === 0 ? '' : ` for ${wordRange(settings)}`}`,
	broiler: ({ racks = 1 }) => `an oven that heats from above, with ${wordRacks(racks)}`,
	grill: ({ between }) => wordFire('a grill', between),
	'wood oven': ({ between }) => wordFire('a wood oven', between),
	cold: () => 'a cold place',
	warm: () => 'a warm drawer'
};
function wordFire(what: string, between: readonly [number, number] | undefined): string {
	if (between === undefined) return what;
	const [low, high] = between;
	return `${what} of ${low} to ${high} °C`;
}
const wordRacks = (racks: number) => `${racks} ${racks === 1 ? 'rack' : 'racks'}`;

function wordRange(settings: readonly number[]): string {
	const [low, high] = [Math.min(...settings), Math.max(...settings)];
	return low === high ? `${low} °C` : `${low} to ${high} °C`;
}

function wordWanted(need: Wanted): string {
	if (need.kind === 'cook') return `somebody who does ${need.duty ?? 'it'} work`;
	return stationWords[need.station]?.(need) ?? `a ${need.station}`;
}

function wordWhyNever(facts: unknown): string {
	const known = timeFactsSchema.safeParse(facts);
	return known.success ? wordReason(known.data, Infinity).from : 'it takes for ever';
}
