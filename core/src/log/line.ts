import { addDays, type Day, isDay, weekday } from '../calendar/index.ts';
import type { Crop } from '../crops/index.ts';
import { type AmountUnit, isWeightUnit, parseNumber, type UnitSystem } from '../units/index.ts';
import type { Destination } from './entry.ts';
import { type EntryField, type EntryKind, entryRow } from './kinds.ts';
import {
  bedWords,
  dayWords,
  degreeWords,
  destinationWords,
  fillers,
  soilFillers,
  soilWords,
  towards,
  unitWords,
  verbWords,
  weekdayWords,
} from './words.ts';

/** What the reader of a line must know of the garden. */
export interface LineContext {
  today: Day;
  crops: readonly Pick<Crop, 'id' | 'name' | 'alsoCalled'>[];
  beds: readonly { id: string; name: string }[];
  units: UnitSystem;
  /** plantings still in the ground or to come, of which a line may speak */
  plantings: readonly { id: string; cropId: string; bedId: string }[];
}

export type LinePart = 'kind' | 'amount' | 'crop' | 'bed' | 'destination' | 'day';

/** What a line was understood to say. */
export interface LineReading {
  kind: EntryKind;
  on: Day;
  amount: { value: number; unit: AmountUnit } | null;
  cropId: string | null;
  bedId: string | null;
  destination: Destination | null;
  /** the planting it belongs to, where only one fits */
  plantingId: string | null;
  /** words that were not understood as anything else */
  note: string;
  /** plantings that fit, where more than one does */
  candidates: string[];
  /** what must still be said before it can be saved */
  missing: ('crop' | 'bed' | 'amount' | 'planting' | 'words')[];
  /** the understood stretches of the line, in order: where each stands and what it was taken for */
  parts: { from: number; to: number; as: LinePart }[];
}

/** Lower case without accents, of the same length as the text, so that positions hold. */
export function plain(text: string): string {
  return [...text]
    .map((char) => {
      const base = char.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
      return base.length === char.length ? base : char;
    })
    .join('');
}

/** A line being read: stretches already understood are blanked so that nothing is read twice. */
class Line {
  #rest: string;
  readonly parts: LineReading['parts'] = [];
  readonly #original: string;

  constructor(text: string) {
    this.#original = text;
    this.#rest = plain(text);
  }

