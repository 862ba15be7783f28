import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pino } from 'pino';
import root from '../../package.json' with { type: 'json' };
import { readSettings } from './settings.ts';
import { start, stopOnSignals } from './start.ts';

const logger = pino();
try {
  // What it writes is this user's alone to read.
  process.umask(0o077);
  const settings = readSettings(process.env);
  const pages = join(import.meta.dirname, '../../web/dist');
  const running = await start({
    settings,
    version: root.version,
    pages: existsSync(pages) ? pages : null,
    logger,
    // The developers' page server, when scripts/dev.mjs has started one.
    otherOrigins: process.env.DEV_ORIGIN ? [process.env.DEV_ORIGIN] : [],
  });
  stopOnSignals(running);
  logger.info(`Unity Acre is at ${running.url}`);
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 1;
}
