import type { Session } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import type { Refused } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { useHere, useWrite } from '../kit/garden.ts';
import { useNotices } from '../kit/notices.ts';
import { useRefusalWords } from '../kit/useRefusalWords.ts';

/** Signs oneself up for a session, or off. */
export function SignUpButton({ session }: { session: Session }) {
  const { t } = useTranslation('work');
  const { personId } = useHere();
  const show = useNotices((notices) => notices.show);
  const signUp = useWrite('signUp', ({ data }) =>
    t(data.waiting.some((one) => one.personId === personId) ? 'waits' : 'signedUp', {
      session: session.title,
    }),
  );
  const signOff = useWrite('signOff', () => t('signedOff', { session: session.title }));
  const mine = [...session.signUps, ...session.waiting].some((person) => person.personId === personId);
  const coming = session.signUps.reduce((sum, { headcount }) => sum + headcount, 0);
  const params = { id: session.id, personId };
  const words = useRefusalWords();
  const onError = (refused: Refused) => show({ tone: 'trouble', text: words(refused) });
  return mine ? (
    <Button look="quiet" disabled={signOff.isPending} onClick={() => signOff.mutate({ params }, { onError })}>
      {t('signOff')}
    </Button>
  ) : (
    <Button disabled={signUp.isPending} onClick={() => signUp.mutate({ params, body: {} }, { onError })}>
      {t(coming < session.capacity ? 'signUp' : 'wait')}
    </Button>
  );
}
