import './kit/withoutEval.ts';
import { queries } from './garden/index.ts';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource/bricolage-grotesque/700.css';
import './kit/tokens.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { startTransition } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { followTheme } from './preferences.ts';
import { makeRouter, screenIsThere } from './shell/routes.tsx';
import { startWords } from './words/index.ts';

// Styles that dialogs add while they are open carry the nonce of the page.
const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
if (nonce) setNonce(nonce);

followTheme();

/** What is shown where not even the words could be fetched. */
function sayOutOfReach(): void {
  const root = document.getElementById('root')!;
  root.innerHTML =
    '<main class="flex max-w-xl flex-col gap-3 p-8" role="alert"><h1></h1><p lang="en"></p><p lang="es"></p><p><a class="underline" href=""></a></p></main>';
  const [title, english, spanish, again] = root.querySelectorAll('h1, p[lang], a');
  title!.textContent = 'The garden cannot be reached · No se puede llegar al huerto';
  english!.textContent = 'Check the connection and open the page again.';
  spanish!.textContent = 'Revise la conexión y abra la página otra vez.';
  again!.textContent = 'Try again · Probar otra vez';
}

/** Lets the browser draw and listen between two pieces of work. */
const pause = () => new Promise((resolve) => setTimeout(resolve));

try {
  const speaking = startWords();
  await pause();
  const router = makeRouter();
  await speaking;
  await screenIsThere(router);
  const root = createRoot(document.getElementById('root')!);
  // Drawn in small pieces of work; until all of it is there, what the page came with stays.
  startTransition(() =>
    root.render(
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>,
    ),
  );
} catch (error) {
  sayOutOfReach();
  throw error;
}
