import { QueryClient } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { whenSignedOut } from '../kit/ask.ts';
import { useNotices } from '../kit/screens/index.ts';
import { answering, InGarden, problem, type Reply } from '../testing/garden.tsx';
import { allWords } from '../words/all.ts';
import { useWrite } from './index.ts';

const w = allWords.en;

afterEach(() => {
  vi.unstubAllGlobals();
  useNotices.setState({ list: [] });
});

function SaveTool() {
  const save = useWrite('saveTool', ({ data }) => `${data.name} is in the shed.`);
  return (
    <button
      type="button"
      onClick={() => save.mutate({ params: { id: 'tool-1' }, body: { name: 'hoe', count: 2 }, ifMatch: 3 })}
    >
      Save
    </button>
  );
}

const key = ['garden', 'garden-1', 'tools'];

function SaveExpecting() {
  const save = useWrite('saveTool', {
    expect: ({ body }, patch) =>
      patch<{ id: string; count: number }>('tools', 'tool-1', (tool) => ({ ...tool, count: body!.count })),
  });
  return (
    <button
      type="button"
      onClick={() => save.mutate({ params: { id: 'tool-1' }, body: { name: 'hoe', count: 2 } })}
    >
      Save
    </button>
  );
}

/** A request that never arrives by itself. */
class UnderWay {
  static last: UnderWay | null = null;
  readonly upload = {};
  onabort: () => void = () => undefined;
  constructor() {
    UnderWay.last = this;
  }
  open(): void {}
  setRequestHeader(): void {}
  send(): void {}
  abort(): void {
    this.onabort();
  }
}

function SendRecord() {
  const send = useWrite('importStation');
  const [stopper, setStopper] = useState(() => new AbortController());
  return (
    <>
      <button
        type="button"
        onClick={() => {
          const next = new AbortController();
          setStopper(next);
          send.mutate({
            query: { units: 'metric', name: '' } as never,
            file: { content: new Blob(['DATE,TMIN']), signal: next.signal },
          });
        }}
      >
        Send
      </button>
      <button type="button" onClick={() => stopper.abort()}>
        Stop
      </button>
    </>
  );
}

async function press(...replies: Reply[]) {
  const seen = answering(...replies);
  render(
    <InGarden>
      <SaveTool />
    </InGarden>,
  );
  await userEvent.click(await screen.findByText('Save'));
  return seen;
}

const saved: Reply = {
  body: { id: 'tool-1', version: 4, name: 'hoe', count: 2 },
  headers: { 'x-change': 'change-1', 'x-touched': 'tool' },
};

