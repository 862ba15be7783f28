import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { allWords } from '../../words/all.ts';
import { Select } from '../controls/index.ts';
import { Refused } from '../refused.ts';
import { FootedForm, Sheet } from '../screens/index.ts';
import { Field, Form, useBodyForm } from './index.ts';

const w = allWords.en.kit;
const schema = z.object({ name: z.string().min(1, 'required'), note: z.string(), kind: z.string() });
type Row = { name: string; note: string; kind: string; version: number };
const row: Row = { name: 'Bed 7', note: '', kind: 'raised', version: 1 };
const valuesOf = ({ name, note, kind }: Row) => ({ name, note, kind });

type Send = (body: object, ifMatch: number | undefined) => Promise<unknown>;

function BedForm({ bed, send }: { bed: Row; send: Send }) {
  const form = useBodyForm({
    draft: 'bed 7',
    schema,
    defaults: valuesOf(bed),
    version: bed.version,
    toValues: valuesOf,
    toBody: (values) => values,
    send,
  });
  return (
    <FootedForm of={form} onClose={() => undefined}>
      <Field label="Name" name="name">
        {(props) => <input {...props} {...form.register('name')} />}
      </Field>
      <Field label="Note" name="note">
        {(props) => <input {...props} {...form.register('note')} />}
      </Field>
      <Field label="Kind" name="kind">
        {(props) => (
          <Select
            {...props}
            {...form.control('kind')}
            options={[
              { value: 'raised', label: 'Raised bed' },
              { value: 'ground', label: 'In the ground' },
            ]}
          />
        )}
      </Field>
    </FootedForm>
  );
}

const accepts = () =>
  vi.fn<Send>(async (body, ifMatch) => ({ data: { ...body, version: (ifMatch ?? 0) + 1 } }));
const refuses = (problem: object) =>
  vi.fn<Send>(async () => {
    throw new Refused(problem as never);
  });
const save = () => userEvent.click(screen.getByText(w.save));
const typed = (label: string) => (screen.getByLabelText(label) as HTMLInputElement).value;
async function write(label: string, text: string) {
  await userEvent.clear(screen.getByLabelText(label));
  await userEvent.type(screen.getByLabelText(label), text);
}

