// A planned step in a cook's words: its figures in its author's text, its cautions, what holds it. In metric units.
import type { HeldBy, Plan, PlannedPart, PlannedStep, Taken } from '../model/plan';
import type { Care } from '../model/time-facts';
import { belowAdvised } from '../safety/rules';
import { coreCelsius, millimetres, plainCelsius } from './quantities';
import { formatDuration } from '../units/time';
import { panFats } from '../foods/fats';

const wordDuration = (seconds: number) => (Number.isFinite(seconds) ? formatDuration(seconds) : 'for ever');
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** An author's text with the step's own figures: `{pull}` is the core at which it comes off, `{peak}` what it climbs to. */
export function wordFilled(text: string, { pull, peak }: Pick<PlannedStep, 'pull' | 'peak'>): string {
	const pulled = pull === undefined ? text : text.replaceAll('{pull}', coreCelsius(pull));
	return peak === undefined ? pulled : pulled.replaceAll('{peak}', coreCelsius(peak));
}

/** An author's text where there are no figures yet: in the library. */
export const wordUnfilled = (text: string) => {
	const said = text.replaceAll('{pull}', 'its pull temperature').replaceAll('{peak}', 'what is advised');
	return said === text ? text : capital(said);
};

/** The set point of an oven; what to turn the knob to, where that is another. */
export function wordSetting({ setting = 0, knob }: Pick<PlannedStep, 'setting' | 'knob'>): string {
	return knob === undefined ? `${setting} °C` : `${knob} °C, which is ${setting} °C inside`;
}

/** What a set point that is not the technique's own is good for; empty where it is its own. */
export function wordAway({ away }: Pick<PlannedStep, 'away'>): string {
	if (!away) return '';
	const { own, sooner, others } = away;
	const time =
		Math.abs(sooner) < 30
			? ''
			: sooner > 0
				? `done ${wordDuration(sooner)} sooner`
				: `takes ${wordDuration(-sooner)} longer`;
	const shared = others.length > 0 ? `as ${others.join(' and ')} ${others.length > 1 ? 'want' : 'wants'} it` : '';
	const why = [shared, time].filter((w) => w !== '').join(', ');
	return `its own is ${plainCelsius(own)}${why === '' ? '' : `; so it is ${why}`}`;
}

/** A climb of less is not worth a word, K. */
const leastClimb = 0.5;
/** Eggs that set further on a warm plate by themselves. */
const setsOn: ReadonlySet<string> = new Set([
	'scrambled fast',
	'scrambled slow',
	'omelette pale',
	'fried sunny',
	'fried lidded'
]);

/**
 * What heat does that goes on inwards after the step: how far the core climbs, at rest or on the plate; that soft eggs set on.
 * Empty where nothing does.
 *
 * @param rests whether a rest follows
 */
export function wordClimb({ pull, peak, facts }: Pick<PlannedStep, 'pull' | 'peak' | 'facts'>, rests: boolean): string {
	if (facts?.kind === 'egg' && setsOn.has(facts.way))
		return 'on the plate it sets further for half a minute: off while it still looks a little too soft';
	if (pull === undefined || peak === undefined || peak - pull < leastClimb) return '';
	const from = `off at ${coreCelsius(pull)}, it climbs to ${coreCelsius(peak)}`;
	return rests ? `${from} as it rests` : `${from} on the plate, within three minutes: that is counted`;
}

/** The part that another is added to, by name; `undefined` where it is plated by itself. */
export function wordInto(
	{ into }: Pick<PlannedPart, 'into'>,
	plan: {
		readonly parts: readonly Pick<PlannedPart, 'id' | 'name'>[];
		readonly steps: readonly Pick<PlannedStep, 'id' | 'part'>[];
	}
): string | undefined {
	const host = plan.steps.find((s) => into?.includes(s.id))?.part;
	return plan.parts.find((p) => p.id === host)?.name;
}

