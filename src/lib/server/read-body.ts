// The body of a request as JSON, within limits.
import { parseJson } from '../core/formats/juntos/juntos';
import { busyAnswer, issuesAnswer, problemDetails } from './problem-details';

/** Largest body, bytes. */
const largest = 1_500_000;

/** Bodies that are read at a time: more would only be read to be refused. */
const mostRead = 24;
let reading = 0;

/** What the server itself takes, in its own words; set by whoever starts it. */
const serverLimit = () => process.env.BODY_SIZE_LIMIT ?? '512K';

/** The parsed body, or the answer that says what is wrong with it. */
export async function readBody(request: Request): Promise<{ readonly data: unknown } | { readonly answer: Response }> {
	const type = request.headers.get('content-type') ?? 'none';
	if (!/^application\/([\w.+-]+\+)?json\b/.test(type)) {
		const detail = `The content-type is ${type.slice(0, 80)}. Send the data as "content-type: application/json".`;
		return { answer: problemDetails(415, detail) };
	}
	const tooLarge = (limit: string) => ({
		// What is left of the body is not read: nothing else can come over this connection.
		answer: problemDetails(413, `The body may have at most ${limit}. Send a smaller meal or problem.`, [], {
			connection: 'close'
		})
	});
	const announced = Number(request.headers.get('content-length') ?? 0);
	if (announced > largest) return tooLarge(`${largest} bytes`);
	if (reading >= mostRead) return { answer: busyAnswer('full') };
	let text: string;
	reading++;
	try {
		text = await request.text();
	} catch {
		return tooLarge(`${serverLimit()} bytes, as this server was started`);
	} finally {
		reading--;
	}
	if (text.length > largest) return tooLarge(`${largest} bytes`);
	const read = parseJson(text);
	return read.ok ? { data: read.value } : { answer: issuesAnswer(read.issues) };
}
