/** What a message may say besides its garden, the person it is for and its session. */
export const messageBlanks = ['before', 'bed', 'list', 'gone', 'by'] as const;
export type MessageBlank = (typeof messageBlanks)[number];

/** A kind of message to one person. */
export interface MessageRow {
  /** true where it is about one work session: its day and hours, its place, its lead and its notes */
  hasSession: boolean;
  /** what else it says; whoever writes one gives all of it */
  says: readonly MessageBlank[];
}

const ofSession = <Says extends MessageBlank[]>(...says: Says) => ({ hasSession: true, says }) as const;

/** All kinds of messages. Another kind is another row here, and its words (messages.LANGUAGE.json). */
export const messageRows = {
  reminder: ofSession(),
  /** which sessions they are expected at (`list`) and no longer expected at (`gone`) */
  rota: { hasSession: false, says: ['list', 'gone'] },
  placeFree: ofSession(),
  /** `before`: the day it was to be on */
  calledOff: ofSession('before'),
  moved: ofSession('before'),
  /** asks somebody who is free to come */
  help: ofSession(),
  /** `list`: the beds to cover */
  frostCall: ofSession('list'),
  /** `list`: what was seen at the plot; `by`: when it is looked at again */
  firstNotice: { hasSession: false, says: ['bed', 'list', 'by'] },
  secondNotice: { hasSession: false, says: ['bed', 'list', 'by'] },
  release: { hasSession: false, says: ['bed'] },
  plotGiven: { hasSession: false, says: ['bed', 'by'] },
} as const satisfies Record<string, MessageRow>;

export type MessageKind = keyof typeof messageRows;
export const messageKinds = Object.keys(messageRows) as [MessageKind, ...MessageKind[]];

/** The row of a kind. */
export const messageRow = (kind: MessageKind): MessageRow => messageRows[kind];
