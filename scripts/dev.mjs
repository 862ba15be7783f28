// npm run dev: the server and the page server, both reloading as files change.
import { follow, installPackages } from './setUp.mjs';

installPackages();
const port = process.env.PORT ?? '8080';
const pages = 'http://localhost:5173';
const environment = { ...process.env, PORT: port, DEV_ORIGIN: pages, API_ORIGIN: `http://127.0.0.1:${port}` };
console.log(`Open ${pages}; the server behind it is at port ${port}.`);
follow(
  'npx',
  [
    'concurrently',
    '-k',
    '-n',
    'server,web',
    'tsx watch server/src/main.ts',
    'vite web --config web/vite.config.ts',
  ],
  {
    env: environment,
  },
);
