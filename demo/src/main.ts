import { join } from 'node:path';
import { openStore, readSettings, start, stopOnSignals } from '@unity-acre/server';
import { pino } from 'pino';
import root from '../../package.json' with { type: 'json' };
import { hasDemo, loadDemo } from './load.ts';
import { demoSignIns } from './signIns.ts';

try {
  const settings = readSettings({ DATA_DIR: join(import.meta.dirname, '../../data/demo'), ...process.env });
  const store = await openStore(settings.dataDir);
  if (!(await hasDemo(store))) {
    process.stdout.write('Loading the demo garden …\n');
    await loadDemo(store);
  }
  const running = await start({
    settings,
    store,
    version: root.version,
    pages: join(import.meta.dirname, '../../web/dist'),
    demoSignIns,
    logger: pino({ level: 'warn' }),
  });
  stopOnSignals(running);
  const signIns = demoSignIns.map(
    ({ role, email, password }) => `  ${role.padEnd(12)} ${email.padEnd(32)} ${password}`,
  );
  process.stdout.write(
    `\nMillrace Commons is at ${running.url}\nSign in as\n${signIns.join('\n')}\n\nCtrl-C stops it.\n`,
  );
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 1;
}
