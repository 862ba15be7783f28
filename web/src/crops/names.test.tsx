import { render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { usePreferences } from '../preferences.ts';
import { allWords } from '../words/all.ts';
import { speakOf } from '../words/index.ts';
import { useCropNames } from './names.ts';

function Sowing() {
  const names = useCropNames();
  return <p>{`${names.crop('beet')}: ${names.method('beet', 'sowInPlace')}`}</p>;
}

afterEach(() => usePreferences.setState({ language: 'en' }));

it('names a method in the language whose words are there, while those of the one just chosen are on their way', async () => {
  await speakOf('season');
  usePreferences.setState({ language: 'es' });
  render(<Sowing />);
  expect(screen.getByText(`Remolacha: ${allWords.en.season.method.sowInPlace}`)).toBeTruthy();
});
