import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import './kit/tokens.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { queries } from './kit/garden.ts';
import { followTheme } from './kit/preferences.ts';
import { router } from './shell/routes.tsx';
import { startWords } from './words/index.ts';

// Styles that dialogs add while they are open carry the nonce of the page.
const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
if (nonce) setNonce(nonce);

followTheme();
await startWords();
createRoot(document.getElementById('root')!).render(
  <QueryClientProvider client={queries}>
    <RouterProvider router={router} />
  </QueryClientProvider>,
);
