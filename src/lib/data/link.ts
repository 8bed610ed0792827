// A small meal in a link: the text of a file, compressed (RFC 1951), in the part of the address that is never sent anywhere.

/** The fragment begins so. */
const mark = '#meal=';
/** Longer links are cut off by those who pass them on, characters. */
const longest = 8000;
/** What comes out of one is no longer, bytes. */
const mostInside = 2_000_000;

/** Whether an address's fragment holds a meal. */
export const isLink = (hash: string): boolean => hash.startsWith(mark);

/** The fragment that holds a text; `undefined` where that would be too long. */
export async function linkOf(text: string): Promise<string | undefined> {
	const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('deflate-raw'));
	const bytes = new Uint8Array(await new Response(stream).arrayBuffer());
	let binary = '';
	for (const byte of bytes) binary += String.fromCharCode(byte);
	const link = mark + btoa(binary).replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '');
	return link.length > longest ? undefined : link;
}

/** The text in a fragment; `undefined` where it was cut off, or holds something else. */
export async function textInLink(hash: string): Promise<string | undefined> {
	if (!isLink(hash)) return undefined;
	try {
		const coded = decodeURIComponent(hash.slice(mark.length)).replaceAll('-', '+').replaceAll('_', '/');
		const bytes = Uint8Array.from(atob(coded), (c) => c.charCodeAt(0));
		const reader = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('deflate-raw')).getReader();
		const decoder = new TextDecoder('utf-8', { fatal: true });
		let text = '';
		let size = 0;
		for (;;) {
			const { done, value } = (await reader.read()) as { done: boolean; value?: Uint8Array };
			if (done || !value) return text + decoder.decode();
			size += value.length;
			if (size > mostInside) return undefined;
			text += decoder.decode(value, { stream: true });
		}
	} catch {
		return undefined;
	}
}
