import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { type DataColumn, DataTable } from './index.ts';

interface Bed {
  name: string;
  area: number | null;
}
const beds: Bed[] = [
  { name: 'Plot 10', area: 3 },
  { name: 'Plot 2', area: null },
  { name: 'Bed 7', area: 12 },
];
const columns: DataColumn<Bed>[] = [
  {
    key: 'name',
    heading: 'Bed',
    by: ({ name }) => name,
    show: ({ name }) => name,
    total: 'All',
    isText: true,
  },
  { key: 'area', heading: 'Area', by: ({ area }) => area, show: ({ area }) => area ?? '–', total: '15' },
  { key: 'open', heading: 'Open', show: ({ name }) => <button type="button">{`Open ${name}`}</button> },
];

it('is sorted by the heading that is pressed, numbers in names by their size, and what is not known last', async () => {
  render(<DataTable label="Beds" rows={beds} columns={columns} keyOf={({ name }) => name} />);
  const names = () =>
    within(screen.getAllByRole('rowgroup')[1]!)
      .getAllByRole('rowheader')
      .map((cell) => cell.textContent);
  expect(names()).toEqual(['Plot 10', 'Plot 2', 'Bed 7']);
  await userEvent.click(screen.getByRole('button', { name: 'Bed' }));
  expect(names()).toEqual(['Bed 7', 'Plot 2', 'Plot 10']);
  expect(screen.getByRole('columnheader', { name: 'Bed' }).getAttribute('aria-sort')).toBe('ascending');
  await userEvent.click(screen.getByRole('button', { name: 'Bed' }));
  expect(names()).toEqual(['Plot 10', 'Plot 2', 'Bed 7']);
  for (const _ of ['once', 'again']) {
    await userEvent.click(screen.getByRole('button', { name: 'Area' }));
    expect(names().at(-1)).toBe('Plot 2');
  }
  expect(screen.getByText('15')).toBeTruthy();
});
