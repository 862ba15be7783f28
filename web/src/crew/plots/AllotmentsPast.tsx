import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { listKey, useHere } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { useDates } from '../../kit/dates.ts';

/** How the plots of a season were given out, with the record of each draw for anybody to take away and do again. */
export function AllotmentsPast({ year }: { year: number }) {
  const { t } = useTranslation('plots');
  const dates = useDates();
  const { garden } = useHere();
  const { data: list = [] } = useQuery({
    queryKey: listKey(garden.id, 'allotments', year),
    queryFn: async () => (await ask('allotments', { params: { gardenId: garden.id, year } })).data,
  });
  if (list.length === 0) return null;
  return (
    <section className="furrow">
      <h2>{t('howGiven', { year })}</h2>
      <ul>
        {list.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-6 border-line border-b py-1.5">
            <span className="mr-auto">
              {t('pastLine', {
                when: dates.moment(one.at),
                method: t(one.method),
                count: one.places.filter(({ bedId }) => bedId !== null).length,
              })}
            </span>
            {one.record && (
              <a
                className="inline-flex min-h-target items-center underline underline-offset-4"
                download={`draw-${one.year}.json`}
                href={`data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(one.record, null, 2))}`}
              >
                {t('record')}
              </a>
            )}
          </li>
        ))}
      </ul>
      <p className="text-ink-soft text-sm">{t('recordHint')}</p>
    </section>
  );
}
