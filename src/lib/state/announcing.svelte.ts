// What is told of the cues that are due besides the screen, and in which ways; the device remembers those.
import { toSay, type Said } from '../core/run/announce';
import type { Cue } from '../core/run/cues';
import { signal, signalKinds, type SignalKind } from './signals';
import { recall, remember } from './small-store';

const key = 'juntos-signals';
/** What is on where nothing was chosen. */
const usual = 'awake';

export class Announcing {
	/** The ways that are on. */
	on: ReadonlySet<SignalKind> = $state.raw(kindsIn(recall(key) ?? usual));
	/** What a screen reader is told now. */
	heard = $state('');
	private said: Said = nothing;
	/** The run of which that was said. */
	private run = '';

	constructor(private readonly tell: typeof signal = signal) {}

	switch(kind: SignalKind): void {
		const after = signalKinds.filter((k) => this.on.has(k) !== (k === kind));
		remember(key, after.join(' '));
		this.on = kindsIn(after.join(' '));
	}

	/** These cues are due: what was not said of them is. */
	hear(run: string, due: readonly Cue[], clock: number, say: (cue: Cue) => string): void {
		if (run !== this.run) this.said = nothing;
		this.run = run;
		const told = toSay(due, clock, this.said);
		this.said = told.said;
		if (told.say.length === 0) return;
		this.heard = told.say.map(say).join('. ');
		this.tell(this.heard, this.on);
	}
}

const nothing: Said = new Map();

function kindsIn(words: string): ReadonlySet<SignalKind> {
	const named = words.split(' ');
	return new Set(signalKinds.filter((k) => named.includes(k)));
}
