import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { Garden } from '@unity-acre/contract/place';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { HereProvider } from '../garden/index.ts';
import { Notices } from '../kit/screens/index.ts';

const garden = {
  id: 'garden-1',
  name: 'Test garden',
  units: 'imperial',
  today: '2026-05-20',
  seasonYear: 2026,
} as Garden;

/** A page of a garden around what is tested, with its notices and a client of its own. */
export function InGarden({ client, children }: { client?: QueryClient; children: ReactNode }) {
  const router = createMemoryRouter([
    {
      path: '/',
      element: (
        <HereProvider value={{ garden, personId: 'person-1', role: 'coordinator', name: 'Cleo' }}>
          <main>{children}</main>
          <Notices />
        </HereProvider>
      ),
    },
  ]);
  return (
    <QueryClientProvider
      client={client ?? new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <RouterProvider router={router} />
    </QueryClientProvider>
  );
}

/** What the server is to answer a request with; `unreachable` for none at all. */
export type Reply = { status?: number; body?: unknown; headers?: Record<string, string> } | 'unreachable';

/** Answers requests in the place of the server, one after another. @returns the requests that came */
export function answering(
  ...replies: Reply[]
): { address: string; method: string; body: unknown; headers: Headers }[] {
  const seen: { address: string; method: string; body: unknown; headers: Headers }[] = [];
  vi.stubGlobal('fetch', async (address: string, { method = 'GET', body, headers }: RequestInit = {}) => {
    seen.push({
      address,
      method,
      body: body ? JSON.parse(String(body)) : null,
      headers: new Headers(headers),
    });
    const reply = replies[seen.length - 1] ?? replies.at(-1)!;
    if (reply === 'unreachable') throw new TypeError('no connection');
    return new Response(JSON.stringify(reply.body ?? { ok: true }), {
      status: reply.status ?? 200,
      headers: { 'content-type': 'application/json', ...reply.headers },
    });
  });
  return seen;
}

/** A problem as the server answers with it. */
export const problem = (status: number, code: string, more: object = {}): Reply => ({
  status,
  body: { type: '', title: '', detail: '', status, code, ...more },
});