describe('a form of a row', () => {
  it('is saved again and again, each time from the version that the time before made', async () => {
    const send = accepts();
    render(<BedForm bed={row} send={send} />);
    for (const note of ['one', 'two', 'three']) {
      await write('Note', note);
      await save();
    }
    await vi.waitFor(() => expect(send).toHaveBeenCalledTimes(3));
    expect(send.mock.calls.map(([body, ifMatch]) => [(body as Row).note, ifMatch])).toEqual([
      ['one', 1],
      ['two', 2],
      ['three', 3],
    ]);
  });

  it('keeps what is typed when somebody else changes another field, and shows their change', async () => {
    const send = accepts();
    const { rerender } = render(<BedForm bed={row} send={send} />);
    await write('Note', 'Needs paint');
    rerender(<BedForm bed={{ ...row, name: 'Bed 8', version: 2 }} send={send} />);
    expect([typed('Note'), typed('Name')]).toEqual(['Needs paint', 'Bed 8']);
    await save();
    await vi.waitFor(() =>
      expect(send).toHaveBeenCalledWith({ name: 'Bed 8', note: 'Needs paint', kind: 'raised' }, 2),
    );
  });

  it('shows fields that both changed under their own names, and saves none of them undecided', async () => {
    const send = accepts();
    const { rerender } = render(<BedForm bed={row} send={send} />);
    await write('Note', 'Mine');
    rerender(<BedForm bed={{ ...row, note: 'Painted', version: 2 }} send={send} />);
    const clash = within(await screen.findByRole('alert'));
    expect(clash.getByText('Note')).toBeTruthy();
    expect(clash.getByText('Mine')).toBeTruthy();
    expect(clash.getByText('Painted')).toBeTruthy();
    await save();
    expect(send).not.toHaveBeenCalled();
    await userEvent.click(clash.getByText(w.clash.keep));
    await save();
    await vi.waitFor(() => expect(send).toHaveBeenCalledWith({ ...valuesOf(row), note: 'Mine' }, 2));
  });

  it('takes theirs where that is chosen', async () => {
    const send = accepts();
    const { rerender } = render(<BedForm bed={row} send={send} />);
    await write('Note', 'Mine');
    rerender(<BedForm bed={{ ...row, note: 'Painted', version: 2 }} send={send} />);
    await userEvent.click(await screen.findByText(w.clash.take));
    expect(typed('Note')).toBe('Painted');
  });

  it('brings a newer version that the server shows into the form: what can stand stands, the rest is asked', async () => {
    const current = { ...row, name: 'Bed 9', note: 'Painted', kind: 'ground', version: 5 };
    const send = accepts();
    send.mockRejectedValueOnce(new Refused({ code: 'stale', current } as never));
    render(<BedForm bed={row} send={send} />);
    await write('Note', 'Mine');
    await save();
    expect(await screen.findByText(w.clash.title)).toBeTruthy();
    expect(typed('Name')).toBe('Bed 9');
    expect(screen.getByLabelText('Kind').textContent).toBe('In the ground');
    await userEvent.click(screen.getByText(w.clash.keep));
    await save();
    await vi.waitFor(() =>
      expect(send).toHaveBeenLastCalledWith({ name: 'Bed 9', note: 'Mine', kind: 'ground' }, 5),
    );
  });

  it('asks the same though the newer version comes twice: with the refusal and with the lists', async () => {
    const current = { ...row, note: 'Painted', version: 2 };
    const send = accepts();
    send.mockRejectedValueOnce(new Refused({ code: 'stale', current } as never));
    const { rerender } = render(<BedForm bed={row} send={send} />);
    await write('Note', 'Mine');
    await save();
    rerender(<BedForm bed={current} send={send} />);
    rerender(<BedForm bed={{ ...current, name: 'Bed 9', version: 3 }} send={send} />);
    expect(await screen.findByText('Painted')).toBeTruthy();
    expect(screen.getByText(w.clash.title)).toBeTruthy();
    expect(typed('Name')).toBe('Bed 9');
  });

  it('puts errors beside their fields, and lists those of no field of its own', async () => {
    render(
      <BedForm
        bed={row}
        send={refuses({
          code: 'invalid',
          errors: [
            { field: 'name', code: 'nameTaken', message: '' },
            { field: 'points.3', code: 'tooFar', message: '' },
          ],
        })}
      />,
    );
    await save();
    const { nameTaken, tooFar } = allWords.en.fields as Record<string, string>;
    expect(await screen.findByText(nameTaken!)).toBeTruthy();
    expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true');
    expect(await screen.findByText(tooFar!)).toBeTruthy();
  });

  it('keeps what is typed when it is refused', async () => {
    render(<BedForm bed={row} send={refuses({ code: 'unreachable' })} />);
    await write('Note', 'From a dead spot');
    await save();
    expect(await screen.findByText(w.unreachable.title)).toBeTruthy();
    expect(typed('Note')).toBe('From a dead spot');
  });

  it('has what is typed again after the page was loaded anew, also over a row that changed meanwhile', async () => {
    const { unmount } = render(<BedForm bed={row} send={accepts()} />);
    await write('Note', 'Half a sent');
    unmount();
    render(<BedForm bed={{ ...row, name: 'Bed 8', version: 2 }} send={accepts()} />);
    expect(await screen.findByText(w.restored.note)).toBeTruthy();
    expect([typed('Note'), typed('Name')]).toEqual(['Half a sent', 'Bed 8']);
    await userEvent.click(screen.getByText(w.restored.over));
    expect(typed('Note')).toBe('');
  });

  it('goes on in the words in which what was saved is read again, with what is typed while it is being saved', async () => {
    let answer: (told: unknown) => void = () => undefined;
    const send = vi.fn<Send>(() => new Promise((resolve) => (answer = resolve)));
    const { rerender } = render(<BedForm bed={row} send={send} />);
    await write('Name', 'bed seven');
    await save();
    await vi.waitFor(() => expect(send).toHaveBeenCalledOnce());
    await write('Note', 'typed meanwhile');
    const saved = { ...row, name: 'Bed Seven', version: 2 };
    // One's own row comes with the lists before the write has ended.
    rerender(<BedForm bed={saved} send={send} />);
    answer({ data: saved });
    await vi.waitFor(() => expect(typed('Name')).toBe('Bed Seven'));
    expect(typed('Note')).toBe('typed meanwhile');
    expect(screen.queryByText(w.clash.title)).toBeNull();
    await save();
    await vi.waitFor(() => expect(send).toHaveBeenCalledTimes(2));
    expect(send.mock.calls[1]).toEqual([{ name: 'Bed Seven', note: 'typed meanwhile', kind: 'raised' }, 2]);
  });

  it('keeps no draft of what others changed while nothing was typed, nor of what was put back as it was', async () => {
    sessionStorage.clear();
    const { rerender } = render(<BedForm bed={row} send={accepts()} />);
    rerender(<BedForm bed={{ ...row, note: 'Net is torn', version: 2 }} send={accepts()} />);
    await vi.waitFor(() => expect(typed('Note')).toBe('Net is torn'));
    expect(sessionStorage).toHaveLength(0);
    await userEvent.type(screen.getByLabelText('Name'), 'x');
    expect(sessionStorage).toHaveLength(1);
    await userEvent.type(screen.getByLabelText('Name'), '{Backspace}');
    expect(sessionStorage).toHaveLength(0);
  });

  it('keeps no draft of what was saved', async () => {
    const { unmount } = render(<BedForm bed={row} send={accepts()} />);
    await write('Note', 'Saved');
    await save();
    await vi.waitFor(() => expect(Object.keys(sessionStorage)).toEqual([]));
    unmount();
    render(<BedForm bed={row} send={accepts()} />);
    expect(screen.queryByText(w.restored.note)).toBeNull();
  });
});

