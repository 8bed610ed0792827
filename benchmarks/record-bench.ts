// What ten evenings teach of a kitchen that is not what it says, and how fast a long record is read.
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import type { Kitchen } from '$lib/core/model/kitchen';
import { withRoom } from '$lib/core/model/edit-meal';
import { rooms, shelfOf, techniquesFor, type Meal, type Room } from '$lib/core/model/meal';
import type { Technique } from '$lib/core/model/technique';
import { sensitivityOf } from '$lib/core/record/usual-in';
import type { Plan } from '$lib/core/model/plan';
import { planMealNow } from '$lib/core/plan/plan-meal';
import { readEvening, type CookedEvening } from '$lib/core/record/evening';
import { eveningFrom } from '$lib/core/record/from-run';
import { missedOver } from '$lib/core/record/honesty';
import { lessonsOf, withLesson, type Lesson } from '$lib/core/record/lessons';
import { cookEvening, trueTimes } from '$lib/core/record/pretend';
import { table } from './table';

/** A cook who is quicker in a hotter oven, one who is slower in a cooler one; burners give less. */
const hiddens = [
	{ pace: 0.8, oven: 12, power: 0.85 },
	{ pace: 1.25, oven: -12, power: 0.85 }
];
const evenings = 10;
const many = 500;
/** Fresh evenings on which a plan is tried, and how late is on time, s. */
const fresh = 400;
const tolerance = 120;

export function benchRecord(): string {
	const cases = hiddens.flatMap((hidden) => demoMeals.map((meal) => ({ hidden, meal })));
	const rows = cases.map(({ hidden, meal }) => {
		const found = demoKitchens.find((k) => k.id === meal.kitchen);
		if (!found) throw new RangeError(`no kitchen ${meal.kitchen}`);
		const techniques = techniquesFor(meal, shelfOf(library, []));
		const byId = new Map(techniques.map((t) => [t.id, t]));
		const planned = (kitchen: Kitchen, room?: Room): Plan => {
			const own = withRoom(meal, room);
			const outcome = planMealNow({ meal: own, kitchen, techniques, seed: 1, budget: 100_000 });
			if (outcome.kind !== 'plan') throw new RangeError(`no plan of ${meal.name}`);
			return outcome.plan;
		};
		/** Of all parts of an evening that were ready, how many in 100 within two minutes of their plan; of evenings, how many on time. */
		const tried = (plan: Plan, kitchen: Kitchen) => {
			const times = trueTimes(meal, kitchen, byId, plan, hidden);
			let onTime = 0;
			let off = 0;
			for (let n = 0; n < fresh; n++) {
				const { run, late } = cookEvening(plan, times, { run: 'x', date: '2026-09-01', seed: 10_000 + n });
				if ([...late.values()].every((l) => l <= tolerance)) onTime++;
				off += missedOver([eveningFrom(run, around(meal, kitchen, byId, plan))])[0]?.median ?? 0;
			}
			return { onTime: (100 * onTime) / fresh, off: (100 * off) / fresh };
		};
		let kitchen: Kitchen = found;
		const before = planned(kitchen);
		const first = tried(before, kitchen);
		const kept: CookedEvening[] = [];
		for (let n = 0; n < evenings; n++) {
			const plan = planned(kitchen);
			const date = `2026-03-${String(10 + 2 * n)}`;
			const times = trueTimes(meal, kitchen, byId, plan, hidden);
			const { run } = cookEvening(plan, times, { run: `e${n}`, date, seed: 100 + n, thermometer: hidden.oven });
			kept.push(eveningFrom(run, around(meal, kitchen, byId, plan)));
			for (const l of lessonsOf(kept, kitchen, date).filter((x) => x.isNew)) kitchen = withLesson(kitchen, l);
		}
		const lessons = lessonsOf(kept, kitchen, '2026-03-30');
		const last = tried(planned(kitchen), kitchen);
		// The time that was won is given to room, as far as nobody has to begin sooner than before.
		const [roomyPlan] = [...rooms]
			.reverse()
			.map((room) => planned(kitchen, room))
			.filter((plan) => plan.from >= before.from);
		const roomy = roomyPlan ? tried(roomyPlan, kitchen) : last;
		const best = (about: Lesson['about']) => lessons.find((l) => l.about === about && l.isEnough);
		const cook = best('pace');
		const configured = found.cooks.find((c) => c.id === cook?.of)?.pace ?? 1;
		const burner = best('burner');
		const rated = found.stations.find((s) => s.id === burner?.of);
		const net =
			rated?.kind === 'burner' ? rated.power * { induction: 0.85, electric: 0.74, gas: 0.4 }[rated.fuel] : NaN;
		const { text, read, learnt } = reading(kept, kitchen);
		return [
			meal.name,
			`${hidden.pace}, ${hidden.power}, ${hidden.oven} K`,
			((cook?.value ?? NaN) / configured).toFixed(2),
			burner ? (burner.value / net).toFixed(2) : '–',
			`${(best('oven')?.value ?? NaN).toFixed(1)} K`,
			`${first.off.toFixed(0)} → ${last.off.toFixed(0)} %`,
			`${first.onTime.toFixed(0)} → ${last.onTime.toFixed(0)} in 100`,
			`${first.onTime.toFixed(0)} → ${roomy.onTime.toFixed(0)} in 100`,
			`${(text / 1e6).toFixed(1)} MB, ${read.toFixed(0)} ms`,
			`${learnt.toFixed(0)} ms`
		];
	});
	return table(
		[
			'meal',
			'pace, burner, oven really',
			'pace found',
			'burner',
			'oven',
			'times off by, in the middle',
			'evenings on time',
			'with what was won as room',
			`${many} evenings read`,
			'what they teach'
		],
		rows
	);
}

const around = (meal: Meal, kitchen: Kitchen, techniques: ReadonlyMap<string, Technique>, plan: Plan) => ({
	meal,
	kitchen,
	sensitivity: sensitivityOf(meal, kitchen, techniques, plan),
	say: () => undefined
});

/** Reading and learning from a long record. */
function reading(kept: readonly CookedEvening[], kitchen: Kitchen) {
	const all = Array.from({ length: many }, (_, n) => ({
		...kept[n % kept.length],
		id: `e${n}`,
		origin: Date.UTC(2026, 0, 1) + n * 86_400_000
	}));
	const text = JSON.stringify(all);
	const data = JSON.parse(text) as unknown[];
	const began = performance.now();
	const read = data.flatMap((d) => {
		const one = readEvening(d);
		return one.ok ? [one.value] : [];
	});
	const parsed = performance.now() - began;
	lessonsOf(read, kitchen, '2027-06-01');
	return { text: text.length, read: parsed, learnt: performance.now() - began - parsed };
}
