// What each vegetable is: how it is cut, trimmed and laid, and in which ways it can be cooked.
import type { Parameter } from '../model/technique';
import type { Yielding } from '../foods/ingredients';
import type { knifeTasks } from '../model/time-model';
import type { vegetables } from '../model/time-model';
import { size } from './forms';

export interface Row {
	readonly id: string;
	/** As on the menu: "Leeks". */
	readonly name: string;
	readonly vegetable: (typeof vegetables)[number];
	readonly cut: 'stick' | 'cube' | 'round';
	readonly size: Parameter;
	readonly knife: (typeof knifeTasks)[number];
	readonly say: string;
	readonly yields: Yielding;
	/** Served, grams each. */
	readonly grams: number;
	readonly ways: readonly Way[];
	readonly words?: readonly string[];
	/** Peeled once it is cooked. */
	readonly isPeeledAfter?: boolean;
	/** Pieces for each on a tray. */
	readonly pieces: number;
	readonly piece: readonly [length: number, width: number];
}

export type Way = 'boil' | 'steam' | 'pan' | 'roast' | 'braise' | 'glaze' | 'grill' | 'embers';

const across = (usual: number, least: number, most: number) => size('Cut, across', least, usual, most);

export const rows: readonly Row[] = [
	{
		id: 'leeks',
		name: 'Leeks',
		vegetable: 'leek',
		cut: 'stick',
		size: across(28, 12, 45),
		knife: 'slice leek',
		say: 'Wash and cut the leeks',
		yields: 'leek',
		grams: 120,
		ways: ['steam', 'pan', 'roast', 'braise'],
		pieces: 4,
		piece: [0.06, 0.03]
	},
	{
		id: 'carrots',
		name: 'Carrots',
		vegetable: 'carrot',
		cut: 'stick',
		size: across(16, 6, 35),
		knife: 'stick roots',
		say: 'Peel and cut the carrots',
		yields: 'carrot',
		grams: 120,
		ways: ['boil', 'steam', 'glaze', 'roast'],
		words: ['roots'],
		pieces: 8,
		piece: [0.06, 0.016]
	},
	{
		id: 'sprouts',
		name: 'Sprouts',
		vegetable: 'sprouts',
		cut: 'round',
		size: across(28, 15, 40),
		knife: 'trim sprouts',
		say: 'Trim and halve the sprouts',
		yields: 'sprouts',
		grams: 120,
		ways: ['boil', 'steam', 'pan', 'roast'],
		pieces: 10,
		piece: [0.03, 0.03]
	},
	{
		id: 'broccoli',
		name: 'Broccoli',
		vegetable: 'broccoli',
		cut: 'stick',
		size: across(18, 8, 35),
		knife: 'trim sprouts',
		say: 'Cut the broccoli to one size',
		yields: 'broccoli',
		grams: 120,
		ways: ['boil', 'steam', 'grill'],
		words: ['florets', 'stalks'],
		pieces: 7,
		piece: [0.06, 0.03]
	},
	{
		id: 'asparagus',
		name: 'Asparagus',
		vegetable: 'asparagus',
		cut: 'stick',
		size: across(13, 6, 24),
		knife: 'trim beans',
		say: 'Snap and peel the asparagus',
		yields: 'asparagus',
		grams: 110,
		ways: ['boil', 'steam', 'roast', 'grill'],
		words: ['spears', 'stalks'],
		pieces: 6,
		piece: [0.18, 0.015]
	},
	{
		id: 'cauliflower',
		name: 'Cauliflower',
		vegetable: 'cauliflower',
		cut: 'cube',
		size: across(30, 15, 50),
		knife: 'trim sprouts',
		say: 'Cut the cauliflower to one size',
		yields: 'cauliflower',
		grams: 130,
		ways: ['steam', 'roast', 'braise'],
		words: ['florets'],
		pieces: 6,
		piece: [0.04, 0.035]
	},
	{
		id: 'fennel',
		name: 'Fennel',
		vegetable: 'fennel',
		cut: 'stick',
		size: across(22, 10, 40),
		knife: 'slice roots',
		say: 'Cut the fennel in wedges',
		yields: 'fennel',
		grams: 120,
		ways: ['pan', 'roast', 'braise', 'grill'],
		words: ['anise'],
		pieces: 4,
		piece: [0.07, 0.03]
	},
	{
		id: 'celeriac',
		name: 'Celeriac',
		vegetable: 'celeriac',
		cut: 'cube',
		size: across(20, 10, 40),
		knife: 'dice roots',
		say: 'Peel and dice the celeriac',
		yields: 'celeriac',
		grams: 130,
		ways: ['steam', 'roast', 'braise'],
		words: ['roots'],
		pieces: 12,
		piece: [0.02, 0.02]
	},
	{
		id: 'parsnips',
		name: 'Parsnips',
		vegetable: 'parsnip',
		cut: 'stick',
		size: across(20, 10, 40),
		knife: 'stick roots',
		say: 'Peel and cut the parsnips',
		yields: 'roast parsnip',
		grams: 120,
		ways: ['roast', 'glaze'],
		words: ['roots'],
		pieces: 6,
		piece: [0.07, 0.02]
	},
	{
		id: 'squash',
		name: 'Squash',
		vegetable: 'squash',
		cut: 'cube',
		size: across(30, 12, 50),
		knife: 'dice roots',
		say: 'Peel and cube the squash',
		yields: 'roast squash',
		grams: 140,
		ways: ['steam', 'roast', 'grill', 'embers'],
		words: ['pumpkin'],
		pieces: 8,
		piece: [0.03, 0.03]
	},
	{
		id: 'beets',
		name: 'Beets',
		vegetable: 'beet',
		cut: 'round',
		size: across(45, 25, 80),
		knife: 'peel celeriac',
		say: 'Scrub the beets',
		yields: 'beet',
		grams: 120,
		ways: ['boil', 'roast'],
		words: ['beetroot', 'roots'],
		isPeeledAfter: true,
		pieces: 2,
		piece: [0.06, 0.06]
	},
	{
		id: 'onions',
		name: 'Onions and peppers',
		vegetable: 'onion',
		cut: 'stick',
		size: across(14, 6, 35),
		knife: 'slice onion',
		say: 'Cut the onions and peppers in strips',
		yields: 'onion',
		grams: 110,
		ways: ['pan', 'roast', 'grill', 'embers'],
		words: ['peppers', 'capsicum'],
		pieces: 8,
		piece: [0.05, 0.015]
	},
	{
		id: 'aubergine',
		name: 'Aubergine',
		vegetable: 'aubergine',
		cut: 'cube',
		size: across(25, 12, 45),
		knife: 'dice roots',
		say: 'Cut the aubergine to one size',
		yields: 'aubergine',
		grams: 120,
		ways: ['pan', 'roast', 'grill'],
		words: ['eggplant'],
		pieces: 9,
		piece: [0.03, 0.03]
	},
	{
		id: 'courgette',
		name: 'Courgettes',
		vegetable: 'courgette',
		cut: 'stick',
		size: across(18, 6, 35),
		knife: 'slice leek',
		say: 'Cut the courgettes to one size',
		yields: 'courgette',
		grams: 120,
		ways: ['steam', 'pan', 'roast', 'grill'],
		words: ['zucchini'],
		pieces: 6,
		piece: [0.06, 0.02]
	},
	{
		id: 'peas',
		name: 'Peas',
		vegetable: 'peas',
		cut: 'round',
		size: across(9, 6, 12),
		knife: 'wash leaves',
		say: 'Rinse and pick over the peas',
		yields: 'shelled peas',
		grams: 90,
		ways: ['boil', 'steam'],
		words: ['green peas', 'frozen'],
		pieces: 60,
		piece: [0.009, 0.009]
	},
	{
		id: 'sweet-potato',
		name: 'Sweet potatoes',
		vegetable: 'sweet potato',
		cut: 'cube',
		size: across(25, 12, 50),
		knife: 'dice roots',
		say: 'Peel and cube the sweet potatoes',
		yields: 'sweet potato',
		grams: 150,
		ways: ['boil', 'steam', 'roast'],
		words: ['yam', 'roots'],
		pieces: 9,
		piece: [0.025, 0.025]
	},
	{
		id: 'cabbage-wedges',
		name: 'Cabbage wedges',
		vegetable: 'cabbage',
		cut: 'stick',
		size: across(30, 15, 50),
		knife: 'slice leek',
		say: 'Cut the cabbage in wedges',
		yields: 'cabbage',
		grams: 140,
		ways: ['steam', 'pan', 'roast', 'braise'],
		words: ['leaves'],
		pieces: 1,
		piece: [0.14, 0.05]
	}
];