describe('a write', () => {
  it('says what it did, with an Undo, and names the version it was made from and the client', async () => {
    const seen = await press(saved);
    expect(await screen.findByText('hoe is in the shed.')).toBeTruthy();
    expect(seen[0]).toMatchObject({ method: 'PUT', address: '/api/gardens/garden-1/tools/tool-1' });
    expect(seen[0]!.headers.get('if-match')).toBe('"3"');
    expect(seen[0]!.headers.get('x-client')).toBeTruthy();
    await userEvent.click(screen.getByText(w.kit.undo));
    expect(await screen.findByText(w.kit.undone)).toBeTruthy();
    expect(seen[1]).toMatchObject({ method: 'POST', address: '/api/gardens/garden-1/changes/change-1/undo' });
  });

  it.each([
    ['there is no connection', 'unreachable', w.kit.unreachable.detail],
    ['somebody changed the same first', problem(409, 'stale'), w.problem.problem.stale.detail],
    [
      'a field is wrong',
      problem(422, 'invalid', { errors: [{ field: 'count', code: 'required', message: '' }] }),
      w.fields.required,
    ],
    ['it is wrong in no field', problem(422, 'invalid'), w.problem.problem.invalid.detail],
    ['there were too many', problem(429, 'tooManyWrites'), w.problem.problem.tooManyWrites.detail],
    ['the server broke', problem(500, 'unexpected'), w.problem.problem.unexpected.detail],
  ] as [string, Reply, string][])('says so where %s', async (_, reply, words) => {
    await press(reply);
    expect(await screen.findByText(words)).toBeTruthy();
  });

  it('says so though the screen it was made on has gone', async () => {
    answering('unreachable');
    const { rerender } = render(
      <InGarden>
        <SaveTool />
      </InGarden>,
    );
    const button = await screen.findByText('Save');
    await userEvent.click(button);
    rerender(<InGarden>nothing</InGarden>);
    expect(await screen.findByText(w.kit.unreachable.detail)).toBeTruthy();
  });

  it('waits where the sign-in has run out, and goes on once somebody has signed in again', async () => {
    let signIn: (isBack: boolean) => void = () => undefined;
    const end = whenSignedOut(() => new Promise((resolve) => (signIn = resolve)));
    const seen = await press(problem(401, 'signedOut'), saved);
    await vi.waitFor(() => expect(seen).toHaveLength(1));
    expect(useNotices.getState().list).toEqual([]);
    signIn(true);
    expect(await screen.findByText('hoe is in the shed.')).toBeTruthy();
    expect(seen.map(({ body }) => body)).toEqual([seen[0]!.body, seen[0]!.body]);
    end();
  });

  it('says that it was not done where nobody signs in again', async () => {
    const end = whenSignedOut(async () => false);
    await press(problem(401, 'signedOut'));
    expect(await screen.findByText(w.problem.problem.signedOut.detail)).toBeTruthy();
    end();
  });

  it('has only those lists asked for again that are made of what it touched', async () => {
    const client = new QueryClient();
    const asked: string[] = [];
    for (const list of ['tools', 'beds', 'changes', 'people']) {
      client.setQueryData(['garden', 'garden-1', list], []);
      client.getQueryCache().find({ queryKey: ['garden', 'garden-1', list] });
    }
    answering(saved);
    render(
      <InGarden client={client}>
        <SaveTool />
      </InGarden>,
    );
    await userEvent.click(await screen.findByText('Save'));
    await screen.findByText('hoe is in the shed.');
    for (const { queryKey, state } of client.getQueryCache().getAll())
      if (state.isInvalidated) asked.push(String(queryKey[2]));
    expect(asked.sort()).toEqual(['changes', 'tools']);
  });

  it('shows at once what is expected of it, and takes that back when it is refused', async () => {
    let refuse: (reply: Response) => void = () => undefined;
    vi.stubGlobal('fetch', () => new Promise((resolve) => (refuse = resolve)));
    const client = new QueryClient();
    const tools = (count: number) => [
      { id: 'tool-1', count },
      { id: 'tool-2', count: 7 },
    ];
    client.setQueryData(key, tools(1));
    render(
      <InGarden client={client}>
        <SaveExpecting />
      </InGarden>,
    );
    await userEvent.click(await screen.findByText('Save'));
    await vi.waitFor(() => expect(client.getQueryData(key)).toEqual(tools(2)));
    await vi.waitFor(() => {
      refuse(new Response(JSON.stringify({ code: 'full' }), { status: 409 }));
      expect(client.getQueryData(key)).toEqual(tools(1));
    });
  });

  it('says that a file was stopped on its way, and not that the garden is out of reach', async () => {
    vi.stubGlobal('XMLHttpRequest', UnderWay);
    render(
      <InGarden>
        <SendRecord />
      </InGarden>,
    );
    await userEvent.click(await screen.findByText('Send'));
    await userEvent.click(await screen.findByText('Stop'));
    expect(await screen.findByText(w.kit.stopped.detail)).toBeTruthy();
    expect(screen.queryByText(w.kit.unreachable.detail)).toBeNull();
    await userEvent.click(await screen.findByText('Send'));
    UnderWay.last!.onabort();
    expect(await screen.findByText(w.kit.unreachable.detail)).toBeTruthy();
  });
});
