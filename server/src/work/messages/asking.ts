import type { HelpLetter } from '@unity-acre/contract/work';
import type { EntityManager } from 'typeorm';
import { In } from 'typeorm';
import { people } from '../../crew/entity.ts';
import { Letters, timeOf } from '../../crew/index.ts';
import type { Handlers } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { todayIn } from '../../place/index.ts';
import { messages, type SessionEntity, sessions } from '../entity.ts';

/** Who was asked to come to sessions at the times at which they are now, by session. */
export async function askedOf(
  manager: EntityManager,
  rows: readonly SessionEntity[],
): Promise<Map<string, Set<string>>> {
  const times = new Map(rows.map((row) => [row.id, timeOf(row)]));
  const written = await manager
    .createQueryBuilder(messages, 'message')
    .select('message.sessionId', 'sessionId')
    .addSelect('message.personId', 'personId')
    .addSelect('message.about', 'about')
    .where({ sessionId: In([...times.keys()]), kind: 'help' })
    .getRawMany<{ sessionId: string; personId: string; about: string }>();
  const asked = new Map<string, Set<string>>();
  for (const { sessionId, personId, about } of written) {
    if (times.get(sessionId) !== about) continue;
    asked.set(sessionId, (asked.get(sessionId) ?? new Set()).add(personId));
  }
  return asked;
}

const helpView = ({ personId, to, channel, language, subject, body }: HelpLetter): HelpLetter => ({
  ...{ personId, to, channel, language, subject, body },
});

export const askingRoutes: Pick<Handlers, 'askForHelp'> = {
  askForHelp: async ({ store, member: { garden }, params, body, change }) => {
    const session = await store.manager.findOneBy(sessions, params);
    if (session?.state !== 'called') throw new Refusal('notFound');
    if (session.on < todayIn(garden, store.clock)) throw invalid('on', 'inThePast');
    const personIds = [...new Set(body.personIds)];
    const known = await store.manager.countBy(people, { gardenId: garden.id, id: In(personIds) });
    if (known !== personIds.length) throw invalid('personIds', 'unknownPerson');
    const asked = (await askedOf(store.manager, [session])).get(session.id);
    // Sent again, it writes to nobody twice.
    const toAsk = personIds.filter((id) => !asked?.has(id));
    if (!body.send) {
      const letters = await Letters.drafting(store.manager, garden, store.clock);
      const drafts: HelpLetter[] = [];
      for (const id of toAsk) {
        const letter = await letters.compose('help', id, { session });
        if (letter) drafts.push(helpView(letter));
      }
      return drafts;
    }
    return change('message.written', session.title, async (writing) => {
      const letters = await Letters.of(writing, garden, store.clock);
      const sent: HelpLetter[] = [];
      for (const id of toAsk) {
        const letter = await letters.write('help', id, { session });
        if (letter) sent.push(helpView(letter));
      }
      return sent;
    });
  },
};
