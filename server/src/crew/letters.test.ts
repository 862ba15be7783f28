import en from '@unity-acre/contract/crew/messages.en.json' with { type: 'json' };
import es from '@unity-acre/contract/crew/messages.es.json' with { type: 'json' };
import { messageKinds, messageRow } from '@unity-acre/core/crew';
import { describe, expect, it } from 'vitest';
import { filled } from './letters.ts';

/** What every message may say, and what one about a session may. */
const always = { garden: 'Alder Falls Community Garden', who: 'Kim' };
const ofSession = {
  title: 'Saturday work morning',
  day: 'Wednesday 23 September',
  from: '09:00',
  to: '11:30',
  meetAt: 'The shed',
  lead: 'Tobias Wren',
  note: 'Bring gloves.',
  why: 'Heavy rain.',
};
const said = {
  before: 'Wednesday 16 September',
  bed: 'Plot 12',
  list: 'tomatoes',
  gone: 'none',
  by: 'Saturday 3 October',
};

describe.each(Object.entries({ en, es }))('in %s', (_, words) => {
  it.each(messageKinds)('%s: says what its row gives, all of it and nothing else', (kind) => {
    const { says, hasSession } = messageRow(kind);
    const { name, ...letter } = words[kind];
    expect(name).not.toBe('');
    const given: Record<string, string> = {
      ...always,
      ...(hasSession && ofSession),
      ...Object.fromEntries(says.map((blank) => [blank, said[blank]])),
    };
    const blanks = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map(([, blank]) => blank!);
    const used = new Set(Object.values(letter).flatMap(blanks));
    for (const blank of used) expect(Object.keys(given), `${kind}: ${blank}`).toContain(blank);
    for (const blank of says) expect([...used], kind).toContain(blank);
    for (const text of Object.values(letter)) expect(filled(text, given)).not.toMatch(/\{|\}/);
  });

  // Two parts of a text message at the most: GSM 03.38 has 153 signs in each.
  it.each(messageKinds)('%s: a text is one text', (kind) => {
    expect(filled(words[kind].text, { ...always, ...ofSession, ...said }).length).toBeLessThanOrEqual(306);
  });
});

it('leaves out a sentence that has nothing to say', () => {
  expect(filled('One. For {{who}}. Two.', {})).toBe('One. Two.');
});
