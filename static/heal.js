// Should a page name files that are gone (a half-kept version), what the browser kept of the application is thrown away, once,
// and loaded anew. The cook's own data lie elsewhere and are not touched.
addEventListener(
	'error',
	async ({ target }) => {
		const url = target instanceof HTMLScriptElement ? target.src : target instanceof HTMLLinkElement ? target.href : '';
		if (!url.includes('/_app/immutable/') || !navigator.onLine) return;
		await healed();
	},
	true
);
addEventListener('vite:preloadError', () => void healed());

async function healed() {
	const key = 'juntos-healed';
	try {
		if (Date.now() - Number(sessionStorage.getItem(key) ?? 0) < 60_000) return;
		sessionStorage.setItem(key, String(Date.now()));
		for (const worker of await navigator.serviceWorker.getRegistrations()) await worker.unregister();
		for (const name of await caches.keys()) if (name.startsWith('juntos-')) await caches.delete(name);
		location.reload();
	} catch {
		// Nothing is kept here, so there is nothing to throw away.
	}
}
