// What the application holds now: meals, kitchens, the plan; the only place where core, data and workers meet.
import { createContext } from 'svelte';
import { readFile, writeFile } from '../core/formats/juntos/juntos';
import { wordIssue } from '../core/issues';
import { demoKitchens, demoMeals } from '../core/library/demo';
import type { Kitchen } from '../core/model/kitchen';
import { shelfOf, techniquesFor, withNamedOwn, withOwn, type Meal } from '../core/model/meal';
import type { Plan } from '../core/model/plan';
import type { Technique } from '../core/model/technique';
import type { WhatIf } from '../core/plan/what-if/what-if';
import { DataError, type KeptRecord } from '../data/database';
import type { Records } from '../data/records';
import { openTabs, type SavedNews, type Tabs } from '../data/tabs';
import { History } from './history.svelte';
import { Ledger } from './ledger';
import { MeasureChoice } from './measure.svelte';
import { Notices } from './notices.svelte';
import { Planning } from './planning.svelte';
import { openStore, type Store } from './store';
import { shown, type Table } from './table';

type Kind = 'meals' | 'kitchens' | 'techniques';
type Kept = Meal | Kitchen | Technique;

/** Saving waits this long for the next keystroke, milliseconds. */
const calm = 250;
const openKey = 'juntos-open-meal';

const nothing: ReadonlyMap<string, Technique> = shelfOf([], []);

export class App {
	readonly planning: Planning;
	readonly notices = new Notices();
	readonly measure = new MeasureChoice();
	readonly history: History<Table>;
	/** Records that could not be read, kept aside. */
	kept: readonly KeptRecord[] = $state.raw([]);
	/** Another tab saved what this one changed too. */
	clash: { readonly kind: Kind; readonly theirs: Kept; readonly revision: number } | undefined = $state.raw();
	/** `true` once the browser's data are here. */
	isReady = $state(false);

	readonly meals = $derived.by(() => this.history.now.meals);
	readonly meal: Meal = $derived.by(() => found(this.history.now.meals, this.history.now.open));
	/** The techniques that ship with Juntos: they come after the page, which shows the plan meanwhile. */
	private library: ReadonlyMap<string, Technique> = $state.raw(nothing);
	/** The library, and the cook's own techniques. */
	private readonly shelf = $derived.by(() => shelfOf(this.library, this.history.now.techniques));
	/** What this meal can be made of: the library, and techniques of its own. */
	readonly techniques = $derived.by(() => withOwn(this.shelf, this.meal));
	readonly kitchen: Kitchen = $derived.by(() => found(this.history.now.kitchens, this.meal.kitchen));

	private store: Store | undefined;
	private tabs: Tabs | undefined;
	private readonly ledger = new Ledger<Kept>();
	private timer: ReturnType<typeof setTimeout> | undefined;

	/** @param plan the demo meal's, made when the page was built */
	constructor(plan: Plan) {
		this.planning = new Planning(plan);
		this.history = new History<Table>({ meals: demoMeals, kitchens: demoKitchens, techniques: [], open: plan.meal });
	}

	/** Read the browser's data, or put the demo meals there on a first visit. Returns what ends it all. */
	async start(): Promise<void> {
		this.measure.start();
		({ library: this.library } = await import('../core/library/library'));
		try {
			this.store = await openStore(
				() => {
					this.notices.warn('A newer Juntos is open in another tab. Reload this one: until then it saves nothing.');
					this.store = undefined;
				},
				() => this.shelf
			);
			this.tabs = openTabs((news) => void this.hear(news));
			await this.load(this.store);
		} catch (error) {
			if (!(error instanceof DataError)) throw error;
			this.notices.warn(error.message);
		}
		this.isReady = true;
	}

	/** Save what waits to be saved: the page may be gone in a moment. */
	flush(): void {
		clearTimeout(this.timer);
		void this.save();
	}

	stop(): void {
		this.flush();
		this.tabs?.close();
		this.planning.close();
	}

	get runs() {
		return this.store?.runs;
	}

	/** Change the open meal; can be undone. */
	changeMeal(meal: Meal): void {
		const { meals } = this.history.now;
		this.change({ ...this.history.now, meals: meals.map((m) => (m.id === meal.id ? meal : m)) });
	}

	/** Change the open meal's kitchen; can be undone. */
	changeKitchen(kitchen: Kitchen): void {
		const { kitchens } = this.history.now;
		this.change({ ...this.history.now, kitchens: kitchens.map((k) => (k.id === kitchen.id ? kitchen : k)) });
	}

