/// <reference lib="webworker" />
/*
 * Keeps a session's sheet on the device. It begins only where somebody has opened such a sheet, asks the garden first
 * whenever it can be reached, and gives what is kept where it cannot. What is kept goes when somebody signs out.
 */
declare const self: ServiceWorkerGlobalScope;

export type {};

const KEPT = 'acre-kept';

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('message', (event) => {
  const { keep = [] } = event.data as { keep?: string[] };
  event.waitUntil(keepAll(keep));
});

async function keepAll(addresses: readonly string[]): Promise<void> {
  const cache = await caches.open(KEPT);
  await Promise.allSettled(addresses.map((address) => keepOne(cache, address)));
}

async function keepOne(cache: Cache, address: string): Promise<void> {
  // A file whose name holds its content is the same for ever.
  if (address.startsWith('/assets/') && (await cache.match(address))) return;
  const response = await fetch(address);
  if (response.ok) await cache.put(address, response);
}

async function fromGarden(request: Request, address: string): Promise<Response> {
  const cache = await caches.open(KEPT);
  try {
    const response = await fetch(request);
    if (response.status === 401) await caches.delete(KEPT);
    else if (response.ok && (await cache.match(address))) await cache.put(address, response.clone());
    return response;
  } catch (error) {
    const kept = await cache.match(address);
    if (kept) return kept;
    throw error;
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname, search } = new URL(request.url);
  if (origin !== self.location.origin) return;
  if (pathname === '/api/sign-out') {
    event.waitUntil(caches.delete(KEPT));
    return;
  }
  if (request.method !== 'GET' || pathname.endsWith('/events')) return;
  if (request.mode === 'navigate') {
    event.respondWith(fromGarden(request, '/'));
  } else if (pathname.startsWith('/assets/')) {
    event.respondWith(caches.match(request.url).then((kept) => kept ?? fetch(request)));
  } else if (pathname.startsWith('/api/gardens/') || pathname === '/api/me') {
    event.respondWith(fromGarden(request, pathname + search));
  }
});
