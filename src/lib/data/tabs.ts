// Word between open tabs that something was saved.
import type { RecordStore } from './database';

export interface SavedNews {
	/** `events`: those of the run named by `id`. */
	readonly store: RecordStore | 'events';
	readonly id: string;
	readonly revision: number;
}

export interface Tabs {
	tell(news: SavedNews): void;
	close(): void;
}

/** Listen to the other tabs, and tell them; alone where the browser has no channel between tabs. */
export function openTabs(onNews: (news: SavedNews) => void): Tabs {
	let channel: BroadcastChannel;
	try {
		channel = new BroadcastChannel('juntos');
	} catch {
		return { tell: () => undefined, close: () => undefined };
	}
	channel.onmessage = ({ data }: MessageEvent<SavedNews>) => {
		onNews(data);
	};
	return {
		tell: (news) => {
			channel.postMessage(news);
		},
		close: () => {
			channel.close();
		}
	};
}