/** All cautions of a step: its author's, and those that depend on what was put in. */
export function wordCautions({ cautions, care }: Pick<PlannedStep, 'cautions' | 'care'>): readonly string[] {
	return [...new Set([...cautions, ...care.map(wordCare)])];
}

export function wordCare(care: Care): string {
	switch (care.kind) {
		case 'below-advised': {
			const { what, whose, advised } = care;
			const table =
				what === undefined || whose === undefined ? '' : ` (${plainCelsius(advised)} for ${what}: ${whose})`;
			return belowAdvised.replace('heat:', `heat${table}:`);
		}
		case 'check-after-rest':
			return `It comes off below ${plainCelsius(care.advised)}, and its rest makes that good: check after the rest, at least ${plainCelsius(care.advised)} in the thickest part, else back.`;
		case 'start-too-warm':
			return `${capital(care.what)} at ${plainCelsius(care.start)} is too warm to begin with: ${care.isRefused ? 'above' : 'from'} ${plainCelsius(care.limit)} its time out of the cold counts${care.isRefused ? ', and it is not to be used' : ''}.`;
		case 'too-fierce':
			return `The heat is too fierce for the size: it would come off at ${plainCelsius(care.pull)} for ${plainCelsius(care.goal)}. Take a lower one.`;
		case 'pan-too-thick':
			return `${millimetres(care.thickness)} is too thick for the pan alone: above ${millimetres(care.most)} the crust is past brown before the middle is warm. Sear, then the oven.`;
		case 'held-too-long':
			return `${wordDuration(care.seconds)} at ${plainCelsius(care.celsius)} is neither cold nor hot: ${care.isRefused ? 'more than 4 h is not to be eaten' : `more than ${wordDuration(care.most)} is a risk`}. A hotter bath, or a thinner piece.`;
		case 'cooling':
			return `${millimetres(care.size)} in ${care.in} takes ${wordDuration(care.first)} to 21 °C and ${wordDuration(care.whole)} to 5 °C; 2 h and 6 h are allowed. Slice it, spread it, or cool it in ice water first.`;
		case 'soft-egg':
			return 'Soft eggs are not for pregnant, very young, old or ill guests; local rules decide.';
		case 'fat-smokes': {
			const smokes = `${capital(care.fat)} smokes from ${plainCelsius(care.from)}`;
			if (care.how === 'ventilate') return `${smokes}: fan on, window open.`;
			const instead = care.fat === panFats[0] ? 'and open the window' : `or take ${panFats[0]}`;
			return `${smokes}, and the pan comes to ${plainCelsius(care.pan)}: put it in late, ${instead}.`;
		}
	}
}

function wordTaken(taken: Taken, cooks: number): string {
	switch (taken.kind) {
		case 'hands':
			return cooks === 1 ? 'your hands' : 'a free pair of hands';
		case 'vessel':
			return `the ${taken.vessel}`;
		case 'station':
			return taken.isOneOf ? `a ${taken.station} like it` : taken.station.toLowerCase();
		case 'other':
			return taken.id;
	}
}

/** Why a step is not later. */
export function wordHeldBy(held: HeldBy, plan: Pick<Plan, 'steps' | 'cooks'>): string {
	const say = (id: string) => {
		const step = plan.steps.find((s) => s.id === id);
		return step ? wordFilled(step.say, step) : 'Plate up';
	};
	switch (held.kind) {
		case 'plate':
			return 'It goes on the plate the moment it is done.';
		case 'follower':
			return `“${say(held.step)}” follows at once.`;
		case 'rival':
			return `“${say(held.step)}” needs ${wordTaken(held.taken, plan.cooks.length)} right after.`;
		case 'leader':
			return `It must not come later after “${say(held.step)}”.`;
		case 'oven-changes':
			return `The oven then changes for “${say(held.step)}”.`;
		case 'nothing':
			return 'It fits best here; it has room to move.';
		case 'said':
			return held.text;
	}
}
