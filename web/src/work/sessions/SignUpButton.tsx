import type { Session } from '@unity-acre/contract/work';
import { headsBehind } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';
import { useHere, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';

const withoutPerson = (session: Session, personId: string): Session => ({
  ...session,
  signUps: session.signUps.filter((one) => one.personId !== personId),
  waiting: session.waiting.filter((one) => one.personId !== personId),
});

/** The session as it is expected to read once somebody has signed up, who waits where it is full. */
function withPerson(session: Session, personId: string, name: string): Session {
  const coming = headsBehind(session.signUps);
  if (coming >= session.capacity)
    return { ...session, waiting: [...session.waiting, { personId, name, headcount: 1 }] };
  const one = { personId, name, headcount: 1, byRota: false, offered: false, arrived: null, left: null };
  return { ...session, signUps: [...session.signUps, one] };
}

/** Signs oneself up for a session, or off. @param words what it says to sign up by */
export function SignUpButton({ session, words }: { session: Session; words?: string }) {
  const { t } = useTranslation('work');
  const { personId, name } = useHere();
  const coming = headsBehind(session.signUps);
  const signUp = useWrite('signUp', {
    say: ({ data }) =>
      t(data.waiting.some((one) => one.personId === personId) ? 'waits' : 'signedUp', {
        session: session.title,
      }),
    expect: (_, patch) => patch<Session>('sessions', session.id, (row) => withPerson(row, personId, name)),
  });
  const signOff = useWrite('signOff', {
    say: () => t('signedOff', { session: session.title }),
    expect: (_, patch) => patch<Session>('sessions', session.id, (row) => withoutPerson(row, personId)),
  });
  const mine = [...session.signUps, ...session.waiting].some((person) => person.personId === personId);
  const params = { id: session.id, personId };
  return mine ? (
    <Button look="quiet" disabled={signOff.isPending} onClick={() => signOff.mutate({ params })}>
      {t('signOff')}
    </Button>
  ) : (
    <Button disabled={signUp.isPending} onClick={() => signUp.mutate({ params, body: {} })}>
      {coming < session.capacity ? (words ?? t('signUp')) : t('wait')}
    </Button>
  );
}
