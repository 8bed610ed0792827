// Offline after one visit: everything the application is made of, kept from the first visit on.
import { base, build, files, prerendered, version } from '$service-worker';

const self = globalThis.self as unknown as ServiceWorkerGlobalScope;
const cacheName = `juntos-${version}`;
const assets = new Set([...build, ...files, ...prerendered]);

self.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(cacheName)
			.then((cache) => cache.addAll([...assets]))
			.then(() => self.skipWaiting())
	);
});

self.addEventListener('activate', (event) => {
	const clean = async () => {
		for (const name of await caches.keys()) if (name !== cacheName) await caches.delete(name);
		await self.clients.claim();
	};
	event.waitUntil(clean());
});

self.addEventListener('fetch', (event) => {
	const { request } = event;
	const { origin, pathname } = new URL(request.url);
	const isOurs = request.method === 'GET' && origin === self.location.origin && !pathname.startsWith(`${base}/api/`);
	if (!isOurs || !assets.has(pathname)) return;
	event.respondWith(caches.match(pathname, { cacheName }).then((kept) => kept ?? fetch(request)));
});