	/** Change what is kept: meals, kitchens, own techniques; can be undone. */
	changeTable(change: (table: Table) => Table): void {
		this.change(change(this.history.now));
	}

	openMeal(id: string): void {
		this.history.now = { ...this.history.now, open: id };
		this.settle();
	}

	/** Bring the demo meals and kitchens back as they were; can be undone. */
	resetDemo(): void {
		const { now } = this.history;
		this.change({ ...now, meals: merged(now.meals, demoMeals), kitchens: merged(now.kitchens, demoKitchens) });
		this.notices.say('The demo meals are as they were at first. Undo brings your changes back.');
	}

	/** What is on the table, for the planner. */
	situation() {
		return this.situationOf(this.meal);
	}

	/** A meal in its kitchen, with the techniques that planning it can take. */
	situationOf(meal: Meal) {
		const kitchen = found(this.history.now.kitchens, meal.kitchen);
		return { meal, kitchen, techniques: techniquesFor(meal, this.shelf) };
	}

	/** Put a change that would help in force; can be undone. */
	apply(change: NonNullable<WhatIf['apply']>): void {
		if ('meal' in change) this.changeMeal(change.meal);
		else this.changeKitchen(change.kitchen);
	}

	undo(): void {
		this.history.undo();
		this.settle();
	}

	redo(): void {
		this.history.redo();
		this.settle();
	}

	/** The open meal and its kitchen as the text of a file. */
	exportFile(): { readonly name: string; readonly text: string } {
		return {
			name: `${this.meal.id}.juntos.json`,
			text: writeFile(withNamedOwn(this.meal, this.history.now.techniques), this.kitchen)
		};
	}

	/** Take in a file; what is wrong with it is said, and nothing changes. */
	importFile(name: string, text: string): void {
		const read = readFile(text, this.shelf);
		if (!read.ok) {
			const [first, ...more] = read.issues.map(wordIssue);
			const rest =
				more.length === 0 ? [] : [...more.slice(0, 3), ...(more.length > 3 ? [`… and ${more.length - 3} more.`] : [])];
			this.notices.warn(`“${name}” was not imported; nothing has changed.`, [first ?? '', ...rest]);
			return;
		}
		const { meal, kitchen } = read.value;
		const { meals, kitchens, techniques, open } = this.history.now;
		const allKitchens = kitchen ? merged(kitchens, [kitchen]) : kitchens;
		if (meal && !allKitchens.some((k) => k.id === meal.kitchen)) {
			this.notices.warn(`“${name}” was not imported; nothing has changed.`, [
				`kitchen: "${meal.kitchen}" is not among your kitchens. Import that kitchen first, or a file that holds both.`
			]);
			return;
		}
		this.change({
			meals: meal ? merged(meals, [meal]) : meals,
			kitchens: allKitchens,
			techniques,
			open: meal?.id ?? open
		});
		this.notices.say(`“${name}” is here. Undo takes it out again.`);
	}

	/** End a clash: keep what this tab has, or take what the other one saved. */
	async settleClash(keep: 'mine' | 'theirs'): Promise<void> {
		const { clash } = this;
		if (!clash) return;
		this.clash = undefined;
		this.ledger.note(key(clash.kind, clash.theirs.id), clash.revision);
		if (keep === 'theirs') this.adopt(clash.kind, clash.theirs, clash.revision);
		await this.save();
	}

	private change(table: Table): void {
		this.history.push(table);
		this.settle();
	}

	/** After any change: plan, and save when it gets calm. */
	private settle(): void {
		localStorage.setItem(openKey, this.history.now.open);
		this.replan();
		clearTimeout(this.timer);
		this.timer = setTimeout(() => void this.save(), calm);
	}

	private replan(): void {
		void this.planning.ask(this.situation());
	}

