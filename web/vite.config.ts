import { join } from 'node:path';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const api = process.env.API_ORIGIN ?? 'http://127.0.0.1:8080';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind()],
  // The server puts the nonce of each response in this place.
  html: { cspNonce: '__NONCE__' },
  build: {
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    manifest: true,
    rollupOptions: {
      input: {
        index: join(import.meta.dirname, 'index.html'),
        offline: join(import.meta.dirname, 'src/offline/offline.ts'),
      },
      // What serves a page without a connection has to lie at the root to see all of its requests.
      output: {
        entryFileNames: ({ name }) => (name === 'offline' ? 'offline.js' : 'assets/[name]-[hash].js'),
      },
    },
  },
  server: { proxy: { '/api': { target: api } } },
});
