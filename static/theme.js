// Sets the chosen theme before the first paint.
try {
	const chosen = localStorage.getItem('juntos-theme');
	if (chosen === 'light' || chosen === 'dark' || chosen === 'dim') document.documentElement.dataset.theme = chosen;
} catch {
	// Storage is denied: the device's own theme it is.
}