	private async load(store: Store): Promise<void> {
		// Techniques first: meals name them.
		const techniques = await store.techniques.list();
		this.history.reset({ ...this.history.now, techniques: techniques.good.map((t) => t.value) });
		const [meals, kitchens] = [await store.meals.list(), await store.kitchens.list()];
		const isNew = meals.good.length === 0 && kitchens.good.length === 0;
		const fresh = [...techniques.kept, ...meals.kept, ...kitchens.kept];
		this.kept = await store.kept();
		for (const k of fresh) {
			const what = 'A saved record could not be read. It is kept aside: download it from the Menu, under “Files”.';
			this.notices.warn(what, k.why);
		}
		const read = [
			['techniques', techniques.good],
			['meals', meals.good],
			['kitchens', kitchens.good]
		] as const;
		for (const [kind, list] of read) {
			for (const { value, revision } of list) {
				this.ledger.note(key(kind, value.id), revision, value);
			}
		}
		const open = localStorage.getItem(openKey) ?? this.history.now.open;
		const table = {
			meals: isNew
				? demoMeals
				: withMissing(
						meals.good.map((m) => m.value),
						demoMeals
					),
			techniques: this.history.now.techniques,
			kitchens: withMissing(
				kitchens.good.map((k) => k.value),
				demoKitchens
			)
		};
		const isThere = shown(table.meals).some((m) => m.id === open);
		const before = this.history.now;
		this.history.reset({ ...table, open: isThere ? open : (shown(table.meals)[0]?.id ?? before.open) });
		await this.save();
		const isSame =
			same(this.meal, found(before.meals, before.open)) &&
			same(
				this.kitchen,
				demoKitchens.find((k) => k.id === this.kitchen.id)
			);
		if (!isSame) this.replan();
	}

	/** Save what differs from what lies in the database. */
	private async save(): Promise<void> {
		const { store } = this;
		if (!store || this.clash) return;
		const { meals, kitchens, techniques } = this.history.now;
		try {
			for (const technique of techniques) await this.saveOne('techniques', store.techniques, technique);
			for (const meal of meals) await this.saveOne('meals', store.meals, meal);
			for (const kitchen of kitchens) await this.saveOne('kitchens', store.kitchens, kitchen);
		} catch (error) {
			if (!(error instanceof DataError)) throw error;
			this.notices.warn(error.message);
		}
	}

	private async saveOne<T extends Kept>(kind: Kind, records: Records<T>, value: T): Promise<void> {
		const id = key(kind, value.id);
		if (this.ledger.holds(id, value) || this.clash) return;
		const result = await records.save(value, this.ledger.revision(id));
		if (!result.ok) {
			this.clash = { kind, theirs: result.theirs.value, revision: result.theirs.revision };
			return;
		}
		this.ledger.note(id, result.revision, value);
		this.tabs?.tell({ store: kind, id: value.id, revision: result.revision });
	}

	/** Another tab has saved: take it over, unless it changed what this tab has changed and not yet saved. */
	private async hear({ store: kind, id, revision }: SavedNews): Promise<void> {
		const { store } = this;
		if (!store || kind === 'runs' || this.ledger.revision(key(kind, id)) >= revision) return;
		const list: readonly Kept[] = this.history.now[kind];
		const mine = list.find((x) => x.id === id);
		if (mine && !this.ledger.holds(key(kind, id), mine)) return;
		const theirs = await store[kind].get(id);
		if (!theirs) return;
		this.adopt(kind, theirs.value, theirs.revision);
	}

	private adopt(kind: Kind, theirs: Kept, revision: number): void {
		this.ledger.note(key(kind, theirs.id), revision, theirs);
		const { now } = this.history;
		this.history.push({ ...now, [kind]: merged<{ id: string }>(now[kind], [theirs]) });
		this.notices.say(`“${theirs.name}” was changed in another tab, and is now the same here.`);
		this.replan();
	}
}

const key = (kind: Kind, id: string) => `${kind}/${id}`;

function found<T extends { readonly id: string }>(list: readonly T[], id: string): T {
	const value = list.find((x) => x.id === id) ?? list[0];
	if (!value) throw new RangeError(`an empty list where "${id}" was sought`);
	return value;
}

/** A list with these values in place of those of the same id, new ones at the end. */
function merged<T extends { readonly id: string }>(list: readonly T[], values: readonly T[]): readonly T[] {
	const given = new Map(values.map((v) => [v.id, v]));
	return [...list.map((x) => given.get(x.id) ?? x), ...values.filter((v) => !list.some((x) => x.id === v.id))];
}

/** A list with those of these values whose ids it lacks. */
function withMissing<T extends { readonly id: string }>(list: readonly T[], values: readonly T[]): readonly T[] {
	return [...list, ...values.filter((v) => !list.some((x) => x.id === v.id))];
}

function same(a: unknown, b: unknown): boolean {
	return JSON.stringify(a) === JSON.stringify(b);
}

export const [getApp, setApp] = createContext<App>();
