// Offline after one visit: everything the application is made of, kept from the first visit on, each version for itself.
import { base, build, files, prerendered, version } from '$service-worker';

const self = globalThis.self as unknown as ServiceWorkerGlobalScope;
const prefix = 'juntos-';
const cacheName = `${prefix}${version}`;
const pages = new Set(prerendered);
const assets = new Set([...build, ...files, ...prerendered]);

/**
 * Fetch one file from the server itself: the browser's own cache may hold the page of another version, which names files
 * that are gone.
 */
async function fetched(cache: Cache, path: string): Promise<void> {
	const response = await fetch(new Request(path, { cache: 'reload' }));
	if (!response.ok) throw new TypeError(`${path}: ${response.status}`);
	if (pages.has(path)) await checkPage(response.clone(), path);
	await cache.put(path, response);
}

/** A page belongs to this version where every file that it names is one of this version's. */
async function checkPage(page: Response, path: string): Promise<void> {
	const named = (await page.text()).match(/\/_app\/immutable\/[\w./-]+/g) ?? [];
	const strange = named.find((file) => !assets.has(`${base}${file}`));
	if (strange !== undefined) throw new TypeError(`${path} names ${strange}, which is of another version`);
}

self.addEventListener('install', (event) => {
	const fill = async () => {
		const cache = await caches.open(cacheName);
		try {
			await Promise.all([...assets].map((path) => fetched(cache, path)));
		} catch (error) {
			// Half a version is none: the one before goes on, and this one is tried again at the next visit.
			await caches.delete(cacheName);
			throw error;
		}
		await self.skipWaiting();
	};
	event.waitUntil(fill());
});

self.addEventListener('activate', (event) => {
	const clean = async () => {
		// Pages that are open still need the version that they came from: it goes when the next but one comes.
		const others = (await caches.keys()).filter((name) => name.startsWith(prefix) && name !== cacheName);
		for (const name of others.slice(0, -1)) await caches.delete(name);
		await self.clients.claim();
	};
	event.waitUntil(clean());
});

self.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	const isOurs = request.method === 'GET' && url.origin === self.location.origin;
	if (!isOurs || url.pathname.startsWith(`${base}/api/`)) return;
	const bare = url.pathname.length > 1 ? url.pathname.replace(/\/+$/, '') : url.pathname;
	if (bare !== url.pathname && pages.has(bare)) {
		event.respondWith(Response.redirect(`${url.origin}${bare}${url.search}`, 307));
		return;
	}
	const isOld = !assets.has(url.pathname) && url.pathname.startsWith(`${base}/_app/immutable/`);
	if (!isOld && !assets.has(url.pathname)) return;
	// A file of the version before, asked for by a page that is still open, is in that version's cache.
	const kept = isOld ? caches.match(url.pathname) : caches.match(url.pathname, { cacheName });
	event.respondWith(kept.then((response) => response ?? fetch(request)));
});
