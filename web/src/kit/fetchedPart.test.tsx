import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type ComponentType, useState } from 'react';
import { beforeEach, expect, it, vi } from 'vitest';
import { allWords } from '../words/all.ts';
import { fetchedPart } from './fetchedPart.tsx';
import { useNotices } from './notices.ts';

const said = () => useNotices.getState().list.map(({ text }) => text);
const List = ({ name }: { name: string }) => <p>{name}</p>;

type Load = () => Promise<ComponentType<{ name: string }>>;
const partOf = (load: Load) => fetchedPart(load, <p>waiting</p>);

/** A page with a field, and a part that opens over it. */
function Page({ part: Part }: { part: ReturnType<typeof partOf> }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <input aria-label="Note" />
      <button type="button" onFocus={Part.fetch} onClick={() => setOpen(true)}>
        Open
      </button>
      {isOpen && <Part name="The list" onUnfetched={() => setOpen(false)} />}
    </>
  );
}

/** What opens its part anew in the very moment it is put away. */
function Reopened({ part: Part }: { part: ReturnType<typeof partOf> }) {
  const [isOpen, setOpen] = useState(true);
  const onUnfetched = () => {
    setOpen(false);
    setOpen(true);
  };
  return isOpen && <Part name="The list" onUnfetched={onUnfetched} />;
}

beforeEach(() => useNotices.setState({ list: [] }));

it('leaves the page as it is where the part cannot be fetched, says so, and can be asked again', async () => {
  const load = vi.fn().mockRejectedValue(new TypeError('no connection'));
  render(<Page part={partOf(load)} />);
  await userEvent.type(screen.getByLabelText('Note'), 'mulched');
  await userEvent.click(screen.getByText('Open'));
  await vi.waitFor(() => expect(said()).toEqual([allWords.en.kit.unfetched]));
  await vi.waitFor(() => expect(screen.queryByText('waiting')).toBeNull());
  expect((screen.getByLabelText('Note') as HTMLInputElement).value).toBe('mulched');
  load.mockResolvedValue(List);
  await userEvent.click(screen.getByText('Open'));
  expect(await screen.findByText('The list')).toBeTruthy();
});

it('is fetched again where it is asked for while what asked before is being put away', async () => {
  let unfetched: () => void = () => undefined;
  const load = vi.fn<Load>();
  load.mockImplementationOnce(
    () => new Promise((_, reject) => (unfetched = () => reject(new TypeError('no')))),
  );
  load.mockResolvedValue(List);
  const Part = partOf(load);
  render(<Reopened part={Part} />);
  unfetched();
  expect(await screen.findByText('The list')).toBeTruthy();
});

it('says nothing where somebody only came near', async () => {
  const load = vi.fn().mockRejectedValue(new TypeError('no connection'));
  render(<Page part={partOf(load)} />);
  screen.getByText('Open').focus();
  await vi.waitFor(() => expect(load).toHaveBeenCalledTimes(1));
  expect(said()).toEqual([]);
});

it('is there at once where it was fetched before', async () => {
  render(<Page part={partOf(async () => List)} />);
  screen.getByText('Open').focus();
  await vi.waitFor(() => undefined);
  await userEvent.click(screen.getByText('Open'));
  expect(screen.getByText('The list')).toBeTruthy();
});
