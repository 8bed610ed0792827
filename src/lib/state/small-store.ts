// A few words that the browser remembers: which meal is open, the units, the theme. Where it remembers nothing, nothing fails.

/** What is remembered under a key, or `undefined`. */
export function recall(key: string): string | undefined {
	try {
		return localStorage.getItem(key) ?? undefined;
	} catch {
		return undefined;
	}
}

/** Remember a word, or forget it where there is none. */
export function remember(key: string, word: string | undefined): void {
	try {
		if (word === undefined) localStorage.removeItem(key);
		else localStorage.setItem(key, word);
	} catch {
		// Storage is denied or full: the choice holds as long as the page does.
	}
}
