// Everything in one file and back: what lies in the browser collected, a backup looked at before it changes anything.
import {
	differencesOf,
	readBackup,
	restored,
	writeBackup,
	type Backup,
	type Difference,
	type Way
} from '../core/formats/juntos/backup';
import { parseJson } from '../core/formats/juntos/juntos';
import type { Issue } from '../core/issues';
import { demoMeals } from '../core/library/demo';
import { merged } from '../core/run/events';
import type { Technique } from '../core/model/technique';
import { wordIssue } from '../core/words/issues';
import { dateAt } from '../core/units/zoned';
import { dataErrorOf, type DataError } from '../data/database';
import { blobOf } from '../data/pictures';
import { zone } from './clocks';
import type { Recording } from './recording.svelte';
import { recall, remember } from './small-store';
import type { Store } from './store';
import type { Table } from './table';

/** What the browser remembers of how the cook likes it. */
const settings = ['juntos-measure', 'juntos-theme', 'juntos-open-meal', 'juntos-signals', 'juntos-cook'];
const savedKey = 'juntos-backup-at';
const remindedKey = 'juntos-backup-reminded';
/** So much is much to lose: things of the cook's own. */
const much = 5;
/** A cook is reminded once in so long, ms. */
const seldom = 7 * 86_400_000;
const mostTold = 8;

/** What there is to be saved, and where it goes. */
interface Host {
	readonly table: () => Table;
	readonly library: () => ReadonlyMap<string, Technique>;
	readonly record: Pick<Recording, 'read' | 'evenings' | 'picturesOf' | 'take' | 'archive' | 'bringPicture'>;
	readonly store: () => Store | undefined;
	readonly change: (change: (table: Table) => Table) => void;
	/** Resolves when what was changed lies in the browser's database. */
	readonly saved: () => Promise<void>;
	readonly onError: (error: DataError) => void;
	readonly now: () => number;
}

/** A backup that was chosen, before anything of it is taken. */
export interface Looked {
	readonly name: string;
	readonly savedAt: number;
	readonly differences: readonly Difference[];
	/** What of it could not be read, in words. */
	readonly unread: readonly string[];
	readonly runs: number;
	readonly pictures: number;
}

export class Backups {
	/** Being looked at. */
	looked: Looked | undefined = $state.raw();
	/** Why the last file was none, in words. */
	why: readonly string[] = $state.raw([]);
	/** When everything was saved last, ms. */
	savedAt: number | undefined = $state();
	/** Whether the browser has promised to keep what it has; absent: it was not asked, or does not say. */
	isPersistent: boolean | undefined = $state();
	private backup: Backup | undefined;

	constructor(private readonly host: Host) {}

	/** Take up what is remembered; in the browser only. */
	start(): void {
		const at = Number(recall(savedKey));
		this.savedAt = at > 0 ? at : undefined;
	}

	/** Ask the browser to keep what is in it even when it runs out of room. */
	async askToPersist(): Promise<void> {
		if (this.isPersistent === true || typeof navigator === 'undefined' || !('storage' in navigator)) return;
		try {
			this.isPersistent = (await navigator.storage.persisted()) || (await navigator.storage.persist());
		} catch {
			// A browser that cannot be asked has not promised anything.
		}
	}

	/** What to say to a cook who has never saved anything, and has much to lose; nothing otherwise, or not so soon again. */
	async reminder(): Promise<string | undefined> {
		if (this.savedAt !== undefined) return undefined;
		const now = this.host.now();
		if (now - Number(recall(remindedKey) ?? 0) < seldom) return undefined;
		const { meals, techniques } = this.host.table();
		const own = meals.filter((m) => !demoMeals.some((d) => d.id === m.id)).length;
		const evenings = (await this.guarded(async () => this.host.store()?.evenings.count())) ?? 0;
		if (own + techniques.length + evenings < much) return undefined;
		remember(remindedKey, String(now));
		const what = [
			[own, 'meal'],
			[techniques.length, 'technique'],
			[evenings, 'evening']
		] as const;
		const all = what.filter(([n]) => n > 0).map(([n, word]) => `${n} ${word}${n === 1 ? '' : 's'}`);
		return `${all.join(', ')} of your own lie in this browser alone. Menu → Backup saves them in one file.`;
	}

