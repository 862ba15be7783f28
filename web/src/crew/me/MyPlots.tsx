import { useTranslation } from 'react-i18next';
import { useList, useWrite } from '../../garden/index.ts';
import { Button, Disclosure } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';

/** The plots one holds, with the agreement to read and to accept. Nothing for who holds none. */
export function MyPlots() {
  const { t } = useTranslation('plots');
  const dates = useDates();
  const plots = useList('myPlots').data ?? [];
  const rules = useList('crewRules').data;
  const accept = useWrite('acceptAgreement', ({ data }) => t('rulesOf.acceptedNow', { bed: data.bed }));
  if (plots.length === 0) return null;
  return (
    <section className="furrow max-w-xl">
      <h2>{t('rulesOf.mine')}</h2>
      {rules && rules.agreement !== '' && (
        <Disclosure className="my-2" summary={t('rulesOf.show')}>
          <p className="whitespace-pre-line border-straw border-l-8 bg-straw-soft px-4 py-2">
            {rules.agreement}
          </p>
        </Disclosure>
      )}
      <ul>
        {plots.map((plot) => (
          <li
            key={`${plot.bedId} ${plot.year}`}
            className="flex min-h-target flex-wrap items-center gap-3 border-line border-b py-1"
          >
            <span className="mr-auto font-semibold">
              {t('rulesOf.plot', { bed: plot.bed, year: plot.year })}
            </span>
            {plot.acceptedOn ? (
              <span className="text-leaf">{t('rulesOf.accepted', { day: dates.bare(plot.acceptedOn) })}</span>
            ) : (
              rules &&
              rules.agreement !== '' && (
                <Button
                  onClick={() => accept.mutate({ params: { bedId: plot.bedId, year: plot.year }, body: {} })}
                >
                  {t('rulesOf.accept')}
                </Button>
              )
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