function Paper({ onClose }: { onClose(): void }) {
  return (
    <Sheet open title="Bed 7" onClose={onClose}>
      <BedForm bed={row} send={accepts()} />
    </Sheet>
  );
}

describe('a sheet with a form', () => {
  it('closes at once where nothing is typed', async () => {
    const onClose = vi.fn();
    render(<Paper onClose={onClose} />);
    await userEvent.click(screen.getByText(w.cancel));
    expect(onClose).toHaveBeenCalled();
  });

  it.each([w.cancel, 'Escape'])(
    'asks before it is closed over something typed (%s), and stays',
    async (way) => {
      const onClose = vi.fn();
      render(<Paper onClose={onClose} />);
      await write('Note', 'Typed');
      if (way === 'Escape') await userEvent.keyboard('{Escape}');
      else await userEvent.click(screen.getByText(way));
      await userEvent.click(await screen.findByText(w.leave.stay));
      expect(onClose).not.toHaveBeenCalled();
      expect(typed('Note')).toBe('Typed');
    },
  );

  it('is left with what is typed on it when that is wished, which is then forgotten', async () => {
    const onClose = vi.fn();
    render(<Paper onClose={onClose} />);
    await write('Note', 'Typed');
    await userEvent.click(screen.getByText(w.cancel));
    await userEvent.click(await screen.findByText(w.leave.go));
    expect(onClose).toHaveBeenCalled();
    expect(Object.keys(sessionStorage)).toEqual([]);
  });
});

/** A form with a sheet in it that holds a form of its own. */
function Outer({ send, children }: { send: Send; children: React.ReactNode }) {
  const form = useBodyForm({
    draft: null,
    schema: z.object({ outer: z.string() }),
    defaults: { outer: 'kept' },
    toBody: (values) => values,
    send,
  });
  return (
    <Form of={form}>
      <Sheet open title="Another" onClose={() => undefined}>
        {children}
      </Sheet>
    </Form>
  );
}

it('is sent alone from a sheet that was opened from within another form', async () => {
  const [inner, outer] = [accepts(), accepts()];
  render(
    <Outer send={outer}>
      <BedForm bed={row} send={inner} />
    </Outer>,
  );
  await userEvent.type(screen.getByLabelText('Note'), 'Sunny');
  await save();
  expect(inner).toHaveBeenCalledTimes(1);
  expect(outer).not.toHaveBeenCalled();
});
