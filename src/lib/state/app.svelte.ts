// What the application holds now: meals, kitchens, the plan; the only place where core, data and workers meet.
import { createContext } from 'svelte';
import { parseJson, readFile, writeFile, writeTechnique } from '../core/formats/juntos/juntos';
import { isBackup } from '../core/formats/juntos/backup';
import { isRecordFile, readRecordFile } from '../core/formats/juntos/record';
import type { Issue } from '../core/issues';
import { wordIssue } from '../core/words/issues';
import { demoKitchens, demoMeals } from '../core/library/demo';
import type { Kitchen } from '../core/model/kitchen';
import { freeId } from '../core/model/edit-meal';
import { shelfOf, techniquesFor, withNamedOwn, withOwn, type Meal } from '../core/model/meal';
import type { Plan } from '../core/model/plan';
import type { Technique } from '../core/model/technique';
import type { WhatIf } from '../core/plan/advise/what-if';
import { active, type Run } from '../core/run/events';
import { dateAt } from '../core/units/zoned';
import { DataError, type KeptRecord } from '../data/database';
import { blobOf } from '../data/pictures';
import { linkOf, textInLink } from '../data/link';
import { Saver, type Clash } from '../data/saver';
import { openTabs, type SavedNews, type Tabs } from '../data/tabs';
import { startPlanner, type PlannerClient } from '../workers/client';
import { Backups } from './backups.svelte';
import { History } from './history.svelte';
import { MeasureChoice } from './measure.svelte';
import { Notices } from './notices.svelte';
import { newName } from './clocks';
import { Pasting } from './pasting.svelte';
import { Planning } from './planning.svelte';
import { Recording } from './recording.svelte';
import { runKeeping } from './run-keeping';
import { recall, remember } from './small-store';
import { openStore, type Store } from './store';
import { shown, type Table } from './table';

type Kind = 'meals' | 'kitchens' | 'techniques';
type Kept = Meal | Kitchen | Technique;
const kinds = ['techniques', 'meals', 'kitchens'] as const satisfies readonly Kind[];

/** Saving waits this long for the next keystroke, milliseconds. */
const calm = 250;
/** A larger file is not one of ours, bytes. */
const largest = 2_000_000;
/** So many things that are wrong with a file are told. */
const mostTold = 4;
/** A record is one of ours up to here, bytes. */
const largestRecord = 200_000_000;
const openKey = 'juntos-open-meal';

const nothing: ReadonlyMap<string, Technique> = shelfOf([], []);

export class App {
	readonly planning: Planning;
	readonly notices = new Notices();
	readonly measure = new MeasureChoice();
	/** The recipe that was pasted. */
	readonly pasting = new Pasting();
	readonly record = new Recording({ newId: newName, by: 'this device', now: () => Date.now() });
	/** Everything in one file, and back. */
	readonly backups = new Backups({
		table: () => this.history.now,
		library: () => this.library,
		record: this.record,
		store: () => this.store,
		change: (change) => {
			this.changeTable(change);
		},
		saved: async () => {
			this.flush();
			await this.saver?.settled();
		},
		onError: (error) => {
			this.notices.warn(error.message);
		},
		now: () => Date.now()
	});
	readonly history: History<Table>;
	/** Records that could not be read, kept aside. */
	kept: readonly KeptRecord[] = $state.raw([]);
	/** Another tab saved what this one changed too. */
	private clashes: readonly Clash<Kind | 'runs', Kept | Run>[] = $state.raw([]);
	readonly clash: { readonly name: string } | undefined = $derived.by(() => {
		const [first] = this.clashes;
		return first && 'name' in first.theirs ? { name: first.theirs.name } : undefined;
	});
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
	private saver: Saver<Kind | 'runs', Kept | Run> | undefined;
	private keeping: ReturnType<typeof runKeeping> | undefined;
	private tabs: Tabs | undefined;
	private timer: ReturnType<typeof setTimeout> | undefined;

