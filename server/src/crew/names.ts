import { type EntityManager, In } from 'typeorm';
import { rowWhere } from '../database/plainRows.ts';
import { sessions, signUps } from '../work/entity.ts';
import { crewRules, type PersonEntity, people } from './entity.ts';

/** What decides whether and how somebody is named. */
export type Named = Pick<PersonEntity, 'id' | 'name' | 'kind' | 'guardianId' | 'headcount' | 'retiredOn'>;

/**
 * Whose name somebody may read. Everything that names people asks here: lists, sessions, letters, records of a draw, the audit
 * trail.
 *
 * Who is under age is named to coordinators, to their guardian, and to who leads a session they have signed up for. Who has left
 * is named in full, or by initials where the garden wants that. Everybody else is named to everybody in the garden.
 */
export class Names {
  private constructor(
    private readonly reader: PersonEntity,
    private readonly persons: ReadonlyMap<string, Named>,
    /** those who have signed up for sessions the reader leads */
    private readonly led: ReadonlySet<string>,
    private readonly pastNames: 'full' | 'initials',
  ) {}

  static async for(manager: EntityManager, reader: PersonEntity): Promise<Names> {
    const { gardenId } = reader;
    // In nearly every list somebody is named: only what names need is read, as plain rows.
    const persons: Named[] = await manager
      .createQueryBuilder(people, 'person')
      .select('person.id', 'id')
      .addSelect('person.name', 'name')
      .addSelect('person.kind', 'kind')
      .addSelect('person.guardianId', 'guardianId')
      .addSelect('person.headcount', 'headcount')
      .addSelect('person.retiredOn', 'retiredOn')
      .where({ gardenId })
      .getRawMany();
    const hasMinors = persons.some(({ kind }) => kind === 'minor');
    const led =
      hasMinors && reader.role !== 'coordinator' ? await comingTo(manager, reader) : new Set<string>();
    const rules = await manager.findOneBy(crewRules, { id: gardenId });
    return new Names(reader, new Map(persons.map((one) => [one.id, one])), led, rules?.pastNames ?? 'full');
  }

  /** A word for whose names somebody may read: it is the same for two readers only where they may read the same. */
  static async audience(manager: EntityManager, { id, gardenId, role }: PersonEntity): Promise<string> {
    if (role === 'coordinator') return 'coordinators';
    const isOwn =
      (await rowWhere(manager, people, { gardenId, guardianId: id })) ??
      (await rowWhere(manager, sessions, { gardenId, leadId: id }));
    return isOwn ? id : 'others';
  }

  mayRead(person: Named): boolean {
    return (
      person.kind !== 'minor' ||
      this.reader.role === 'coordinator' ||
      person.guardianId === this.reader.id ||
      this.led.has(person.id)
    );
  }

  /** The name of somebody of the garden; empty where the reader may not know it, or they are gone. */
  of(personId: string | null): string {
    const person = personId === null ? undefined : this.persons.get(personId);
    if (!person || !this.mayRead(person)) return '';
    return person.retiredOn !== null && this.pastNames === 'initials' ? initialsOf(person.name) : person.name;
  }

  person(personId: string): Named | undefined {
    return this.persons.get(personId);
  }

  /** Everybody of the garden whose name the reader may know. */
  readable(): Named[] {
    return [...this.persons.values()].filter((person) => this.mayRead(person));
  }

  /** True where a text is the name of somebody that the reader may not know. */
  hides(text: string): boolean {
    return [...this.persons.values()].some((person) => person.name === text && this.of(person.id) !== text);
  }
}

async function comingTo(manager: EntityManager, { id, gardenId }: PersonEntity): Promise<Set<string>> {
  const led = await manager.find(sessions, { where: { gardenId, leadId: id }, select: { id: true } });
  const coming = await manager.findBy(signUps, {
    sessionId: In(led.map((session) => session.id)),
    comes: true,
  });
  return new Set(coming.map(({ personId }) => personId));
}

/** "Ann Marie Poole" as "A. M. P." */
const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .flatMap((part) => ([...part][0] ? [`${[...part][0]}.`] : []))
    .join(' ');
