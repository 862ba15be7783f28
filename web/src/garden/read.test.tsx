import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useRead } from './index.ts';

function Shown({ of, answer, enabled = true }: { of: string; answer: Promise<string>; enabled?: boolean }) {
  const { data, isPending, isError } = useRead({ queryKey: [of], queryFn: () => answer, enabled });
  return <p>{data ?? (isError ? 'failed' : isPending ? 'waiting' : 'nothing')}</p>;
}

const never = new Promise<string>(() => undefined);
const shown = () => screen.getByRole('paragraph').textContent;

const show = (client: QueryClient, props: Parameters<typeof Shown>[0]) =>
  render(
    <QueryClientProvider client={client}>
      <Shown {...props} />
    </QueryClientProvider>,
  );

const seen: string[] = [];
function Years({ year }: { year: string }) {
  const { data } = useRead({
    queryKey: [year],
    queryFn: () => (year === '2026' ? Promise.resolve('peas') : never),
  });
  seen.push(`${year} ${data}`);
  return <p>{data ?? 'waiting'}</p>;
}

describe('a read', () => {
  it('waits, shows what comes, and shows at once what is changed by hand', async () => {
    const client = new QueryClient();
    let come: (answer: string) => void = () => undefined;
    show(client, { of: 'beds', answer: new Promise((resolve) => (come = resolve)) });
    expect(shown()).toBe('waiting');
    await act(async () => come('Bed 7'));
    expect(await screen.findByText('Bed 7')).toBeTruthy();
    await act(async () => client.setQueryData(['beds'], 'Bed 8'));
    expect(await screen.findByText('Bed 8')).toBeTruthy();
  });

  it('shows what is known already without waiting, and says when it cannot be had', async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    client.setQueryData(['beds'], 'Bed 7');
    show(client, { of: 'beds', answer: never });
    expect(shown()).toBe('Bed 7');
    const failing = Promise.reject(new Error('out of reach'));
    cleanup();
    show(client, { of: 'tools', answer: failing });
    expect(await screen.findByText('failed')).toBeTruthy();
  });

  it('asks for nothing while it is not to, and watches no more once it is gone', async () => {
    const client = new QueryClient();
    const { unmount } = show(client, { of: 'beds', answer: Promise.resolve('Bed 7'), enabled: false });
    expect(shown()).toBe('waiting');
    expect(client.isFetching()).toBe(0);
    unmount();
    expect(
      client
        .getQueryCache()
        .find({ queryKey: ['beds'] })!
        .getObserversCount(),
    ).toBe(0);
  });

  it('shows nothing of one list where another is asked for', async () => {
    const client = new QueryClient();
    const page = (year: string) => (
      <QueryClientProvider client={client}>
        <Years year={year} />
      </QueryClientProvider>
    );
    const { rerender } = render(page('2026'));
    await screen.findByText('peas');
    rerender(page('2027'));
    await screen.findByText('waiting');
    expect(seen).not.toContain('2027 peas');
  });
});
