// Warnings of a part as sentences.
import type { Warning } from '../plan/warnings';
import { wordIssue } from './issues';
import { wordCare } from './steps';

export function wordWarning({ code, say, facts, care, batches }: Warning): string {
	if (say !== undefined) return say;
	if (facts) return wordIssue(facts);
	if (care) return wordCare(care);
	if (batches)
		return `“${batches.say}” goes in ${batches.count} batches: a larger vessel, or another one, would take more at once.`;
	return code;
}
