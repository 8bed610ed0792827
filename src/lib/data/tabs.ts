// Word between open tabs that a record was saved.
import type { RecordStore } from './database';

export interface SavedNews {
	readonly store: RecordStore;
	readonly id: string;
	readonly revision: number;
}

export interface Tabs {
	tell(news: SavedNews): void;
	close(): void;
}

/** Listen to the other tabs, and tell them. */
export function openTabs(onNews: (news: SavedNews) => void): Tabs {
	const channel = new BroadcastChannel('juntos');
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
