import type { Me } from '@unity-acre/contract/crew';
import type { Database } from '../../database/store.ts';
import { gardens } from '../../place/entity.ts';
import { type AccountEntity, people } from '../entity.ts';

/** Sign-ins that a demo shows to everybody. */
export type DemoSignIns = Me['demoSignIns'];

/** Who an account is, and what this installation holds for them. */
export async function meOf(
  { manager }: Database,
  account: AccountEntity | null,
  demoSignIns: DemoSignIns = [],
): Promise<Me> {
  const persons = account ? await manager.findBy(people, { accountId: account.id }) : [];
  const names = new Map((await manager.find(gardens)).map((garden) => [garden.id, garden.name]));
  return {
    setUp: names.size > 0,
    demoSignIns,
    account: account && { email: account.email },
    memberships: persons.map((person) => ({
      gardenId: person.gardenId,
      garden: names.get(person.gardenId) ?? '',
      personId: person.id,
      name: person.name,
      role: person.role,
    })),
  };
}
