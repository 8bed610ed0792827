// How likely a plan is on time, what is to blame, and what room behind its steps would bring: in words.
import type { Prospects } from '../rehearse/going-on';
import type { Room } from '../model/meal';
import type { Blame } from '../rehearse/evening';
import type { RoomOffer } from '../rehearse/offers';
import type { Eaten } from '../rehearse/eaten';
import type { Odds } from '../rehearse/rehearse';
import { formatClock, formatDuration, minute } from '../units/time';
import type { SpokenPlan } from './speak';

/** Of a hundred evenings, as a whole number: none and all only where that is so. */
export function inHundred(share: number): number {
	if (share <= 0 || share >= 1) return share <= 0 ? 0 : 100;
	return Math.min(99, Math.max(1, Math.round(100 * share)));
}

/** “61 evenings in 100 on time”. */
export const wordOnTime = (share: number): string => {
	const n = inHundred(share);
	if (n === 100 || n === 0) return n === 100 ? 'Every evening on time' : 'No evening on time';
	return `${n} evening${n === 1 ? '' : 's'} in 100 on time`;
};

/** “61 evenings in 100 on time; celeriac gratin is to blame in 24”. */
export function wordChance(
	onTime: number,
	[worst]: readonly Blame[],
	plan: Pick<SpokenPlan, 'steps' | 'parts'>
): string {
	const part = plan.parts.find((p) => p.id === plan.steps.find((s) => s.id === worst?.step)?.part);
	const blame =
		worst && part && onTime < 1 ? `; ${part.name.toLowerCase()} is to blame in ${inHundred(worst.share)}` : '';
	return `${wordOnTime(onTime)}${blame}`;
}

/** Until it is known; it takes the room that the answer will. */
export const wordPlaying = 'Evenings are being played …';

/** How sure that is, once it is not quite. */
export const wordSure = ({ runs, error }: Pick<Odds, 'runs' | 'error'>): string =>
	`${runs} evenings played, give or take ${Math.max(1, Math.round(200 * error))} in 100`;

/** How late a course is, as a cook would say it. */
export function wordLate({ p50, p80, p95 }: Odds['services'][string]['slip']): string {
	const [half, most, all] = [p50, p80, p95].map((s) => Math.round(s / 30) * 30);
	if (!all) return 'hardly ever late';
	const late = (s = 0) => (s === 0 ? 'on time' : `at most ${formatDuration(s)} late`);
	return `half of them ${late(half)}, four in five ${late(most)}, 19 in 20 ${late(all)}`;
}

/** “Celeriac gratin: bake (3 min on the mean, in 41 evenings of 100)”. */
export function wordBlame({ step, share, delay }: Blame, plan: SpokenPlan): string {
	const own = plan.steps.find((s) => s.id === step);
	const part = plan.parts.find((p) => p.id === own?.part);
	const long = formatDuration(Math.max(15, Math.round(delay / 15) * 15));
	return `${part?.name ?? ''}: ${own?.say ?? step} (${long}, in ${inHundred(share)} of 100)`;
}

/** “waits 14 min, 30 at the most in nine of ten”: on the plate's way, in evenings that were played. */
export function wordWait({ p50, p90 }: { readonly p50: number; readonly p90: number }): string {
	const rounded = (s: number) => formatDuration(Math.max(0, Math.round(s / 60) * 60));
	if (p90 < minute) return 'hardly waits';
	const often = p50 < minute / 2 ? 'hardly waits' : `waits ${rounded(p50)}`;
	return `${often}, in one of ten ${rounded(p90)} or more`;
}

const roomNames: Readonly<Record<Room | 'none', string>> = {
	none: 'Without room behind the steps',
	some: 'With some room behind each step',
	much: 'With much room behind each step'
};
/** @param part what it is behind, where not behind all steps */
export const wordRoom = (room: Room | undefined, part?: string): string =>
	part === undefined
		? roomNames[room ?? 'none']
		: `With ${room ?? 'no'} room behind the steps of ${part.toLowerCase()}`;

/** “one mishap an hour”. */
export const wordMishaps = (perHour: number): string =>
	perHour === 0 ? 'none' : perHour === 1 ? 'one an hour' : `${perHour} an hour`;

/** “; 58 °C at the first bite, in one of ten 49, which is too cool”. */
export function wordEaten(usual: Eaten | undefined, late: Eaten | undefined): string {
	if (!usual) return '';
	const whole = ({ celsius }: Eaten) => Math.round(celsius);
	const isCool = ({ celsius, least }: Eaten) => (celsius < least - 0.5 ? ', which is too cool' : '');
	const often = late && whole(usual) - whole(late) >= 2 ? `, in one of ten ${whole(late)} °C${isCool(late)}` : '';
	return `; ${whole(usual)} °C at the first bite${isCool(usual)}${often}`;
}

/** As a cook rounds it. */
const halfMinutes = (seconds: number) => formatDuration(Math.max(30, Math.round(seconds / 30) * 30));

/** “begin 7 min earlier (16:35), food waits 4 min longer in all”. */
export function wordPriceOfRoom({ begins, waiting }: Pick<RoomOffer, 'begins' | 'waiting'>, from: number): string {
	const by = from - begins;
	const start =
		Math.abs(by) < minute
			? `begin at ${formatClock(begins)} as now`
			: `begin ${halfMinutes(Math.abs(by))} ${by > 0 ? 'earlier' : 'later'} (${formatClock(begins)})`;
	const wait =
		Math.abs(waiting) < minute
			? ''
			: `; food waits ${halfMinutes(Math.abs(waiting))} ${waiting > 0 ? 'longer' : 'less'} in all`;
	return `${start}${wait}`;
}

/** That an evening goes on as before, and why. */
export function wordHeld(because: string, { goOn, anew }: Prospects): string {
	const [before, then] = [inHundred(goOn.onTime), inHundred(anew.onTime)];
	const why =
		before > then
			? `that way ${before} evenings in 100 are still on time, planned anew ${then}`
			: 'a new plan would move steps and win nothing';
	return `Because ${because}: go on as before, ${why}.`;
}
