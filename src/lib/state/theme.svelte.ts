// Light, dark, or as the device has it; static/theme.js applies the choice before the first paint.

export type Theme = 'auto' | 'light' | 'dark';
const key = 'juntos-theme';

export class ThemeChoice {
	now: Theme = $state('auto');

	start(): void {
		const stored = localStorage.getItem(key);
		if (stored === 'light' || stored === 'dark') this.now = stored;
	}

	choose(theme: Theme): void {
		this.now = theme;
		if (theme === 'auto') {
			localStorage.removeItem(key);
			delete document.documentElement.dataset.theme;
		} else {
			localStorage.setItem(key, theme);
			document.documentElement.dataset.theme = theme;
		}
	}
}
