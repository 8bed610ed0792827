// Duck breast, and one further than the others.
import type { Technique } from '../../model/technique';
import {
	degrees,
	each,
	held,
	laid,
	metres,
	none,
	salt,
	start,
	styles,
	takes,
	thickness,
	touches,
	whole
} from '../forms';

const rawDuck = 'Raw duck: its own board, wash hands after.';

const duckBreast: Technique = {
	id: 'duck-breast',
	name: 'Duck breast, seared then roasted',
	kind: 'protein',
	words: ['poultry', 'crisp skin'],
	parameters: [thickness, styles('duck, pigeon breast', 'pink'), start],
	ingredients: takes(['duck breast', 130, 'g', 'score', 'm', { yields: 'duck breast' }], salt('score')),
	steps: [
		{
			id: 'score',
			say: 'Score and salt the duck',
			kind: 'prep',
			time: {
				model: { kind: 'pieces', task: 'score a breast', pieces: each(1) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: [],
			cautions: [rawDuck]
		},
		{
			id: 'temper',
			say: 'Let the duck lose its chill',
			kind: 'temper',
			time: {
				model: {
					kind: 'temper',
					food: 'duck breast',
					thickness: metres('thickness'),
					start: degrees('start'),
					core: 8
				}
			},
			hands: none,
			after: [{ step: 'score', least: 0, most: 600 }],
			cautions: ['Not longer than an hour out of the cold.']
		},
		{
			id: 'sear',
			say: 'Sear the duck, skin down',
			kind: 'cook',
			time: { shortest: 600, usual: 720, longest: 900, scale: [{ by: 'thickness', at: 30, exponent: 0.3 }] },
			need: { kind: 'burner', leastPower: 1500 },
			load: laid('pan', each(1), 0.16, 0.08, 'pieces'),
			heat: 'from a cold pan, medium, then higher',
			hands: touches([
				[0, 45, 'Lay the breasts skin down, the pan cold or cooled'],
				[0.4, 30, 'Pour off the fat'],
				[0.8, 45, 'Turn the breasts']
			]),
			after: [{ step: 'temper', least: 0, most: 900 }],
			sign: 'Skin thin, crisp and walnut brown; most of the fat has run out.',
			cautions: ['Hot fat: tilt away from you, never near water.', 'Fan on, window open before the fat smokes.']
		},
		{
			id: 'roast',
			say: 'Roast the duck',
			kind: 'cook',
			time: {
				model: {
					kind: 'roast',
					food: 'duck breast',
					thickness: metres('thickness'),
					start: degrees('start'),
					tempered: 1,
					peak: degrees('peak'),
					seared: { seconds: 720, of: 'skin' }
				}
			},
			load: laid('tray', each(1), 0.16, 0.08, 'pieces'),
			need: { kind: 'oven', racks: 1, settings: [200, 180, 190, 210] },
			hands: touches([
				[0, 30, 'Duck onto the tray, into the oven'],
				[1, 45, 'Probe the thickest breast: out at {pull}']
			]),
			after: [{ step: 'sear', least: 0, most: 120 }],
			sign: '{pull} in the thickest part; springs back like the ball of your thumb.'
		},
		{
			id: 'rest',
			say: 'Rest the duck',
			kind: 'rest',
			time: {
				model: {
					kind: 'rest',
					food: 'duck breast',
					thickness: metres('thickness'),
					start: degrees('start'),
					tempered: 1,
					peak: degrees('peak'),
					seared: { seconds: 720, of: 'skin' }
				}
			},
			hands: none,
			after: [{ step: 'roast', least: 0, most: 0 }]
		},
		{
			id: 'carve',
			say: 'Carve the duck',
			kind: 'finish',
			time: {
				model: { kind: 'pieces', task: 'carve a portion', pieces: each(1) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: [{ step: 'rest', least: 0, most: 480 }]
		}
	],
	vessels: [
		{ kind: 'frying pan', from: 'sear', to: 'sear' },
		{ kind: 'tray', from: 'roast', to: 'roast' }
	],
	plate: { step: 'carve', perPlate: 7, ...held('seared meat') }
};

const duckFurther: Technique = {
	id: 'duck-further',
	name: 'Duck breast, left in longer',
	kind: 'protein',
	parameters: [thickness],
	steps: [
		{
			id: 'roast-on',
			say: 'Leave one breast in',
			kind: 'cook',
			time: {
				shortest: 210,
				usual: 270,
				longest: 390,
				scale: [{ by: 'thickness', at: 30, exponent: 1.7 }],
				core: { start: 54, target: 64 }
			},
			need: { kind: 'oven', racks: 1, settings: [200, 180, 190, 210] },
			hands: touches([[1, 30, 'Probe the last breast: out at 64 °C']]),
			after: [],
			sign: '64 °C in the middle; firm, juice nearly clear.'
		},
		{
			id: 'rest',
			say: 'Rest the last breast',
			kind: 'rest',
			time: { shortest: 180, usual: 240, longest: 420 },
			hands: none,
			after: [{ step: 'roast-on', least: 0, most: 0 }]
		},
		{
			id: 'carve',
			say: 'Carve the last breast',
			kind: 'finish',
			time: { shortest: 20, usual: 30, longest: 45 },
			need: { kind: 'board' },
			hands: whole,
			after: [{ step: 'rest', least: 0, most: 480 }]
		}
	],
	vessels: [{ kind: 'tray', from: 'roast-on', to: 'roast-on' }],
	plate: { step: 'carve', perPlate: 7, ...held('seared meat') }
};

export const ducks: readonly Technique[] = [duckBreast, duckFurther];