	/**
	 * @param plan the demo meal's, made when the page was built
	 * @param start starts the planner in its workers
	 */
	constructor(plan: Plan, start: () => PlannerClient = startPlanner) {
		this.planning = new Planning(plan, () => this.measure.now, start);
		this.history = new History<Table>({ meals: demoMeals, kitchens: demoKitchens, techniques: [], open: plan.meal });
	}

	/** Read the browser's data, or put the demo meals there on a first visit. Returns what ends it all. */
	async start(): Promise<void> {
		this.measure.start();
		this.backups.start();
		({ library: this.library } = await import('../core/library/library'));
		try {
			const store = await openStore(
				(why) => {
					this.closeStore(why);
				},
				() => this.shelf
			);
			this.openWith(store);
			await this.load(store);
		} catch (error) {
			if (!(error instanceof DataError)) throw error;
			this.notices.warn(error.message);
		}
		this.isReady = true;
		const reminder = await this.backups.reminder();
		if (reminder !== undefined) this.notices.warn(reminder, [], 'backup');
	}

	/** Save and listen from now on. */
	private openWith(store: Store): void {
		this.store = store;
		const warn = (error: DataError) => {
			this.notices.warn(error.message, [], 'saving');
		};
		const tabs = openTabs((news) => void this.hear(news));
		this.tabs = tabs;
		// Each store takes its own kind only, which a table of all of them cannot say.
		const stores = store as unknown as ConstructorParameters<typeof Saver<Kind | 'runs', Kept | Run>>[0];
		const saver = new Saver<Kind | 'runs', Kept | Run>(stores, {
			onSaved: (kind, id, revision) => {
				this.notices.settled('saving');
				tabs.tell({ store: kind, id, revision });
			},
			onClash: (clash) => {
				// Of one run the log is kept apart: the head is its plan and its clock, and the newer one holds.
				if (clash.kind === 'runs') saver.settle(clash, 'mine');
				else this.clashes = [...this.clashes, clash];
			},
			onError: warn
		});
		this.saver = saver;
		this.record.open({
			evenings: store.evenings,
			pictures: store.pictures,
			tell: (id, revision) => {
				tabs.tell({ store: 'evenings', id, revision });
			},
			onError: warn
		});
		this.keeping = runKeeping(
			store,
			(run, revision) => {
				if (revision === undefined) saver.put('runs', run);
				else saver.note('runs', run, revision);
			},
			(run) => {
				tabs.tell({ store: 'events', id: run, revision: 0 });
			},
			warn
		);
	}

	private closeStore(why: 'outdated' | 'terminated'): void {
		this.notices.warn(
			why === 'outdated'
				? 'A newer Juntos is open in another tab. Reload this one: until then it saves nothing.'
				: 'The browser has closed its storage: nothing is saved until this page is loaded again. Export the meal to a file first.'
		);
		this.store = undefined;
		this.record.open(undefined);
		this.saver = undefined;
		this.keeping = undefined;
	}

	/** Save what waits to be saved: the page may be gone in a moment. */
	flush(): void {
		clearTimeout(this.timer);
		this.record.flush();
		this.save();
	}

	stop(): void {
		this.flush();
		this.tabs?.close();
		this.planning.close();
	}

	/** Whether a meal is being cooked, or was, today. */
	async isCooked(meal: string): Promise<boolean> {
		const run = await this.keeping?.load(meal);
		return run !== undefined && active(run.events).length > 0 && run.date === dateAt(Date.now(), run.zone);
	}

