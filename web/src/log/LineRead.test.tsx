import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { LineContext } from '@unity-acre/core/log';
import { beforeEach, expect, it, vi } from 'vitest';
import { LineRead } from './LineRead.tsx';

const known = vi.hoisted(() => ({ context: null as LineContext | null }));
vi.mock('./useLineContext.ts', () => ({ useLineContext: () => known.context }));
vi.mock('./EntryForm.tsx', () => ({
  EntryForm: ({ start }: { start: { plantingId: string | null } }) => (
    <>
      <p>{`planting ${start.plantingId}`}</p>
      <input aria-label="Note" />
    </>
  ),
}));

const before: LineContext = {
  today: '2026-05-20',
  units: 'imperial',
  crops: [{ id: 'kale', name: { en: 'kale', es: 'col rizada' }, alsoCalled: { en: [], es: [] } }],
  beds: [{ id: 'b7', name: 'Bed 7' }],
  plantings: [],
};
const after: LineContext = { ...before, plantings: [{ id: 'p1', cropId: 'kale', bedId: 'b7' }] };
const line = <LineRead text="3 lb kale bed 7" onSaved={() => undefined} />;

beforeEach(() => {
  known.context = before;
});

it('is read again by what comes in late', () => {
  const { rerender } = render(line);
  expect(screen.getByText('planting null')).toBeTruthy();
  known.context = after;
  rerender(<LineRead text="3 lb kale bed 7" onSaved={() => undefined} />);
  expect(screen.getByText('planting p1')).toBeTruthy();
});

it('leaves the form as it is once somebody is at it, until the line itself is changed', async () => {
  const { rerender } = render(line);
  await userEvent.type(screen.getByLabelText('Note'), 'small leaves');
  known.context = after;
  rerender(<LineRead text="3 lb kale bed 7" onSaved={() => undefined} />);
  expect((screen.getByLabelText('Note') as HTMLInputElement).value).toBe('small leaves');
  rerender(<LineRead text="4 lb kale bed 7" onSaved={() => undefined} />);
  expect(screen.getByText('planting p1')).toBeTruthy();
});
