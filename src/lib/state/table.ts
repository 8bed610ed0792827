// What a cook keeps: meals, kitchens, techniques of their own; and what can be done with it. Undo goes over all of it.
import { emptyMeal, freeId, slugOf } from '../core/model/edit-meal';
import type { Kitchen } from '../core/model/kitchen';
import type { Meal } from '../core/model/meal';
import type { Technique } from '../core/model/technique';

export interface Table {
	readonly meals: readonly Meal[];
	readonly kitchens: readonly Kitchen[];
	/** The cook's own. */
	readonly techniques: readonly Technique[];
	/** Id of the meal that is open. */
	readonly open: string;
}

/** Those that are not put away. */
export function shown<T extends { readonly archived?: boolean | undefined }>(list: readonly T[]): readonly T[] {
	return list.filter((x) => x.archived !== true);
}

const ids = (list: readonly { readonly id: string }[]) => list.map((x) => x.id);
const idFor = (list: readonly { readonly id: string }[], name: string, like: string) =>
	freeId(ids(list), slugOf(name) || like);
const named = (list: readonly { readonly name: string }[], name: string) => {
	const taken = new Set(list.map((x) => x.name));
	let free = name;
	for (let n = 2; taken.has(free); n++) free = `${name} ${n}`;
	return free;
};

/** An empty meal for the kitchen of the open one, opened. */
export function withNewMeal(table: Table, name = 'A new meal'): Table {
	const open = table.meals.find((m) => m.id === table.open);
	const kitchen = open?.kitchen ?? table.kitchens[0]?.id ?? '';
	const free = named(table.meals, name);
	const meal = emptyMeal(idFor(table.meals, free, 'meal'), free, kitchen);
	return { ...table, meals: [...table.meals, meal], open: meal.id };
}

/** A copy of the open meal, opened. */
export function withMealCopy(table: Table): Table {
	const meal = table.meals.find((m) => m.id === table.open);
	if (!meal) return table;
	const name = named(table.meals, `${meal.name}, a copy`.slice(0, 78));
	const copy = { ...meal, id: idFor(table.meals, name, 'meal'), name };
	return { ...table, meals: [...table.meals, copy], open: copy.id };
}

/** The open meal put away; the next one is opened, or an empty one where there is none. */
export function withMealArchived(table: Table): Table {
	const meals = table.meals.map((m) => (m.id === table.open ? { ...m, archived: true } : m));
	const [next] = shown(meals);
	return next ? { ...table, meals, open: next.id } : withNewMeal({ ...table, meals });
}

/** A meal that was put away, back and open. */
export function withMealBack(table: Table, id: string): Table {
	return { ...table, meals: table.meals.map((m) => (m.id === id ? { ...m, archived: false } : m)), open: id };
}

const changedOpen = (table: Table, change: (meal: Meal) => Meal): Table => ({
	...table,
	meals: table.meals.map((m) => (m.id === table.open ? change(m) : m))
});

/** The open meal in another kitchen. */
export function inKitchen(table: Table, kitchen: string): Table {
	return changedOpen(table, (m) => ({ ...m, kitchen }));
}

/** A kitchen like this, the open meal in it. */
export function withNewKitchen(table: Table, like: Omit<Kitchen, 'id' | 'name'>, name: string): Table {
	const free = named(table.kitchens, name);
	const kitchen = { ...like, archived: false, id: idFor(table.kitchens, free, 'kitchen'), name: free };
	return inKitchen({ ...table, kitchens: [...table.kitchens, kitchen] }, kitchen.id);
}

/** The open meal's kitchen put away, and the meal in the next one; nothing where it is the last. */
export function withKitchenArchived(table: Table): Table {
	const id = table.meals.find((m) => m.id === table.open)?.kitchen;
	const [next] = shown(table.kitchens).filter((k) => k.id !== id);
	if (!next) return table;
	const kitchens = table.kitchens.map((k) => (k.id === id ? { ...k, archived: true } : k));
	return inKitchen({ ...table, kitchens }, next.id);
}

export function withKitchenBack(table: Table, id: string): Table {
	return inKitchen(
		{ ...table, kitchens: table.kitchens.map((k) => (k.id === id ? { ...k, archived: false } : k)) },
		id
	);
}

/** A technique of the cook's own, in place of that of the same id. */
export function withTechniqueKept(table: Table, technique: Technique): Table {
	const others = table.techniques.filter((t) => t.id !== technique.id);
	return { ...table, techniques: [...others, technique] };
}
