import type { Message } from '@unity-acre/contract/work';
import type { Handlers } from '../../http/handle.ts';
import { Refusal } from '../../http/refusal.ts';
import { type MessageEntity, messages } from '../entity.ts';
import { writeReminders } from './reminders.ts';

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
    change('message.written', body.until, async (writing) => ({
      messages: await writeReminders(writing, garden, store.clock, body.until),
    })),

  markSent: async ({ store, params, body, change }) => {
    const row = await store.manager.findOneBy(messages, params);
    if (!row) throw new Refusal('notFound');
    return change('message.saved', row.to, async (writing) =>
      messageView(row.sent === body.sent ? row : await writing.set(messages, row, body)),
    );
  },
};
