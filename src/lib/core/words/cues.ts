// A cue in a cook's words: what to do, where and at what heat, the sign, the cautions. In metric units (see `inUnits`).
import { handSeconds } from '../heat/fire';
import type { Plan, PlannedStep } from '../model/plan';
import { usualStation } from '../model/stations';
import type { Cue } from '../run/cues';
import { formatDuration } from '../units/time';
import { wordCautions, wordFilled, wordSetting } from './steps';

export interface CueWords {
	readonly say: string;
	/** Place, heat, vessel. */
	readonly where: string;
	readonly sign: string | undefined;
	readonly cautions: readonly string[];
}

/** How what begins cold is brought to its heat; an oven is set. */
const kindled: Readonly<Record<string, { readonly say: string; readonly sign: string; readonly caution?: string }>> = {
	grill: {
		say: 'Light the {place}: to {to}',
		sign: 'A hand over the grate stays {hand} s, no longer.',
		caution: 'Charcoal and gas outdoors or under a hood: carbon monoxide.'
	},
	griddle: { say: 'Heat the {place} to {to}', sign: 'A drop of water dances.' },
	fryer: { say: 'Oil on in the {place}: to {to}', sign: 'The thermometer says so; a crumb sizzles.' },
	steamer: { say: 'Water on in the {place}', sign: 'Steam comes in a steady plume.' },
	'wood oven': {
		say: 'Light the fire in the {place}: to {to}',
		sign: 'The vault has burnt white; flames lick along it.',
		caution: 'Carbon monoxide: outdoors or under a hood; gloves.'
	}
};

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const atThePass = { where: 'the pass', sign: undefined, cautions: [] };

const warmPlates = (plan: Plan): CueWords => ({
	say: `${plan.covers} plates to warm`,
	where: plan.lanes.find((l) => l.kind === 'warm')?.name ?? 'The oven as it cools, or hot water',
	sign: 'As warm as the hand likes to hold.',
	cautions: []
});

/** How many plates, where they go out in waves. */
function wordPlates({ plating = 0, course }: Cue, plan: Plan): string {
	const all = plan.services.find((s) => s.course === course)?.platings ?? [];
	const isInWaves = all.filter((p) => p.goesOut).length > 1;
	const plates = all[plating]?.plates;
	if (!isInWaves || plates === undefined) return '';
	return plating === 0 ? `, the first ${plates} plates` : `, ${plates} more plates`;
}

/** A part by its name, with what it is built onto. */
function wordStacked(id: string, plan: Plan): string {
	const part = plan.parts.find((p) => p.id === id);
	const base = plan.parts.find((p) => part?.onTop !== undefined && (p.of ?? p.id) === part.onTop)?.name;
	const name = part?.name ?? id;
	return base === undefined ? name : `${name} on top of ${base}`;
}

/** Everything of a course that is built onto something else, where all of it is plated in one go. */
function wordStacks({ course }: Cue, plan: Plan): string {
	const stacks = plan.parts.filter((p) => p.course === course && p.onTop !== undefined);
	return stacks.length === 0 ? '' : `: ${stacks.map((p) => wordStacked(p.id, plan)).join(', ')}`;
}

/** Which parts, where something else is done between them. */
function wordParts({ plating = 0, course }: Cue, plan: Plan): string | undefined {
	const all = plan.services.find((s) => s.course === course)?.platings ?? [];
	const own = all[plating]?.parts;
	if (own === undefined || all.every((p) => p.goesOut)) return undefined;
	return own.map((id) => wordStacked(id, plan)).join(', ');
}

/** Kilograms that light a fire. */
function fuelToLight({ lane }: PlannedStep, plan: Plan): string {
	const fire = plan.fires?.find((f) => f.lane === lane);
	return fire ? `, with ${fire.toLight} kg of ${fire.fuel}` : '';
}

