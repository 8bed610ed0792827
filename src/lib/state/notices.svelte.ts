// Short messages to the cook; warnings stay until they are put away, or what they warn of is over.

export interface Notice {
	readonly id: number;
	readonly kind: 'note' | 'warning';
	readonly text: string;
	readonly details: readonly string[];
	/** What it is about: with that it goes. */
	readonly about?: string;
}

/** A note goes away by itself after so long, milliseconds. */
const glance = 6000;

export class Notices {
	list: readonly Notice[] = $state.raw([]);
	private last = 0;

	say(text: string): void {
		const id = this.add('note', text, []);
		setTimeout(() => {
			this.close(id);
		}, glance);
	}

	warn(text: string, details: readonly string[] = [], about?: string): void {
		if (this.list.some((n) => n.text === text && n.details.join() === details.join())) return;
		this.add('warning', text, details, about);
	}

	/** What was warned of is over. */
	settled(about: string): void {
		if (this.list.some((n) => n.about === about)) this.list = this.list.filter((n) => n.about !== about);
	}

	close(id: number): void {
		this.list = this.list.filter((n) => n.id !== id);
	}

	private add(kind: Notice['kind'], text: string, details: readonly string[], about?: string): number {
		const id = ++this.last;
		this.list = [...this.list, { id, kind, text, details, ...(about === undefined ? {} : { about }) }];
		return id;
	}
}
