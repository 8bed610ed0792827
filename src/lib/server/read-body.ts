// The body of a request as JSON, within limits.
import { parseJson } from '../core/formats/juntos/juntos';
import { issuesAnswer, problemDetails } from './problem-details';

/** Largest body, characters. */
const largest = 1_500_000;

/** The parsed body, or the answer that says what is wrong with it. */
export async function readBody(request: Request): Promise<{ readonly data: unknown } | { readonly answer: Response }> {
	const type = request.headers.get('content-type') ?? 'none';
	if (!/^application\/([\w.+-]+\+)?json\b/.test(type)) {
		const detail = `The content-type is ${type}. Send the data as "content-type: application/json".`;
		return { answer: problemDetails(415, detail) };
	}
	const tooLarge = `The body may have at most ${largest} characters. Send a smaller problem.`;
	let text: string;
	try {
		text = await request.text();
	} catch {
		return { answer: problemDetails(413, tooLarge) };
	}
	if (text.length > largest) return { answer: problemDetails(413, tooLarge) };
	const read = parseJson(text);
	return read.ok ? { data: read.value } : { answer: issuesAnswer(read.issues) };
}
