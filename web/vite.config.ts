import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type InlineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { cropsAsData } from './cropsAsData.ts';
import { paintsEarly } from './firstPaint.ts';
import { beginsEarly, groupsOf } from './firstVisit.ts';

const api = process.env.API_ORIGIN ?? 'http://127.0.0.1:8080';

/**
 * Has the browser read what is written as data as data: as a program it would take several times as long, and both words and
 * crops are many.
 */
const asData = (): Plugin => ({
  name: 'as-data',
  apply: 'build',
  enforce: 'pre',
  load(id) {
    if (!id.endsWith('.json')) return null;
    const data = JSON.stringify(JSON.parse(readFileSync(id, 'utf8')));
    return { code: `export default JSON.parse(${JSON.stringify(data)});`, moduleType: 'js' };
  },
});

/** @param groups the chunk that each module goes into, where one is chosen for it */
const configOf = (groups: ReadonlyMap<string, string>): InlineConfig => ({
  root: import.meta.dirname,
  plugins: [asData(), cropsAsData(), react(), tailwind(), paintsEarly(), beginsEarly()],
  // The server puts the nonce of each response in this place.
  html: { cspNonce: '__NONCE__' },
  build: {
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    manifest: true,
    rollupOptions: {
      // A face of a room gives what is asked of it and nothing else: no module here does anything by being imported.
      treeshake: {
        moduleSideEffects: (id) =>
          !/[/]web[/]src[/].*[.]tsx?$/.test(id) ||
          /main[.]tsx$|withoutEval[.]ts$|offline[.]ts$|[.]worker[.]ts$/.test(id),
      },
      input: {
        index: join(import.meta.dirname, 'index.html'),
        offline: join(import.meta.dirname, 'src/offline/offline.ts'),
      },
      output: {
        // What serves a page without a connection has to lie at the root to see all of its requests.
        entryFileNames: ({ name }) => (name === 'offline' ? 'offline.js' : 'assets/[name]-[hash].js'),
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ debugName: 'first visit', name: (id) => groups.get(id) ?? null }],
        },
      },
    },
  },
  server: { proxy: { '/api': { target: api } } },
});

export default defineConfig(async ({ command }) => {
  if (command !== 'build') return configOf(new Map());
  const { plugins = [], ...config } = configOf(await groupsOf(configOf(new Map())));
  // As small as can be, once: the server would take a second for it at every first visit.
  const packed = compression({
    algorithms: ['brotli'],
    include: /[.](js|css|svg|json)$/,
    logLevel: 'silent',
  });
  return { ...config, plugins: [...plugins, packed] };
});
