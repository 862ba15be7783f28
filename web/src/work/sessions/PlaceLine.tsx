import type { Session } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useHere, useLeads, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';

/** Places that change hands: one's own to offer, another's to take, and where one stands on the waiting list. */
export function PlaceLine({ session }: { session: Session }) {
  const { t } = useTranslation('day');
  const { personId } = useHere();
  const leads = useLeads();
  const offer = useWrite('offerPlace');
  const take = useWrite('takePlace', () => t('place.taken', { title: session.title }));
  const mine = session.signUps.find((one) => one.personId === personId);
  const queue = session.waiting.findIndex((one) => one.personId === personId) + 1;
  const offered = session.signUps.filter((one) => one.offered && one.personId !== personId);
  return (
    <div className="flex flex-col items-start gap-1 text-sm">
      {queue > 0 && <p>{t('place.waiting', { n: queue })}</p>}
      {leads && session.waiting.length > 0 && (
        <p>
          {t('waitingList', { names: session.waiting.map(({ name }) => name || t('underAge')).join(', ') })}
        </p>
      )}
      {mine && (
        <p>
          {mine.offered && `${t('place.offering')} `}
          <Button
            look="quiet"
            onClick={() =>
              offer.mutate({ params: { id: session.id, personId }, body: { offered: !mine.offered } })
            }
          >
            {t(mine.offered ? 'place.keep' : 'place.offer')}
          </Button>
        </p>
      )}
      {offered.map((one) => (
        <p key={one.personId}>
          {t('place.offered', { name: one.name || t('underAge') })}{' '}
          {!mine && (
            <Button
              onClick={() => take.mutate({ params: { id: session.id, personId: one.personId }, body: {} })}
            >
              {t('place.take')}
              <span className="sr-only">: {one.name}</span>
            </Button>
          )}
        </p>
      ))}
    </div>
  );
}