  take(pattern: RegExp, as: LinePart): RegExpExecArray | null {
    const match = pattern.exec(this.#rest);
    if (!match) return null;
    const from = match.index;
    const to = from + match[0].length;
    this.#rest = this.#rest.slice(0, from) + '\u0000'.repeat(to - from) + this.#rest.slice(to);
    this.parts.push({ from, to, as });
    return match;
  }

  /** Takes the named groups of a pattern, whatever stands between them. */
  takeGroups(pattern: RegExp, as: Readonly<Record<string, LinePart>>): Record<string, string> | null {
    const match = new RegExp(pattern, `d${pattern.flags}`).exec(this.#rest);
    if (!match?.groups) return null;
    for (const [name, part] of Object.entries(as)) {
      const [from, to] = match.indices!.groups![name]!;
      this.#rest = this.#rest.slice(0, from) + '\u0000'.repeat(to - from) + this.#rest.slice(to);
      this.parts.push({ from, to, as: part });
    }
    return match.groups;
  }

  /** Takes the longest of the words that stands in the line, alone. */
  takeWord(words: Iterable<string>, as: LinePart): string | null {
    // Few of the garden's many words stand in a line at all: only those are looked for as words of their own.
    const there = [...words].filter((word) => word !== '' && this.#rest.includes(word));
    for (const word of there.sort((a, b) => b.length - a.length)) {
      if (this.take(wordPattern(word), as)) return word;
    }
    return null;
  }

  /** What nobody understood, in the writer's own letters. */
  leftover(): string {
    const kept = [...this.#rest].map((char, i) => (char === '\u0000' ? ' ' : this.#original[i])).join('');
    const words = kept.split(/\s+/).filter((word) => word !== '');
    const bare = words.map((word) => plain(word).replace(/[.,:;]/g, ''));
    const meant = bare.filter((word) => word !== '' && !fillers.has(word));
    return meant.length === 0 ? '' : words.join(' ').replace(/^[,;:.\s]+/, '');
  }
}

const escaped = (word: string): string => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const wordPattern = (word: string): RegExp =>
  new RegExp(`(?<![\\p{L}\\p{N}])${escaped(word)}(?![\\p{L}\\p{N}])`, 'u');

/**
 * Reads a line as one would write it on a clipboard: "3.2 lb lettuce bed 7 to pantry". English and Spanish words are
 * understood alike. Never fails: what is not understood is left over as a note, what is lacking is listed.
 */
export function readLine(text: string, context: LineContext): LineReading {
  const line = new Line(text);
  const on = takeDay(line, context.today);
  const bedId = takeBed(line, context.beds);
  const destination = takeDestination(line);
  const cropId = takeCrop(line, context.crops);
  const soil = takeSoilReading(line, context.units);
  const amount = soil ?? takeAmount(line);
  const verb = soil ? null : line.takeWord(Object.keys(verbWords), 'kind');
  const note = line.leftover();

  const harvested = destination !== null || (amount !== null && (isWeightUnit(amount.unit) || note === ''));
  const kind: EntryKind = soil
    ? 'soilReading'
    : verb
      ? verbWords[verb]!
      : harvested
        ? 'harvest'
        : 'observation';

  const fitting = context.plantings.filter(
    (planting) =>
      (cropId === null || planting.cropId === cropId) &&
      (bedId === null || planting.bedId === bedId) &&
      (cropId !== null || bedId !== null),
  );
  const only = fitting.length === 1 ? fitting[0]! : null;
  const reading = {
    kind,
    on,
    amount,
    cropId: cropId ?? only?.cropId ?? null,
    bedId: bedId ?? only?.bedId ?? null,
    destination,
    plantingId: only?.id ?? null,
    note,
    candidates: fitting.length > 1 ? fitting.map((planting) => planting.id) : [],
    parts: line.parts.sort((a, b) => a.from - b.from),
  };
  return { ...reading, missing: missingOf(reading) };
}

function takeDay(line: Line, today: Day): Day {
  const iso = line.take(/(?<!\d)\d{4}-\d{2}-\d{2}(?!\d)/, 'day');
  if (iso && isDay(iso[0])) return iso[0];
  const word = line.takeWord([...Object.keys(dayWords), ...Object.keys(weekdayWords)], 'day');
  if (!word) return today;
  const back = dayWords[word] ?? (weekday(today) - weekdayWords[word]! + 7) % 7;
  return addDays(today, -back);
}

/** Words by which things of the garden are meant are made once for each list of them. */
function onceFor<List extends object>(make: (list: List) => Map<string, string>) {
  const made = new WeakMap<List, Map<string, string>>();
  return (list: List): Map<string, string> => {
    const words = made.get(list) ?? make(list);
    made.set(list, words);
    return words;
  };
}

const wordsOfBeds = onceFor((beds: LineContext['beds']) => {
  const byWord = new Map<string, string>();
  for (const bed of beds) {
    const name = plain(bed.name);
    byWord.set(name, bed.id);
    const number = /^(\p{L}+) (\d+\p{L}?)$/u.exec(name);
    // "Bed 7" may be written with any word for a bed, unless another bed has that very name.
    if (number && bedWords.includes(number[1]!)) {
      for (const word of bedWords) {
        const alias = `${word} ${number[2]}`;
        if (!byWord.has(alias) && !beds.some((other) => plain(other.name) === alias))
          byWord.set(alias, bed.id);
      }
    }
  }
  return byWord;
});

function takeBed(line: Line, beds: LineContext['beds']): string | null {
  const byWord = wordsOfBeds(beds);
  const word = line.takeWord(byWord.keys(), 'bed');
  return word ? byWord.get(word)! : null;
}

const wordsOfCrops = onceFor((crops: LineContext['crops']) => {
  const byWord = new Map<string, string>();
  for (const crop of crops) {
    for (const word of [crop.name.en, crop.name.es, ...crop.alsoCalled.en, ...crop.alsoCalled.es]) {
      if (!byWord.has(plain(word))) byWord.set(plain(word), crop.id);
    }
  }
  return byWord;
});

function takeCrop(line: Line, crops: LineContext['crops']): string | null {
  const byWord = wordsOfCrops(crops);
  const word = line.takeWord(byWord.keys(), 'crop');
  return word ? byWord.get(word)! : null;
}

function takeDestination(line: Line): Destination | null {
  const phrases = new Map<string, Destination>();
  for (const [word, destination] of Object.entries(destinationWords)) {
    for (const toward of towards) phrases.set(`${toward} ${word}`, destination);
  }
  const phrase = line.takeWord(phrases.keys(), 'destination');
  return phrase ? phrases.get(phrase)! : null;
}

function takeAmount(line: Line): LineReading['amount'] {
  const number = '[-−]?(?:\\d[\\d.,]*(?:\\s+\\d+/\\d+|\\s*[½¼¾⅓⅔⅛])?|\\d+/\\d+|[½¼¾⅓⅔⅛])';
  const units = Object.keys(unitWords)
    .sort((a, b) => b.length - a.length)
    .join('|');
  const weighed = line.take(new RegExp(`(${number})\\s*(${units})(?![\\p{L}\\p{N}])`, 'u'), 'amount');
  if (weighed) {
    const value = parseNumber(weighed[1]!.replace(/[.,]$/, ''));
    return value === null ? null : { value, unit: unitWords[weighed[2]!]! };
  }
  const counted = line.take(new RegExp(`(?<![\\p{L}\\p{N}])(${number})(?![\\p{L}\\p{N}])`, 'u'), 'amount');
  const value = counted ? parseNumber(counted[1]!.replace(/[.,]$/, '')) : null;
  return value === null ? null : { value, unit: 'piece' };
}

/** "soil 52 °F", "soil temp is 11 C", "52 F soil", "suelo a 11 grados"; a bare number is in the garden's units. */
function takeSoilReading(line: Line, units: UnitSystem): LineReading['amount'] {
  const gap = '[\\s\\u0000:=]*';
  const edge = '(?![\\p{L}\\p{N}])';
  const degrees = (isNeeded: boolean) =>
    `(?<degrees>[-−]?\\d+(?:[.,]\\d+)?(?:\\s*(?:${degreeWords.join('|')}))${isNeeded ? '' : '?'})${edge}`;
  const soil = `(?<soil>(?<![\\p{L}\\p{N}])(?:${soilWords.join('|')})${edge})`;
  const said = `(?:(?:${soilFillers.join('|')})${edge}${gap})*`;
  const as = { soil: 'kind', degrees: 'amount' } as const;
  const found =
    line.takeGroups(new RegExp(`${soil}${gap}${said}${degrees(false)}`, 'u'), as) ??
    line.takeGroups(new RegExp(`(?<![\\p{L}\\p{N}])${degrees(true)}${gap}${said}${soil}`, 'u'), as);
  const read = found && /^[-−\d.,]+/.exec(found.degrees!);
  const value = read ? parseNumber(read[0]) : null;
  if (!found || value === null) return null;
  const scale = /[cf]$/.exec(found.degrees!)?.[0];
  const own = units === 'imperial' ? 'degF' : 'degC';
  return { value, unit: scale === 'c' ? 'degC' : scale === 'f' ? 'degF' : own };
}

/** What a kind of entry needs and the line does not say, a crop before the bed of its planting. */
function missingOf(reading: Omit<LineReading, 'missing'>): LineReading['missing'] {
  const { needs } = entryRow(reading.kind);
  const lacks = (field: EntryField) => needs.includes(field) && !reading[field];
  const missing: LineReading['missing'] = [];
  if (lacks('note')) missing.push('words');
  if (lacks('bedId')) missing.push('bed');
  if ((needs.includes('plantingId') || needs.includes('cropId')) && !reading.cropId) missing.push('crop');
  if (lacks('amount')) missing.push('amount');
  if (lacks('plantingId')) missing.push(reading.bedId === null ? 'bed' : 'planting');
  return missing;
}
