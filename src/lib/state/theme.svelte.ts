// Light, dark, dim for a kitchen with the lamps low, or as the device has it; static/theme.js applies the choice before the first paint.
import { recall, remember } from './small-store';

export type Theme = 'auto' | 'light' | 'dark' | 'dim';
const key = 'juntos-theme';

export class ThemeChoice {
	now: Theme = $state('auto');

	start(): void {
		const stored = recall(key);
		if (stored === 'light' || stored === 'dark' || stored === 'dim') this.now = stored;
	}

	choose(theme: Theme): void {
		this.now = theme;
		remember(key, theme === 'auto' ? undefined : theme);
		if (theme === 'auto') delete document.documentElement.dataset.theme;
		else document.documentElement.dataset.theme = theme;
	}
}
