// What life does to an evening, and what it costs: in a cook's words, in metric units (see `inUnits`).
import type { Plan } from '../model/plan';
import type { Overrun } from '../plan/replan';
import type { RunEvent } from '../run/events';
import { formatClock, formatDuration } from '../units/time';
import { wordFilled } from './steps';

/** Differences of less than this are none, seconds. */
const worth = 60;

/** What another plan of the rest costs beside the one in force: how much later each course is. */
export function wordPrice(before: Pick<Plan, 'services'>, after: Pick<Plan, 'services'>): string {
	const later = after.services.flatMap(({ course, name, at }) => {
		const was = before.services.find((s) => s.course === course)?.at ?? at;
		const by = at - was;
		if (Math.abs(by) < worth) return [];
		return [`${name.toLowerCase()} ${formatDuration(Math.abs(by))} ${by > 0 ? 'later' : 'sooner'}`];
	});
	return later.length === 0 ? 'on time' : later.join(', ');
}

/** What comes later than what it follows can bear; empty where nothing does. */
export function wordOverruns(overruns: readonly Overrun[], plan: Pick<Plan, 'steps' | 'parts'>): string {
	const said = overruns.flatMap(({ step: id, seconds }) => {
		const step = plan.steps.find((s) => s.id === id);
		const part = plan.parts.find((p) => p.id === step?.part)?.name;
		if (!step || seconds < worth) return [];
		return [`“${wordFilled(step.say, step)}” (${part ?? ''}) comes ${formatDuration(seconds)} later than is good`];
	});
	return said.length === 0 ? '' : `It cannot all be kept: ${said.join('; ')}.`;
}

/** Why the rest was planned anew, in few words; empty for what needs no word. */
export function wordHappening(
	event: RunEvent,
	plan: Pick<Plan, 'steps' | 'parts' | 'services' | 'lanes' | 'cooks'>,
	clockOf: (at: number) => number
): string {
	const step = (id: string) => {
		const found = plan.steps.find((s) => s.id === id);
		return found ? `“${wordFilled(found.say, found)}”` : 'a step';
	};
	const part = (id: string) => plan.parts.find((p) => p.id === id || p.of === id)?.name ?? id;
	const what = (id: string) =>
		plan.cooks.find((c) => c.id === id)?.name ?? plan.lanes.find((l) => l.id === id)?.name ?? 'somebody';
	switch (event.kind) {
		case 'late':
			return `${step(event.step)} takes ${formatDuration(Math.abs(event.seconds))} ${event.seconds < 0 ? 'less' : 'more'}`;
		case 'notYet':
			return `${step(event.step)} is not done yet`;
		case 'done':
			return `${step(event.cue.replace(/#.*$/, ''))} is done`;
		case 'begin':
		case 'early':
			return `${step(event.step)} was begun sooner`;
		case 'failed': {
			const { then } = event;
			const some = event.covers === undefined ? '' : ` for ${event.covers}`;
			if (then === undefined) return `some of ${part(event.part).toLowerCase()} was lost`;
			if (then === 'without') return `without ${part(event.part).toLowerCase()}${some}`;
			return `${part(event.part)}${some} ${then === 'otherwise' ? 'in another way' : 'again'}`;
		}
		case 'out':
			return event.seconds === undefined
				? `${what(event.what)}: out`
				: `${what(event.what)}: away for ${formatDuration(event.seconds)}`;
		case 'back':
			return `${what(event.what)}: here again`;
		case 'guests':
			return event.wish
				? `${part(event.wish.part)}, ${event.wish.name}, for ${event.wish.covers}`
				: `${event.covers} guests`;
		case 'service': {
			const course = plan.services.find((s) => s.course === event.course)?.name ?? 'service';
			return `${course} at ${formatClock(clockOf(event.to))}`;
		}
		case 'heat':
			return event.lamp === true ? `${what(event.station)} is hot` : `${what(event.station)} has ${event.celsius} °C`;
		case 'pin':
			return `${step(event.step)} stays where it is`;
		case 'unpin':
			return `${step(event.step)} may move`;
		case 'skipped':
		case 'reading':
		case 'note':
		case 'replan':
		case 'undo':
			return '';
	}
}
