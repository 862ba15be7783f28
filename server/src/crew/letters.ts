import en from '@unity-acre/contract/crew/messages.en.json' with { type: 'json' };
import es from '@unity-acre/contract/crew/messages.es.json' with { type: 'json' };
import { dateStyleOf, datesIn } from '@unity-acre/contract/wording';
import type { Day } from '@unity-acre/core/calendar';
import type { MessageBlank, MessageKind, messageRows } from '@unity-acre/core/crew';
import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { Writing } from '../database/change.ts';
import type { Clock } from '../database/store.ts';
import type { GardenEntity } from '../place/entity.ts';
import { type MessageEntity, messages, type SessionEntity } from '../work/entity.ts';
import { type PersonEntity, people } from './entity.ts';
import { Names } from './names.ts';

const words = { en, es };

/** A list in the garden's own words, in the reader's, or of sessions. */
type List = string | readonly SessionEntity[] | ((language: 'en' | 'es') => string);

/** How each blank of a message is given. */
interface Blanks extends Record<MessageBlank, unknown> {
  before: Day;
  bed: string;
  list: List;
  gone: readonly SessionEntity[];
  by: Day | null;
}

type Rows = typeof messageRows;

/** What a message of a kind is written with: its session where it is about one, and each blank of its row. */
export type Said<Kind extends MessageKind> = {
  [One in Kind]: {
    [Blank in Rows[One]['says'][number]]: Blanks[Blank];
  } & (Rows[One]['hasSession'] extends true ? { session: SessionEntity } : unknown);
}[Kind];

/** Fills the {{blanks}} of a text. A sentence whose blank is empty is left out. */
export function filled(text: string, blanks: Record<string, string>): string {
  return text
    .split(/(?<=[.?]) /)
    .filter((sentence) => ![...sentence.matchAll(/\{\{(\w+)\}\}/g)].some(([, blank]) => !blanks[blank!]))
    .join(' ')
    .replace(/\{\{(\w+)\}\}/g, (_, blank) => blanks[blank]!)
    .trim();
}

/** The day and hour of a session as it stands: one that was moved is written about anew. */
export const timeOf = ({ on, from }: Pick<SessionEntity, 'on' | 'from'>): string => `${on} ${from}`;

/** Ends a sentence that somebody wrote, unless they did. */
const ended = (text: string): string => (text === '' || /[.!?…]$/.test(text) ? text : `${text}.`);

/** A message before it is kept. */
type Letter = Omit<MessageEntity, 'id' | 'gardenId' | 'version'> & { personId: string };

/** Writes to people: in their own language, by mail, text or a call to be made, to a guardian for who is under age. */
export class Letters {
  private constructor(
    private readonly manager: EntityManager,
    private readonly writing: Writing | null,
    private readonly garden: GardenEntity,
    private readonly persons: ReadonlyMap<string, PersonEntity>,
    private readonly at: string,
  ) {}

  static of(writing: Writing, garden: GardenEntity, clock: Clock): Promise<Letters> {
    return Letters.made(writing.manager, writing, garden, clock);
  }

  /** For letters that are only looked at. */
  static drafting(
    manager: EntityManager,
    garden: GardenEntity,
    clock: Clock,
  ): Promise<Pick<Letters, 'compose'>> {
    return Letters.made(manager, null, garden, clock);
  }

  private static async made(
    manager: EntityManager,
    writing: Writing | null,
    garden: GardenEntity,
    clock: Clock,
  ): Promise<Letters> {
    const rows = await manager.findBy(people, { gardenId: garden.id });
    const at = new Date(clock.now()).toISOString();
    return new Letters(manager, writing, garden, new Map(rows.map((row) => [row.id, row])), at);
  }

  /** @returns what was written; null where there is nobody to write to */
  async write<Kind extends MessageKind>(
    kind: Kind,
    personId: string,
    said: Said<Kind>,
  ): Promise<Letter | null> {
    const letter = await this.compose(kind, personId, said);
    if (letter) await this.writing!.put(messages, newId(), letter, undefined);
    return letter;
  }

  /** What would be written to somebody; null where there is nobody to write to. */
  async compose<Kind extends MessageKind>(
    kind: Kind,
    personId: string,
    said: Said<Kind>,
  ): Promise<Letter | null> {
    const says: Partial<Blanks> & { session?: SessionEntity } = said;
    const session = says.session ?? null;
    const person = this.persons.get(personId);
    const reader = person?.kind === 'minor' ? this.persons.get(person.guardianId ?? '') : person;
    if (!person || !reader || person.retiredOn !== null || reader.retiredOn !== null) return null;
    const { language } = reader;
    const { longInYear: day, time } = datesIn(language, dateStyleOf(this.garden.units));
    const each = (list: List = '') =>
      typeof list === 'string'
        ? list
        : typeof list === 'function'
          ? list(language)
          : list.map(({ title, on, from }) => `${title}, ${day(on)}, ${time(from)}`).join('; ');
    const names = await Names.for(this.manager, reader);
    const lead = names.of(session?.leadId ?? null);
    const blanks = {
      garden: this.garden.name,
      // Who is under age is named to their guardian.
      who: reader === person ? '' : person.name,
      title: session?.title ?? '',
      day: session ? day(session.on) : '',
      from: time(session?.from ?? ''),
      to: time(session?.to ?? ''),
      meetAt: session?.meetAt ?? '',
      lead: lead === reader.name ? '' : lead,
      note: ended(session?.note ?? ''),
      why: ended(session?.why ?? ''),
      before: says.before ? day(says.before) : '',
      bed: says.bed ?? '',
      list: each(says.list),
      gone: each(says.gone),
      by: says.by ? day(says.by) : '',
    };
    const { subject, mail, text } = words[language][kind];
    const isText = reader.channel === 'text' && reader.phone !== '';
    const isMail =
      !isText && reader.channel !== 'phone' && reader.channel !== 'none' && reader.email !== null;
    return {
      at: this.at,
      kind,
      personId: person.id,
      to: reader.name,
      // A channel without an address leaves it to somebody to call or say.
      channel: isText ? 'text' : isMail ? 'mail' : reader.channel === 'none' ? 'none' : 'phone',
      address: isMail ? reader.email! : reader.phone,
      language,
      subject: filled(subject, blanks),
      body: filled(isText ? text : mail, blanks),
      sessionId: session?.id ?? null,
      about: session ? timeOf(session) : '',
      sent: isText || isMail,
    };
  }
}