	/** All that is kept. */
	async collect(): Promise<Backup> {
		const { host } = this;
		await host.record.read();
		const store = host.store();
		const { meals, kitchens, techniques } = host.table();
		const heads = (await this.guarded(async () => (await store?.runs.list())?.good)) ?? [];
		const runs = [];
		for (const { value } of heads) {
			const logged = await this.guarded(async () => (await store?.events.list(value.run))?.events);
			runs.push({ ...value, events: [...merged(value.events, logged ?? [])] });
		}
		const { evenings } = host.record;
		const kept = settings.flatMap((key) => {
			const word = recall(key);
			return word === undefined ? [] : [[key, word] as const];
		});
		return {
			savedAt: host.now(),
			meals,
			kitchens,
			techniques,
			runs,
			evenings,
			pictures: await host.record.picturesOf(evenings),
			settings: Object.fromEntries(kept)
		};
	}

	/** Everything as the text of a file; from now on it counts as saved. */
	async save(): Promise<{ readonly name: string; readonly text: string }> {
		const backup = await this.collect();
		this.savedAt = backup.savedAt;
		remember(savedKey, String(backup.savedAt));
		return { name: `juntos-${dateAt(backup.savedAt, zone())}.backup.json`, text: writeBackup(backup) };
	}

	/** Look at a backup; nothing changes yet. */
	async look(name: string, text: string): Promise<void> {
		this.forget();
		const data = parseJson(text);
		const today = { date: dateAt(this.host.now(), zone()), zone: zone() };
		const read = data.ok ? readBackup(data.value, this.host.library(), today) : data;
		if (!read.ok) {
			this.why = told(read.issues);
			return;
		}
		const { backup, unread } = read.value;
		const here = await this.collect();
		this.backup = backup;
		this.looked = {
			name,
			savedAt: backup.savedAt,
			differences: differencesOf(backup, here),
			unread: told(unread),
			runs: backup.runs.length,
			pictures: backup.pictures.length
		};
	}

	/** Bring back what was looked at. Meals, kitchens and techniques can be undone. */
	async bringBack(way: Way): Promise<void> {
		const { backup, host } = this;
		if (!backup) return;
		this.forget();
		const away = <T extends object>(x: T) => ({ ...x, archived: true });
		host.change((table) => {
			const meals = restored(table.meals, backup.meals, way, away);
			// A meal is never left without a kitchen to choose.
			const hasKitchens = backup.kitchens.some((k) => k.archived !== true);
			const kitchens = restored(table.kitchens, backup.kitchens, way, hasKitchens ? away : (k) => k);
			const techniques = restored(table.techniques, backup.techniques, way, away);
			const shown = meals.filter((m) => m.archived !== true);
			const open = shown.some((m) => m.id === table.open) ? table.open : (shown[0]?.id ?? table.open);
			return { ...table, meals, kitchens, techniques, open };
		});
		await host.saved();
		for (const { id, evening, data } of backup.pictures) await host.record.bringPicture(id, evening, blobOf(data));
		await host.record.take(backup.evenings);
		if (way === 'replace')
			for (const e of host.record.evenings)
				if (!backup.evenings.some((b) => b.id === e.id)) host.record.archive(e.id, true);
		const store = host.store();
		for (const run of store ? backup.runs : [])
			await this.guarded(async () => {
				const mine = await store?.runs.get(run.id);
				const isOther = mine !== undefined && mine.value.run !== run.run;
				if (isOther && way === 'merge') return;
				if (!mine || isOther) await store?.runs.save({ ...run, events: [] }, mine?.revision ?? 0);
				await store?.events.add(run.run, run.events);
			});
		if (way !== 'merge')
			for (const [key, word] of Object.entries(backup.settings)) if (settings.includes(key)) remember(key, word);
	}

	/** Nothing is looked at any more. */
	forget(): void {
		this.backup = undefined;
		this.looked = undefined;
		this.why = [];
	}

	private async guarded<T>(work: () => Promise<T>): Promise<T | undefined> {
		try {
			return await work();
		} catch (cause) {
			this.host.onError(dataErrorOf(cause));
			return undefined;
		}
	}
}

function told(issues: readonly Issue[]): readonly string[] {
	const rest = issues.length - mostTold;
	return [...issues.slice(0, mostTold).map(wordIssue), ...(rest > 0 ? [`… and ${rest} more.`] : [])];
}
