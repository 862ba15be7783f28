import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { followRequests } from './quiet.ts';

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844, isMobile: true, hasTouch: true };
const sizes = { desk, phone };
export type Size = keyof typeof sizes;

/** Debian's Chromium with a profile of its own, and pages that remember what went wrong in them. */
export async function openBrowser(): Promise<{ browser: Browser; close(): Promise<void> }> {
  const profile = mkdtempSync(join(tmpdir(), 'acre-chromium-'));
  const browser = await puppeteer.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    headless: true,
    userDataDir: profile,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--lang=en-US',
    ],
  });
  return {
    browser,
    async close() {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

export interface WatchedPage {
  page: Page;
  /** errors of scripts, and of the console other than refused requests that a test provokes */
  troubles: string[];
}

/** A fresh visitor: a page without cookies or preferences of others. */
export async function visit(browser: Browser, size: Size, preferences: object = {}): Promise<WatchedPage> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(sizes[size]);
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  await page.evaluateOnNewDocument(
    (state) => {
      if (location.protocol === 'about:') return;
      document.addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
        console.error(`against the content policy: ${violatedDirective} ${blockedURI}`),
      );
      if (!localStorage.getItem('unity-acre'))
        localStorage.setItem('unity-acre', JSON.stringify({ state, version: 0 }));
    },
    { language: 'en', theme: 'light', gardenId: null, ...preferences },
  );
  followRequests(page);
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/status of 4\d\d/.test(message.text())) troubles.push(message.text());
  });
  return { page, troubles };
}
