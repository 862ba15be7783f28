import type { MyPlot } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useList, useWrite } from '../../garden/index.ts';
import { Button, Disclosure } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';

/** The plots one holds, with the agreement to read and to accept. */
export function MyPlots({ plots }: { plots: readonly MyPlot[] }) {
  const { t } = useTranslation('plots');
  const dates = useDates();
  const rules = useList('crewRules').data;
  const accept = useWrite('acceptAgreement', ({ data }) => t('rulesOf.acceptedNow', { bed: data.bed }));
  return (
    <section className="furrow max-w-xl">
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
            <Link to={`/ground/${plot.bedId}`} className="underline underline-offset-4">
              {t('mine.open', { bed: plot.bed })}
            </Link>
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
