import type { Person } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';

/** How somebody gets in, and how they leave: a link for a new password, leaving, coming back, and having their data erased. */
export function PersonDoors({ person, onDone }: { person: Person; onDone(): void }) {
  const { t } = useTranslation('account');
  const dates = useDates();
  const { id, name, joined, retiredOn, version } = person;
  const link = useWrite('makePasswordLink');
  const retire = useWrite('retirePerson', ({ data }) =>
    t(data.retiredOn ? 'leaving.left' : 'leaving.back', { name }),
  );
  const erase = useWrite('erasePerson', () => t('leaving.erased'));
  const [isSure, setIsSure] = useState(false);
  const leave = (retired: boolean) =>
    retire.mutate({ params: { id }, ifMatch: version, body: { retired } }, { onSuccess: onDone });
  return (
    <section className="flex flex-col gap-3">
      <h3 className="border-line-strong border-b pb-0.5">{t('leaving.title')}</h3>
      {joined && (
        <div className="flex flex-wrap items-center gap-3">
          <Button onClick={() => link.mutate({ params: { id }, body: {} })}>{t('leaving.link')}</Button>
          {link.data && (
            <input
              readOnly
              value={link.data.data.address}
              aria-label={t('leaving.linkFor', { name })}
              onFocus={(event) => event.target.select()}
              className="input text-sm"
            />
          )}
          {link.data && <p className="text-ink-soft text-sm">{t('leaving.linkHint')}</p>}
        </div>
      )}
      {retiredOn === null ? (
        <>
          <Button className="self-start" onClick={() => leave(true)}>
            {t('leaving.go')}
          </Button>
          <p className="text-ink-soft text-sm">{t('leaving.hint')}</p>
        </>
      ) : (
        <>
          <p>{t('leaving.since', { day: dates.long(retiredOn) })}</p>
          <Button className="self-start" onClick={() => leave(false)}>
            {t('leaving.return')}
          </Button>
          <Button
            look="danger"
            className="self-start"
            onClick={() => {
              if (isSure) erase.mutate({ params: { id }, body: {} }, { onSuccess: onDone });
              else setIsSure(true);
            }}
          >
            {t(isSure ? 'leaving.eraseSure' : 'leaving.erase')}
          </Button>
          <p className="text-ink-soft text-sm">{t('leaving.eraseHint')}</p>
        </>
      )}
    </section>
  );
}
