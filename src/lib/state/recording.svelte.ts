// The record: evenings that were cooked, as they are kept; each writes itself while it is cooked, and is spoken of afterwards.
import type { FilePicture } from '../core/formats/juntos/record';
import {
	holding,
	mergedEvening,
	newestFirst,
	withSaid,
	type CookedEvening,
	type Said,
	type Saying
} from '../core/record/evening';
import type { DataError } from '../data/database';
import { dataErrorOf } from '../data/database';
import { dataUrlOf, type Pictures } from '../data/pictures';
import type { Records } from '../data/records';

interface Keeping {
	readonly evenings: Pick<Records<CookedEvening>, 'list' | 'get' | 'save' | 'remove'>;
	readonly pictures: Pictures;
	/** Tells the other tabs. */
	readonly tell: (id: string, revision: number) => void;
	readonly onError: (error: DataError) => void;
}

/** Who tells, and how what is told is named. */
interface Teller {
	readonly newId: () => string;
	readonly by: string;
	readonly now: () => number;
}

/** While it is cooked an evening is written down this long after the last tap, milliseconds. */
const calm = 1500;

export class Recording {
	/** All evenings, the newest first; empty until they were read. */
	evenings: readonly CookedEvening[] = $state.raw([]);
	isRead = $state(false);
	private keeping: Keeping | undefined;
	private readonly revisions: Record<string, number> = {};
	private timer: ReturnType<typeof setTimeout> | undefined;
	private waiting: CookedEvening | undefined;
	private last: Promise<void> = Promise.resolve();
	private reading: Promise<void> | undefined;

	constructor(private readonly teller: Teller) {}

	open(keeping: Keeping | undefined): void {
		this.keeping = keeping;
	}

	/** Read what is kept, once. */
	read(): Promise<void> {
		this.reading ??= this.readAll();
		return this.reading;
	}

	/** An evening goes on: written down when it gets calm. */
	keepUp(evening: CookedEvening): void {
		this.waiting = evening;
		clearTimeout(this.timer);
		this.timer = setTimeout(() => {
			this.flush();
		}, calm);
	}

	/** Write down what waits: what was tapped is as the log has it now, what was said of it stays. */
	flush(): void {
		clearTimeout(this.timer);
		const evening = this.waiting;
		this.waiting = undefined;
		if (!evening) return;
		void this.read().then(() => {
			const before = this.evenings.find((e) => e.id === evening.id);
			this.put(before ? { ...evening, said: mergedEvening(before, evening).said, archived: before.archived } : evening);
		});
	}

	/** Something is said of an evening. */
	say(id: string, saying: Saying): void {
		const evening = this.evenings.find((e) => e.id === id);
		if (!evening) return;
		const said: Said = { ...saying, id: this.teller.newId(), at: this.teller.now(), by: this.teller.by };
		this.put(withSaid(evening, said));
	}

	/** Put away, or brought back. */
	archive(id: string, archived: boolean): void {
		const evening = this.evenings.find((e) => e.id === id);
		if (evening) this.put({ ...evening, archived });
	}

	/** Evenings of another device, or of a file: each is here once, with all that is known of it on either. */
	async take(evenings: readonly CookedEvening[]): Promise<void> {
		await this.read();
		for (const evening of evenings) {
			const mine = this.evenings.find((e) => e.id === evening.id);
			this.put(mine ? mergedEvening(mine, evening) : evening);
		}
		await this.last;
	}

	/** Take evenings out of what is kept. */
	async drop(ids: ReadonlySet<string>): Promise<void> {
		this.evenings = this.evenings.filter((e) => !ids.has(e.id));
		this.last = this.last.then(async () => {
			for (const id of ids) await this.guarded(async () => this.keeping?.evenings.remove(id));
		});
		await this.last;
	}

	/** A picture, kept under a name of its own. */
	async addPicture(id: string, blob: Blob, part?: string): Promise<void> {
		const picture = this.teller.newId();
		if (!(await this.bringPicture(picture, id, blob))) return;
		this.say(id, { kind: 'picture', picture, ...(part === undefined ? {} : { part }) });
	}

	/** A picture under the name that it has; whether it could be kept. */
	async bringPicture(id: string, evening: string, blob: Blob): Promise<boolean> {
		return (
			(await this.guarded(async () => {
				await this.keeping?.pictures.add(id, evening, blob);
				return true;
			})) === true
		);
	}

	picture(id: string): Promise<Blob | undefined> {
		return this.guarded(async () => this.keeping?.pictures.get(id));
	}

	/** The pictures of evenings as data URLs, for a file. */
	async picturesOf(evenings: readonly CookedEvening[]): Promise<readonly FilePicture[]> {
		const all: FilePicture[] = [];
		for (const evening of evenings)
			for (const said of holding(evening)) {
				const blob = said.kind === 'picture' ? await this.picture(said.picture) : undefined;
				if (said.kind !== 'picture' || !blob) continue;
				all.push({ id: said.picture, evening: evening.id, data: await dataUrlOf(blob) });
			}
		return all;
	}

	/** Another tab has written. */
	async hear(id: string): Promise<void> {
		if (!this.isRead) return;
		await this.guarded(async () => {
			const theirs = await this.keeping?.evenings.get(id);
			if (!theirs) return;
			this.revisions[id] = theirs.revision;
			this.show([theirs.value]);
		});
	}

	private async readAll(): Promise<void> {
		const found = (await this.guarded(async () => this.keeping?.evenings.list()))?.good ?? [];
		for (const { value, revision } of found) this.revisions[value.id] = revision;
		const mine = this.evenings;
		this.show(found.map((f) => f.value));
		this.show(mine);
		this.isRead = true;
	}

	/** Shown at once, and saved after what is being saved. */
	private put(evening: CookedEvening): void {
		this.show([evening]);
		this.last = this.last.then(() => this.save(evening.id));
	}

	/** What another tab has written meanwhile is merged in. */
	private async save(id: string): Promise<void> {
		await this.guarded(async () => {
			for (;;) {
				const evening = this.evenings.find((e) => e.id === id);
				if (!evening || !this.keeping) return;
				const saved = await this.keeping.evenings.save(evening, this.revisions[id] ?? 0);
				this.revisions[id] = saved.ok ? saved.revision : saved.theirs.revision;
				if (saved.ok) {
					this.keeping.tell(id, saved.revision);
					return;
				}
				this.show([mergedEvening(saved.theirs.value, evening)]);
			}
		});
	}

	private show(evenings: readonly CookedEvening[]): void {
		this.evenings = newestFirst([...this.evenings, ...evenings]);
	}

	private async guarded<T>(work: () => Promise<T>): Promise<T | undefined> {
		try {
			return await work();
		} catch (cause) {
			this.keeping?.onError(dataErrorOf(cause));
			return undefined;
		}
	}
}
