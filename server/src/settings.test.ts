import { expect, it } from 'vitest';
import { readSettings } from './settings.ts';

it('has defaults that run', () => {
  expect(readSettings({})).toMatchObject({ port: 8080, host: '127.0.0.1', publicUrl: null });
});

it('takes the public address without its last slash', () => {
  expect(readSettings({ PUBLIC_URL: 'https://garden.example.org/' }).publicUrl).toBe(
    'https://garden.example.org',
  );
});

it.each([
  [{ PORT: 'eighty' }, /PORT=eighty: give a whole number/],
  [{ PORT: '70000' }, /PORT/],
  [{ PUBLIC_URL: 'garden' }, /PUBLIC_URL=garden: give the full address/],
  [{ HOST: '' }, /HOST/],
])('names the setting %o that is wrong', (environment, message) => {
  expect(() => readSettings(environment)).toThrow(message);
});
