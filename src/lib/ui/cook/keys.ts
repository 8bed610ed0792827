// The keys of Cook: which command a key is, and when it is somebody else's.

export type RunCommand =
	/** The cue so far down the list of what is now, from 0, is done. */
	| { readonly kind: 'done'; readonly index: number }
	| { readonly kind: 'undo' }
	| { readonly kind: 'late'; readonly seconds: number }
	/** What is looked at is not done. */
	| { readonly kind: 'notYet'; readonly how: 'nearly' | 'half way' | 'far' }
	/** Something is different from the plan. */
	| { readonly kind: 'life' };

const notYet = { n: 'nearly', h: 'half way', f: 'far' } as const;

const isIn = (target: EventTarget | null, selector: string) =>
	target instanceof HTMLElement && target.closest(selector) !== null;

/**
 * The command that a key is for the run; `undefined` for none. What is typed into a field, or said to a dialog, is not for
 * the run; a space presses the button that has the focus.
 */
export function commandOf(event: KeyboardEvent): RunCommand | undefined {
	const { key, target } = event;
	const isElsewhere = isIn(target, 'input, select, textarea, dialog, [contenteditable], [role=listbox]');
	if (event.ctrlKey || event.metaKey || event.altKey || isElsewhere) return undefined;
	if (document.querySelector('dialog[open]')) return undefined;
	if (key === ' ') return isIn(target, 'button, summary, a') ? undefined : { kind: 'done', index: 0 };
	if (/^[1-9]$/.test(key)) return { kind: 'done', index: Number(key) - 1 };
	if (key === 'u') return { kind: 'undo' };
	if (key === 'l') return { kind: 'life' };
	if (key === 'n' || key === 'h' || key === 'f') return { kind: 'notYet', how: notYet[key] };
	if (key === '+' || key === '-') return { kind: 'late', seconds: key === '+' ? 60 : -60 };
	return undefined;
}
