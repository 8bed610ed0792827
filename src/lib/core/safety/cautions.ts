// Cautions that many dishes share, in words.

export const rawMeat = 'Raw meat: its own board, wash hands after.';
export const rawPoultry = 'Raw poultry: its own board, wash hands and cloths after.';
export const hotOil = 'Hot oil: dry food, lower it away from you; never water on burning fat: lid on, heat off.';
