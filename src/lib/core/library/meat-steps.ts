// Steps that cuts of red meat have in common: salt, temper, sear, roast, rest, slice.
import type { Step, Technique } from '../model/technique';
import type { TimeModel } from '../model/time-model';
import {
	burner,
	checks,
	computed,
	degrees,
	does,
	each,
	handles,
	laid,
	metres,
	none,
	oil,
	outOfCold,
	oven,
	prepares,
	rawMeat,
	salt,
	share,
	styles,
	takes,
	touches,
	weight
} from './forms';

export const red = styles('beef, lamb, venison', 'medium rare');

export const piece = weight('Weight of one, raw', 100, 220, 500);

export const food = 'lean meat';

export const mm = metres('thickness');

export const peak = degrees('peak');

export const from = degrees('start');

export const salts = (what: string): Step =>
	prepares('salt', `Pat dry and salt the ${what}`, 90, 0.7, {
		cautions: [rawMeat],
		sign: 'Dry to the finger: a wet face stews.'
	});

export const tempers = (what: string): Step =>
	does(
		'temper',
		'temper',
		`Let the ${what} lose its chill`,
		computed({ kind: 'temper', food, thickness: mm, start: from, core: 8 }),
		none,
		{
			after: ['salt:600'],
			cautions: [outOfCold]
		}
	);

export const tempering = {
	id: 'temper',
	name: 'Out of the cold before',
	unit: 'choice',
	least: 0,
	most: 1,
	usual: 0,
	why: 'the plan counts from how cold it really is',
	options: [
		{ value: 0, say: 'straight from cold' },
		{ value: 1, say: 'loses its chill first' }
	]
} as const satisfies Technique['parameters'][number];

/** What is asked for in grams is raw, and bought as such. */
export const stocked = (what: string, fry = 'fry') =>
	takes([what, { by: 'weight', times: 1, plus: 0 }, 'g', 'salt', 'm'], salt('salt'), oil(fry));

export const pieces = laid('pan', each(1), 0.14, 0.09, 'pieces');

export const smoke = 'Fan on, window open: it will smoke. Never disable a smoke alarm.';

export const rests = (what: string, after: string, time: TimeModel): Step =>
	does('rest', 'rest', `Rest the ${what}`, computed(time), none, { after: [`${after}:0`] });

export const slices = (what: string, after = 'rest', wait = 480): Step =>
	handles('slice', `Slice the ${what}`, 'carve a portion', 1, { after: [`${after}:${wait}`] });

/** A piece in the oven, seared before or after or not at all; and its rest from an oven, or a fire. */
type Ways = Pick<Extract<TimeModel, { kind: 'roast' }>, 'seared' | 'finish' | 'fire' | 'turns'>;
export const roasted = (setting: number, ways: Ways = {}): TimeModel => ({
	kind: 'rest',
	food,
	thickness: mm,
	start: from,
	peak,
	oven: setting,
	rest: share('cover'),
	...ways
});

export const roasts = (
	say: string,
	settings: readonly number[],
	after: readonly string[],
	more: Partial<Step> = {},
	ways: Ways = {}
): Step => ({
	...does(
		'roast',
		'cook',
		say,
		computed({ kind: 'roast', food, thickness: mm, start: from, peak, rest: share('cover'), ...ways }),
		touches([
			[0, 30, `${say}: onto the tray, into the oven`],
			[1, 45, 'Probe the thickest: out at {pull}']
		]),
		{
			need: oven(...settings),
			after,
			sign: '{pull} in the thickest part.',
			load: laid('tray', each(1), 0.14, 0.09, 'pieces')
		}
	),
	...more
});

export const crusts = (id: string, what: string, after: readonly string[], pan = 230): Step =>
	does(
		id,
		'cook',
		`Sear the ${what}`,
		computed({ kind: 'crust', pan, faces: 2 }),
		touches([
			[0, 30, `Lay the ${what} in, away from you`],
			[0.5, 20, `Turn the ${what}`],
			[1, 20, `Lift out the ${what}`]
		]),
		{
			need: burner(1500),
			load: pieces,
			heat: 'high',
			after,
			sign: 'Brown to the rim on both faces.',
			cautions: [smoke]
		}
	);

/** With a look after the rest, before it is cut: where the rest has to make it safe. */
export const checked = (steps: readonly Step[], what: string, cut: string): Step[] =>
	steps.flatMap((s) =>
		s.id !== cut
			? [s]
			: [checks(what), { ...s, after: s.after.map((a) => (a.step === 'rest' ? { ...a, step: 'check' } : a)) }]
	);

/** The steps of a piece of red meat for another kind of meat, by its name in the plural. */
export const withMeat = (steps: readonly Step[], food: 'pork', what: readonly [from: string, to: string]): Step[] => {
	const named = (text: string) => text.replace(...what);
	return steps.map((s) => ({
		...s,
		say: named(s.say),
		hands:
			s.hands.kind === 'touches' ? { ...s.hands, at: s.hands.at.map((t) => ({ ...t, say: named(t.say) })) } : s.hands,
		time:
			s.time.model && 'food' in s.time.model && s.time.model.food === 'lean meat'
				? { ...s.time, model: { ...s.time.model, food } }
				: s.time
	}));
};
