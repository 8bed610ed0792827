// Clock times and durations: whole seconds inside, kitchen words outside.

export const minute = 60;
export const hour = 3600;
const day = 86_400;

/** Seconds after midnight as a clock, `18:42`, or with seconds `18:42:05`; past midnight it goes on from `00:00`. */
export function formatClock(seconds: number, withSeconds = false): string {
	const s = ((Math.floor(seconds) % day) + day) % day;
	const two = (n: number) => String(n).padStart(2, '0');
	const text = `${two(Math.floor(s / hour))}:${two(Math.floor((s % hour) / minute))}`;
	return withSeconds ? `${text}:${two(s % minute)}` : text;
}

const halfDay = 12 * hour;

/**
 * A clock as people type it (`19:30`, `7.30`, `1930`, `7 pm`, `7:30pm`, `noon`) in seconds after midnight, or `undefined`.
 *
 * @param near seconds after midnight: an hour alone, as `7`, is that of the morning or the evening which is nearer
 */
export function parseClock(text: string, near?: number): number | undefined {
	const word = text.trim().toLowerCase();
	if (word === 'noon' || word === 'midnight') return word === 'noon' ? halfDay : 0;
	const match = /^\s*(\d{1,2})(?:[:.h]?(\d{2})(?::(\d{2}))?)?\s*([ap])?\.?(?:m\.?)?\s*$/i.exec(text);
	if (!match) return undefined;
	const half = match[4]?.toLowerCase();
	const [h, m, s] = [Number(match[1]), Number(match[2] ?? 0), Number(match[3] ?? 0)];
	if (m > 59 || s > 59 || h > 23 || (half !== undefined && (h < 1 || h > 12))) return undefined;
	if (match[2] === undefined && half === undefined) {
		// Without minutes an hour is one only with its half of the day, or near another time.
		if (near === undefined) return undefined;
		if (h > 12) return h * hour;
		const [one, two] = [(h % 12) * hour, (h % 12) * hour + halfDay];
		const apart = (t: number) => Math.min(Math.abs(t - near), day - Math.abs(t - near));
		return apart(two) <= apart(one) ? two : one;
	}
	const hours = half === undefined ? h : (h % 12) + (half === 'p' ? 12 : 0);
	return hours * hour + m * minute + s;
}

/** A duration in words: `40 s`, `6 min`, `6½ min`, `1 h 20 min`. */
export function formatDuration(seconds: number): string {
	const s = Math.round(Math.abs(seconds));
	if (s < 90) return `${s} s`;
	if (s < 10 * minute) {
		const halves = Math.round(s / 30);
		return `${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''} min`;
	}
	const minutes = Math.round(s / minute);
	if (minutes < 60) return `${minutes} min`;
	const rest = minutes % 60;
	return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest} min`;
}

/** Minutes to service, as on the time axis: `−18` before, `+2` after. */
export function formatToService(seconds: number): string {
	const minutes = Math.round(seconds / minute);
	if (minutes === 0) return '0';
	return minutes > 0 ? `−${minutes}` : `+${-minutes}`;
}

/** A running count: `4:05`, `1:04:05`. */
export function formatCount(seconds: number): string {
	const s = Math.floor(Math.abs(seconds));
	const two = (n: number) => String(n).padStart(2, '0');
	const text = `${Math.floor((s % hour) / minute)}:${two(s % minute)}`;
	return s >= hour ? `${Math.floor(s / hour)}:${text.padStart(5, '0')}` : text;
}

/** Seconds after midnight, where this machine is. */
export function timeOfDay(at: Date): number {
	return at.getHours() * hour + at.getMinutes() * minute + at.getSeconds();
}
