// Little liquids: what starts cold in a pan with some water is heated, simmers, and boils away.
import { boilOff, heatingTime } from './water';

export interface LittleLiquid {
	/** Food, kg and J/(kg K); liquid, kg; the vessel, J/K. */
	readonly food: number;
	readonly c: number;
	readonly liquid: number;
	readonly vessel: number;
	/** Net power at the step's level, W; loss, W/K; room, °C. */
	readonly power: number;
	readonly loss: number;
	readonly room: number;
	readonly start: number;
	readonly boil: number;
	/** kg of the liquid that have to go; no faster than this, kg/s. */
	readonly away: number;
	readonly fastest: number;
}

/** Seconds to bring it to the boil, and to boil so much of it away; `Infinity` where the burner is too weak. */
export function littleLiquid(p: LittleLiquid): { readonly heating: number; readonly boiling: number } {
	const mass = p.food + p.liquid;
	const c = (p.food * p.c + p.liquid * 4186) / mass;
	const pot = { mass, c, pot: p.vessel, power: p.power, efficiency: 1, loss: p.loss, ambient: p.room };
	const rate = Math.min(p.fastest, boilOff(pot, p.boil));
	return {
		heating: heatingTime(pot, p.start, p.boil),
		boiling: p.away <= 0 ? 0 : rate > 0 ? p.away / rate : Infinity
	};
}