	/** How runs are kept; `undefined` where the browser keeps nothing. */
	get runs() {
		return this.keeping;
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

	/** A technique as the text of a file. */
	exportTechnique(technique: Technique): { readonly name: string; readonly text: string } {
		return { name: `${technique.id}.juntos.json`, text: writeTechnique(technique) };
	}

	/** Take in a file; what is wrong with it is said, and nothing changes. */
	async importFile(file: File): Promise<void> {
		const { name, size } = file;
		this.notices.settled('import');
		const refuse = (issues: readonly Issue[]) => {
			const [first, ...more] = issues.slice(0, mostTold).map(wordIssue);
			const rest = issues.length > mostTold ? [`… and ${issues.length - mostTold} more.`] : [];
			this.notices.warn(`“${name}” was not imported; nothing has changed.`, [first ?? '', ...more, ...rest], 'import');
		};
		if (size > (await this.largestFor(file))) {
			refuse([{ code: 'too-large', path: [], bytes: size, most: await this.largestFor(file) }]);
			return;
		}
		const text = await file.text();
		if (isBackup(text)) await this.backups.look(name, text);
		else if (isRecordFile(text)) await this.importRecord(name, text, refuse);
		else this.take(name, text, refuse);
	}

	/** The open meal and its kitchen in the fragment of a link; `undefined` where it is too large for one. */
	link(): Promise<string | undefined> {
		const { text } = this.exportFile();
		return linkOf(JSON.stringify(JSON.parse(text)));
	}

	/** Take in the meal of a link, beside what is here; whether there was one. */
	async takeLink(hash: string): Promise<boolean> {
		const text = await textInLink(hash);
		const refuse = (issues: readonly Issue[]) => {
			this.notices.warn(
				'The meal in this link was not taken in; nothing has changed.',
				issues.map(wordIssue),
				'import'
			);
		};
		if (text === undefined)
			this.notices.warn('The meal in this link was not taken in; nothing has changed.', [
				'The link is cut off, or was changed on its way: have it sent again, or sent as a file.'
			]);
		else this.take('The meal of the link', text, refuse, true);
		return text !== undefined;
	}

	/** Take in the text of a file; one of the same name as what is here takes its place, or is put beside it. */
	private take(name: string, text: string, refuse: (issues: readonly Issue[]) => void, isBeside = false): void {
		const read = readFile(text, this.shelf);
		if (!read.ok) {
			refuse(read.issues);
			return;
		}
		const { kitchen, technique } = read.value;
		const mine = this.history.now.meals.find((m) => m.id === read.value.meal?.id);
		const meal =
			isBeside && read.value.meal && mine && !same(mine, read.value.meal)
				? withFreeId(read.value.meal, this.history.now.meals, 'from a link')
				: read.value.meal;
		const { meals, kitchens, techniques, open } = this.history.now;
		const own = kitchen && kitchens.find((k) => k.id === kitchen.id);
		// A kitchen that is there and differs stays as it is: other meals are cooked in it.
		const taken = kitchen && own && !same(own, kitchen) ? withFreeId(kitchen, kitchens, 'from a file') : kitchen;
		const allKitchens = taken ? merged(kitchens, [taken]) : kitchens;
		const moved = meal && taken && meal.kitchen === kitchen?.id ? { ...meal, kitchen: taken.id } : meal;
		if (moved && !allKitchens.some((k) => k.id === moved.kitchen)) {
			this.notices.warn(
				`“${name}” was not imported; nothing has changed.`,
				[
					`kitchen: "${moved.kitchen}" is not among your kitchens. Import that kitchen first, or a file that holds both.`
				],
				'import'
			);
			return;
		}
		this.change({
			meals: moved ? merged(meals, [moved]) : meals,
			kitchens: allKitchens,
			techniques: technique ? merged(techniques, [technique]) : techniques,
			open: moved?.id ?? open
		});
		const beside = taken !== kitchen && taken ? ` Its kitchen is here beside yours, as “${taken.name}”.` : '';
		this.notices.say(`“${name}” is here.${beside} Undo takes it out again.`);
	}

	/** A record may hold pictures. */
	private async largestFor(file: File): Promise<number> {
		const head = await file.slice(0, 200).text();
		return isRecordFile(head) || isBackup(head) ? largestRecord : largest;
	}

	/** Take in a record of another device: each evening once, with all that is known of it on either. */
	private async importRecord(name: string, text: string, refuse: (issues: readonly Issue[]) => void): Promise<void> {
		const data = parseJson(text);
		const read = data.ok ? readRecordFile(data.value) : data;
		if (!read.ok) {
			refuse(read.issues);
			return;
		}
		const { evenings, pictures } = read.value;
		await this.record.read();
		const before = this.record.evenings;
		await this.record.take(evenings);
		for (const { id, evening, data: url } of pictures) await this.record.bringPicture(id, evening, blobOf(url));
		const fresh = evenings.filter((e) => !before.some((b) => b.id === e.id)).length;
		const same = evenings.length - fresh;
		this.notices.say(
			`“${name}” is in the record: ${fresh} ${fresh === 1 ? 'evening' : 'evenings'} more${same > 0 ? `, ${same} that were here already, merged` : ''}.`
		);
	}

	/** End a clash: keep what this tab has, or take what the other one saved. Undo brings the other of the two. */
	settleClash(keep: 'mine' | 'theirs'): void {
		const [clash, ...others] = this.clashes;
		if (!clash || clash.kind === 'runs') return;
		this.clashes = others;
		this.saver?.settle(clash, keep);
		const mine = this.history.now;
		const theirs = withRecord(mine, clash.kind, clash.theirs as Kept);
		this.history.push(theirs);
		if (keep === 'mine') this.history.push(mine);
		this.settle();
	}

	private change(table: Table): void {
		void this.backups.askToPersist();
		this.history.push(table);
		this.settle();
	}

	/** After any change: plan, and save when it gets calm. */
	private settle(): void {
		remember(openKey, this.history.now.open);
		this.replan();
		clearTimeout(this.timer);
		this.timer = setTimeout(() => {
			this.save();
		}, calm);
	}

	private replan(): void {
		void this.planning.ask(this.situation());
	}

	private async load(store: Store): Promise<void> {
		// Techniques first: meals name them. What was kept aside may be read by this version.
		for (const record of await store.kept()) {
			if (!(await store[record.store].restore(record))) continue;
			this.notices.say('A record that was kept aside can be read again, and is back.');
		}
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
				this.saver?.note(kind, value, revision);
			}
		}
		const open = recall(openKey) ?? this.history.now.open;
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
		this.save();
		const isSame =
			same(this.meal, found(before.meals, before.open)) &&
			same(
				this.kitchen,
				demoKitchens.find((k) => k.id === this.kitchen.id)
			);
		if (!isSame) this.replan();
	}

	/** Save what differs from what lies in the database. */
	private save(): void {
		for (const kind of kinds) for (const value of this.history.now[kind]) this.saver?.put(kind, value);
		this.saver?.retry();
	}

	/** Another tab has saved: take it over, unless it changed what this tab has changed and not yet saved. */
	private async hear({ store: kind, id, revision }: SavedNews): Promise<void> {
		const { store, saver } = this;
		if (!store || !saver) return;
		if (kind === 'events') this.keeping?.hear('events', id);
		else if (kind === 'runs') this.keeping?.hear('head', id);
		else if (kind === 'evenings') await this.record.hear(id);
		else if (saver.revision(kind, id) < revision) {
			const list: readonly Kept[] = this.history.now[kind];
			const mine = list.find((x) => x.id === id);
			if (mine && !saver.holds(kind, mine)) return;
			try {
				const theirs = await store[kind].get(id);
				if (theirs) this.adopt(kind, theirs.value, theirs.revision);
			} catch (error) {
				if (!(error instanceof DataError)) throw error;
				this.notices.warn(error.message);
			}
		}
	}

	private adopt(kind: Kind, theirs: Kept, revision: number): void {
		this.saver?.note(kind, theirs, revision);
		this.history.push(withRecord(this.history.now, kind, theirs));
		this.notices.say(`“${theirs.name}” was changed in another tab, and is now the same here.`);
		this.replan();
	}
}

/** The table with a record in place of that of the same id. */
function withRecord(table: Table, kind: Kind, record: Kept): Table {
	return { ...table, [kind]: merged<{ id: string }>(table[kind], [record]) };
}

/** The same under an id, and a name, that nothing else has. */
function withFreeId<T extends { readonly id: string; readonly name: string }>(
	one: T,
	all: readonly { readonly id: string }[],
	from: string
): T {
	const id = freeId(
		all.map((k) => k.id),
		one.id
	);
	return { ...one, id, name: `${one.name}, ${from}`.slice(0, 80) };
}

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
