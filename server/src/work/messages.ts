import type { Message } from '@unity-acre/contract/work';
import { Between } from 'typeorm';
import { Letters, timeOf } from '../crew/index.ts';
import type { Handlers } from '../http/handle.ts';
import { Refusal } from '../http/refusal.ts';
import { todayIn } from '../place/index.ts';
import { type MessageEntity, messages, sessions, signUps } from './entity.ts';
import { placesOf } from './sessionViews.ts';

/** Older messages are kept, and not shown. */
const SHOWN = 300;

const messageView = ({ gardenId: _, about: __, ...row }: MessageEntity): Message => row;

export const messageRoutes: Pick<Handlers, 'messages' | 'remind' | 'markSent'> = {
  messages: async ({ store, params: { gardenId } }) => {
    const rows = await store.manager.find(messages, {
      where: { gardenId },
      order: { at: 'DESC', id: 'DESC' },
      take: SHOWN,
    });
    return rows.map(messageView);
  },

  remind: ({ store, member: { garden }, body, change }) =>
    change('message.written', body.until, async (writing) => {
      const { manager } = writing;
      const today = todayIn(garden, store.clock);
      const soon = await manager.find(sessions, {
        where: { gardenId: garden.id, state: 'called', on: Between(today, body.until) },
        order: { on: 'ASC', from: 'ASC' },
      });
      const letters = await Letters.of(writing, garden, store.clock);
      let count = 0;
      for (const session of soon) {
        const about = timeOf(session);
        const earlier = await manager.findBy(messages, { sessionId: session.id, kind: 'reminder', about });
        const reminded = new Set(earlier.map(({ personId }) => personId));
        const { coming } = placesOf(await manager.findBy(signUps, { sessionId: session.id }));
        const expected = new Set([
          ...coming.map(({ personId }) => personId),
          ...(session.leadId ? [session.leadId] : []),
        ]);
        for (const personId of expected) {
          if (!reminded.has(personId) && (await letters.write('reminder', personId, session))) count += 1;
        }
      }
      return { messages: count };
    }),

  markSent: async ({ store, params, body, change }) => {
    const row = await store.manager.findOneBy(messages, params);
    if (!row) throw new Refusal('notFound');
    return change('message.saved', row.to, async (writing) =>
      messageView(row.sent === body.sent ? row : await writing.set(messages, row, body)),
    );
  },
};
