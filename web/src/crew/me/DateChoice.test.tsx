import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { useDates } from '../../kit/dates.ts';
import { usePreferences } from '../../preferences.ts';
import { InGarden } from '../../testing/garden.tsx';
import { allWords } from '../../words/all.ts';
import { speakOf } from '../../words/index.ts';
import { DateChoice } from './DateChoice.tsx';

const Shown = () => <p>{`shown: ${useDates().short('2026-05-23')}`}</p>;

beforeEach(() => speakOf('account'));
afterEach(() => usePreferences.getState().choose({ dateStyle: null }));

it('writes dates as the garden does, until somebody chooses otherwise', async () => {
  render(
    <InGarden>
      <DateChoice />
      <Shown />
    </InGarden>,
  );
  // The garden counts in feet.
  expect(screen.getByText('shown: Sat, May 23')).toBeTruthy();
  await userEvent.click(screen.getByRole('radio', { name: 'Wed 20 May, 14:30' }));
  expect(screen.getByText('shown: Sat 23 May')).toBeTruthy();
  await userEvent.click(screen.getByRole('radio', { name: allWords.en.account.dates.garden }));
  expect(screen.getByText('shown: Sat, May 23')).toBeTruthy();
});
