// What roast, grill and pan have in common: a model's piece with the values of a part put in.
import type { CrustKind } from '../heat/crusts';
import type { Food } from '../heat/properties';
import type { Circumstance, ModelOf, Value } from './computing';
import type { Piece } from './pieces';

type PieceModel = ModelOf<'roast'> | ModelOf<'rest'> | ModelOf<'pan'> | ModelOf<'pan-rest'>;

const faces: Partial<Record<Food, CrustKind>> = { 'white fish': 'fish', salmon: 'fish' };
/** What the face of a food is like in an oven, where a technique does not say. */
export const usualFace = (food: Food): CrustKind => faces[food] ?? 'meat';

function coverOf(rest: PieceModel['rest'], value: Value): Piece['rest'] {
	if (rest === 'served') return 'served';
	if (rest === undefined || rest === 'on a board') return 'bare';
	if (rest === 'tented') return 'tented';
	const how = Math.round(value(rest));
	return how === 2 ? 'wrapped' : how === 1 ? 'tented' : 'bare';
}

/** Shorter than this it is no turning: a number that stands for once, with marks that cross, seconds. */
const leastTurns = 10;
/** Seconds between turns; 0: once. */
export const turnsOf = (seconds: number) => (seconds < leastTurns ? 0 : seconds);

/** All of a piece but its size and where it is cooked. */
export function commonOf(
	model: PieceModel,
	value: Value,
	at: Circumstance
): Omit<Piece, 'size' | 'shape' | 'where' | 'turns' | 'turnedAt'> {
	const { seared } = model;
	const ofSkin = seared?.of === 'skin' || (seared?.of === undefined && (seared?.skin ?? 0) > 0);
	return {
		food: model.food,
		face: model.face ?? ('shape' in model && model.shape === 'bird' ? 'skin' : usualFace(model.food)),
		skin: model.skin ?? (ofSkin ? (model.food === 'duck breast' ? 'fat skin' : 'skin') : undefined),
		bone: model.bone ?? 1,
		start: value(model.start),
		isTempered: model.tempered !== undefined && value(model.tempered) === 1,
		goal: value(model.peak),
		seared: seared && { seconds: seared.seconds, how: ofSkin ? 'skin' : 'faces' },
		finish: model.finish && { ...model.finish, faces: model.finish.faces === 1 ? 1 : 2 },
		rest: coverOf(model.rest, value),
		room: at.room,
		altitude: at.altitude
	};
}
