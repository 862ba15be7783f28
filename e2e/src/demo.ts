import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoPassword } from '@unity-acre/demo';
import type { Browser } from 'puppeteer-core';
import { openBrowser, type Size, visit, type WatchedPage } from './browser.ts';
import { Hand } from './hand.ts';
import { Program } from './program.ts';

/** The demo garden, running, with a browser before it. */
export class Demo {
  private constructor(
    readonly program: Program,
    private readonly browser: Browser,
    private readonly end: () => Promise<void>,
  ) {}

  static async open(): Promise<Demo> {
    const dataDir = mkdtempSync(join(tmpdir(), 'acre-screens-'));
    const program = await Program.start('demo', dataDir);
    const { browser, close } = await openBrowser();
    return new Demo(program, browser, async () => {
      await close();
      const code = await program.stop();
      rmSync(dataDir, { recursive: true, force: true });
      if (code !== 0) throw new Error(`the demo ended with ${code}`);
    });
  }

  close(): Promise<void> {
    return this.end();
  }

  /** Somebody who is not signed in, on a page of their own. */
  async visitor(preferences: object = {}, size: Size = 'desk'): Promise<WatchedPage & { hand: Hand }> {
    const watched = await visit(this.browser, size, preferences);
    return { ...watched, hand: new Hand(watched.page, this.program.url) };
  }

  /** Somebody of the demo garden, signed in, on a page of their own. */
  async signedIn(
    who = 'coordinator',
    preferences: object = {},
    size: Size = 'desk',
  ): Promise<WatchedPage & { hand: Hand }> {
    const { url } = this.program;
    const answer = await fetch(`${url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: url },
      body: JSON.stringify({ email: `${who}@millrace.example`, password: demoPassword }),
    });
    if (!answer.ok) throw new Error(`${who} could not sign in: ${answer.status}`);
    const visitor = await this.visitor(preferences, size);
    for (const cookie of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie)!;
      await visitor.page.browserContext().setCookie({
        ...{ name: name!, value: value!, domain: new URL(url).hostname, path: '/' },
        ...{ httpOnly: true, sameSite: 'Lax' },
      });
    }
    return visitor;
  }
}
