// A single question of the Bench: what it asks for, and an answer in numbers, a curve, a drawing, cautions and its reason.
import type { Measure } from '../units/amount';
import { readTyped } from '../units/typed';
import { wordTyped } from '../words/typed';

/** Asked only where another field has this value. */
interface When {
	readonly id: string;
	readonly is: string;
}

export type Field = { readonly when?: When } & FieldOf;

type FieldOf =
	| {
			readonly id: string;
			readonly label: string;
			readonly kind: 'number';
			readonly unit: string;
			readonly least: number;
			readonly most: number;
			readonly usual: number;
			readonly step: number;
	  }
	| {
			readonly id: string;
			readonly label: string;
			readonly kind: 'choice';
			readonly options: readonly string[];
			readonly usual: string;
	  }
	| { readonly id: string; readonly label: string; readonly kind: 'text'; readonly usual: string };

/** What was put in, by field. */
export type Inputs = Readonly<Record<string, number | string>>;

interface Curve {
	readonly name: string;
	readonly x: readonly number[];
	readonly y: readonly number[];
	/** Which of the colours of heat it has. */
	readonly tone: 'hot' | 'core' | 'cold' | 'faint';
}

export interface Chart {
	readonly x: string;
	readonly y: string;
	readonly curves: readonly Curve[];
	/** Instants marked on the chart. */
	readonly marks: readonly { readonly x: number; readonly y: number; readonly say: string }[];
}

export type Drawing =
	/** An egg cut open: what has set, by share of the radius, outside in. */
	| {
			readonly kind: 'egg';
			readonly rings: readonly { readonly from: number; readonly state: string }[];
			readonly say: string;
	  }
	/** A tray from above, to scale, metres. */
	| {
			readonly kind: 'tray';
			readonly length: number;
			readonly width: number;
			readonly pieces: number;
			readonly piece: { readonly length: number; readonly width: number; readonly isRound: boolean };
			readonly say: string;
	  };

export interface Answer {
	/** Its figures are the units themselves: nobody puts them into others. */
	readonly isAboutUnits?: true;
	/** The figures, the first the one that was asked for. */
	readonly lines: readonly { readonly say: string; readonly value: string }[];
	readonly chart?: Chart | undefined;
	readonly drawing?: Drawing | undefined;
	readonly cautions: readonly string[];
	/** What cannot be, and why; then there may be no figures. */
	readonly trouble?: string | undefined;
	/** The model, its source, how far it may be off. */
	readonly reason: string;
	/** As a step for the meal: what to do, and how many seconds it takes. */
	readonly step?:
		| {
				readonly say: string;
				readonly seconds: number;
				readonly spread: number;
				readonly where?: 'burner' | 'oven' | undefined;
				readonly setting?: number | undefined;
		  }
		| undefined;
}

export interface Question {
	readonly id: string;
	readonly name: string;
	readonly fields: readonly Field[];
	readonly answer: (inputs: Inputs) => Answer;
}

export const numberField = (
	id: string,
	label: string,
	unit: string,
	usual: number,
	least: number,
	most: number,
	step = 1
): Field => ({ id, label, kind: 'number', unit, usual, least, most, step });

export const choiceField = (
	id: string,
	label: string,
	options: readonly string[],
	usual = options[0] ?? ''
): Field => ({
	id,
	label,
	kind: 'choice',
	options,
	usual
});

/** The field, asked only where another has a value. */
export const onlyWhen = (id: string, is: string, field: Field): Field => ({ ...field, when: { id, is } });

/** A number among the inputs. */
export function num(inputs: Inputs, id: string): number {
	return Number(inputs[id]);
}

export function text(inputs: Inputs, id: string): string {
	return String(inputs[id] ?? '');
}

/** The inputs that a URL carries; what is missing is as usual. Bad values are kept aside, in words of the cook's units. */
export function readInputs(
	{ fields }: Question,
	query: { get(field: string): string | null },
	measure: Measure = 'metric'
): { readonly inputs: Inputs; readonly refused: readonly string[] } {
	const refused: string[] = [];
	const inputs = Object.fromEntries(
		fields.map((f): [string, number | string] => {
			const given = query.get(f.id);
			if (given === null) return [f.id, f.usual];
			if (f.kind === 'text') return [f.id, given.slice(0, 80)];
			if (f.kind === 'choice') {
				if (f.options.includes(given)) return [f.id, given];
				refused.push(`${f.label}: “${given}” is not one of ${f.options.join(', ')}.`);
				return [f.id, f.usual];
			}
			const typed = readTyped(given, f, 'metric');
			if (typed.ok) return [f.id, typed.value];
			refused.push(`${f.label}: ${wordTyped(given, typed.why, f, measure)}`);
			return [f.id, f.usual];
		})
	);
	return { inputs, refused };
}

/** So many instants from 0 to the end. */
export function instants(end: number, count = 90): readonly number[] {
	return Array.from({ length: count + 1 }, (_, i) => (i * end) / count);
}

export const minutes = (seconds: readonly number[]) => seconds.map((s) => s / 60);