/** What is hot already: a fire built up, or left to fall; anything else turned up or down. */
function wordChanged(step: PlannedStep, plan: Plan, place: string): CueWords | undefined {
	const before = plan.steps
		.filter((s) => s.lane === step.lane && s.from < step.from && s.setting !== undefined)
		.toSorted((a, b) => b.from - a.from)[0];
	if (!before) return undefined;
	const isUp = (before.setting ?? 0) < (step.setting ?? 0);
	const to = wordSetting(step);
	const it = place.toLowerCase();
	const fire = plan.fires?.find((f) => f.lane === step.lane);
	const more = fire?.built.find((x) => x.at === step.from)?.kilograms;
	const built = `Build the fire up to ${to}: ${more === undefined ? '' : `${more} kg of `}${fire?.fuel ?? ''} onto the ${it}`;
	const fallen = `Let the ${it} burn down to ${to}: no more ${fire?.fuel ?? ''}`;
	const kind = plan.lanes.find((l) => l.id === step.lane)?.kind ?? '';
	return {
		say: fire ? (isUp ? built : fallen) : `Turn the ${it} ${isUp ? 'up' : 'down'} to ${to}`,
		where: place,
		sign: (fire ? kindled.grill : kindled[kind])?.sign.replace('{hand}', String(handSeconds(step.setting ?? 0))),
		cautions: []
	};
}

function wordFeed({ lane, id }: Cue, plan: Plan): CueWords {
	const fire = plan.fires?.find((f) => f.lane === lane);
	const name = plan.lanes.find((l) => l.id === lane)?.name ?? '';
	const fed = fire?.feed[Number(id.split('-').at(-1)) - 1];
	return {
		say: `Feed the ${name.toLowerCase()}: ${fed?.kilograms ?? 0} kg of ${fire?.fuel ?? 'fuel'}`,
		where: `${name} · ${fire?.hottest ?? 0} °C`,
		sign: 'At the back or the side: what lies in front stays over embers.',
		cautions: []
	};
}

export function wordCue(cue: Cue, plan: Plan): CueWords {
	const course = plan.services.find((s) => s.course === cue.course)?.name ?? plan.name;
	if (cue.kind === 'serve') return { ...atThePass, say: `Serve: ${course}${wordPlates(cue, plan)}` };
	if (cue.kind === 'plate')
		return {
			...atThePass,
			say: `Plate up: ${wordParts(cue, plan) ?? `${course}${wordStacks(cue, plan)}`}${wordPlates(cue, plan)}`
		};
	if (cue.kind === 'warm') return warmPlates(plan);
	if (cue.kind === 'feed') return wordFeed(cue, plan);
	const step = plan.steps.find((s) => s.id === cue.step);
	if (!step) return { say: '', where: '', sign: undefined, cautions: [] };
	const place = plan.lanes.find((l) => l.id === step.lane)?.name ?? step.lane;
	if (cue.kind === 'oven') {
		const kind = plan.lanes.find((l) => l.id === step.lane)?.kind ?? '';
		const changed = kind in kindled ? wordChanged(step, plan, place) : undefined;
		if (changed) return changed;
		const { say, sign, caution } = kindled[kind] ?? {
			say: `Set the ${place.toLowerCase()} to {to}`,
			sign: 'The light goes out, or your thermometer says so.'
		};
		return {
			say: say.replace('{to}', wordSetting(step)).replace('{place}', place.toLowerCase()) + fuelToLight(step, plan),
			where: place,
			sign: sign.replace('{hand}', String(handSeconds(step.setting ?? usualStation.grill.temperature))),
			cautions: caution === undefined ? [] : [caution]
		};
	}
	const hand = cue.hand === undefined ? undefined : step.hands[cue.hand];
	const say = wordFilled(step.say, step);
	const sign = step.sign === undefined ? undefined : wordFilled(step.sign, step);
	const told = {
		start: `${say}: ${formatDuration(step.to - step.from)}`,
		touch: say,
		look: `Look early: ${lowerFirst(say)}`,
		end: `Time is up: ${lowerFirst(say)}`
	};
	return {
		say: hand ? (hand.whole ? say : wordFilled(hand.say, step)) : told[cue.kind],
		where: whereOf(step, plan),
		// How it looks when it is done is of no use when it begins by hand.
		sign: hand && !hand.whole && cue.kind === 'start' ? undefined : sign,
		cautions: wordCautions(step)
	};
}

function whereOf(step: PlannedStep, plan: Plan): string {
	const lane = plan.lanes.find((l) => l.id === step.lane);
	const isSomewhere = lane !== undefined && lane.kind !== 'rest' && lane.kind !== 'keep';
	const heat = step.setting === undefined ? (step.heat ?? '') : wordSetting(step);
	return [isSomewhere ? lane.name : '', heat, step.vessel ?? ''].filter((w) => w !== '').join(' · ');
}
