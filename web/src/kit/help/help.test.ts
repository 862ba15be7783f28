import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { chapters, handbook } from './handbook.ts';
import { helpAt, helpKeys, termNames } from './helpKeys.ts';
import en from './words.en.json' with { type: 'json' };
import es from './words.es.json' with { type: 'json' };

const docs = join(import.meta.dirname, '../../../../docs');

describe('how things work', () => {
  it.each(helpKeys)('is said of %s, in whole sentences of both languages', (key) => {
    for (const { screen } of [en, es]) expect(screen[key]).toMatch(/^\S.+[.?]$/s);
  });

  it('is said of a bed and not of the layout by the same rule, and of no screen at the door', () => {
    expect(helpAt('/ground/layout')).toBe('layout');
    expect(helpAt('/ground/01856aa0-c82f-7000-8000-00ee647f76b5')).toBe('bed');
    expect(helpAt('/sign-in')).toBeNull();
  });

  it('explains each word of the trade in both languages, as many lines of each screen in one as in the other', () => {
    for (const name of termNames) {
      expect(en.term[name].says).not.toBe('');
      expect(es.term[name].says).not.toBe('');
    }
    for (const key of Object.keys(en.screen) as (keyof typeof en.screen)[]) {
      const lines = en.screen[key].split('\n').length;
      expect(es.screen[key].split('\n'), key).toHaveLength(lines);
      expect(lines, key).toBeLessThanOrEqual(6);
    }
  });
});

describe('the handbook', () => {
  it('is made of the words as they are: `npm run handbook` makes it anew', () => {
    expect(readFileSync(join(docs, 'handbook.en.md'), 'utf8')).toBe(handbook(en));
    expect(readFileSync(join(docs, 'handbook.es.md'), 'utf8')).toBe(handbook(es));
  });

  it('has twelve pages, each with a picture that is there', () => {
    expect(chapters).toHaveLength(12);
    for (const { picture } of chapters)
      expect(existsSync(join(docs, 'screenshots', `${picture}.png`)), picture).toBe(true);
  });
});
