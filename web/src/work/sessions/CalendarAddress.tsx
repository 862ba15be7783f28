import { useTranslation } from 'react-i18next';
import { useList, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useNotices } from '../../kit/screens/index.ts';

/** The private address at which a calendar program finds one's own sessions. */
export function CalendarAddress() {
  const { t } = useTranslation(['rota', 'kit']);
  const exists = useList('calendarAddress').data?.exists ?? false;
  const make = useWrite('makeCalendarAddress', () => t('rota:calendar.made'));
  const revoke = useWrite('revokeCalendarAddress', () => t('rota:calendar.revoked'));
  // It is told once, when it is made.
  const address = exists ? make.data?.data.address : null;
  const show = useNotices((notices) => notices.show);
  return (
    <section className="furrow">
      <h2>{t('rota:calendar.title')}</h2>
      <p className="max-w-prose text-ink-soft">{t('rota:calendar.lead')}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {exists ? (
          <>
            {address ? (
              <>
                <input
                  readOnly
                  value={address}
                  aria-label={t('rota:calendar.title')}
                  onFocus={(event) => event.target.select()}
                  className="input max-w-xl"
                />
                <Button
                  onClick={async () => {
                    await navigator.clipboard?.writeText(address);
                    show({ text: t('kit:copied') });
                  }}
                >
                  {t('kit:copy')}
                </Button>
              </>
            ) : (
              <p className="w-full">{t('rota:calendar.exists')}</p>
            )}
            <Button onClick={() => make.mutate({ body: {} })}>{t('rota:calendar.again')}</Button>
            <Button look="danger" onClick={() => revoke.mutate({})}>
              {t('rota:calendar.revoke')}
            </Button>
          </>
        ) : (
          <Button onClick={() => make.mutate({ body: {} })}>{t('rota:calendar.make')}</Button>
        )}
      </div>
    </section>
  );
}
