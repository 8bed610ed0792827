// How a cue reaches a cook who does not look: a voice, a sound, a shake; and a screen that stays awake. All of it the
// browser's own; where it lacks one, that one is not offered.

export const signalKinds = ['voice', 'sound', 'shake', 'awake'] as const;
export type SignalKind = (typeof signalKinds)[number];

/** What this browser can do. */
export function possibleSignals(): ReadonlySet<SignalKind> {
	const can: Record<SignalKind, boolean> = {
		voice: 'speechSynthesis' in globalThis,
		sound: 'AudioContext' in globalThis,
		shake: 'vibrate' in navigator,
		awake: 'wakeLock' in navigator
	};
	return new Set(signalKinds.filter((k) => can[k]));
}

/** Seconds, hertz and loudness of the two tones. */
const tones = [
	{ from: 0, to: 0.16, hertz: 660 },
	{ from: 0.2, to: 0.42, hertz: 880 }
] as const;
const loudness = 0.22;

let audio: AudioContext | undefined;

function ring(): void {
	audio ??= new AudioContext();
	const { currentTime, destination } = audio;
	for (const { from, to, hertz } of tones) {
		const oscillator = audio.createOscillator();
		const gain = audio.createGain();
		oscillator.frequency.value = hertz;
		gain.gain.setValueAtTime(loudness, currentTime + from);
		gain.gain.exponentialRampToValueAtTime(0.001, currentTime + to);
		oscillator.connect(gain).connect(destination);
		oscillator.start(currentTime + from);
		oscillator.stop(currentTime + to);
	}
}

/** Let a cook know, in each of the ways that are on. */
export function signal(text: string, on: ReadonlySet<SignalKind>): void {
	const possible = possibleSignals();
	const does = (kind: SignalKind) => on.has(kind) && possible.has(kind);
	if (does('sound')) ring();
	if (does('shake')) navigator.vibrate([180, 90, 180]);
	if (does('voice')) {
		speechSynthesis.cancel();
		speechSynthesis.speak(new SpeechSynthesisUtterance(text));
	}
}

/** Keep the screen awake until the answer is called; where that is refused the screen sleeps as it is used to. */
export function stayAwake(): () => void {
	let lock: WakeLockSentinel | undefined;
	let isOver = false;
	const ask = () => {
		if (document.visibilityState !== 'visible' || isOver || !possibleSignals().has('awake')) return;
		navigator.wakeLock.request('screen').then(
			(granted) => {
				if (isOver) void granted.release();
				else lock = granted;
			},
			() => undefined
		);
	};
	ask();
	document.addEventListener('visibilitychange', ask);
	return () => {
		isOver = true;
		document.removeEventListener('visibilitychange', ask);
		void lock?.release();
	};
}
