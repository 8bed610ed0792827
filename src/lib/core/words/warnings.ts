// Warnings of a part as sentences.
import type { Warning } from '../plan/warnings';
import { wordIssue } from './issues';

export function wordWarning({ code, say, facts }: Warning): string {
	if (say !== undefined) return say;
	return facts ? wordIssue(facts) : code;
}
