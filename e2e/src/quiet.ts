import type { HTTPRequest, Page } from 'puppeteer-core';

/** A request that has not been answered for so long was cut off by a page that came after, and is not waited for, milliseconds. */
const CUT_OFF_MS = 10_000;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

interface Going {
  asked: Map<HTTPRequest, number>;
  lastMs: number;
}
const goings = new WeakMap<Page, Going>();

/** Follows what a page asks for, so that `quiet` can wait until it asks for nothing. */
export function followRequests(page: Page): void {
  const going: Going = { asked: new Map(), lastMs: Date.now() };
  goings.set(page, going);
  page.on('request', (request) => {
    // The stream of changes never ends.
    if (request.resourceType() === 'eventsource') return;
    going.asked.set(request, Date.now());
    going.lastMs = Date.now();
  });
  const ended = (request: HTTPRequest) => {
    if (going.asked.delete(request)) going.lastMs = Date.now();
  };
  page.on('requestfinished', ended);
  page.on('requestfailed', ended);
  // Of what the service worker answers, only the answer is told.
  page.on('response', (response) => ended(response.request()));
}

/**
 * Waits until a page has asked for nothing for a while. The browser driver's own waiting counts a stream that a later
 * page cut off as going on for ever.
 */
export async function quiet(page: Page, idleMs = 300): Promise<void> {
  const going = goings.get(page)!;
  const waited = () => [...going.asked].filter(([, at]) => Date.now() - at < CUT_OFF_MS);
  while (waited().length > 0 || Date.now() - going.lastMs < idleMs) await pause(25);
}
