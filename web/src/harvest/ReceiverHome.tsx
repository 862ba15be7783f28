import type { Received } from '@unity-acre/contract/harvest';
import { weekStart } from '@unity-acre/core/calendar';
import { group, sum } from 'd3-array';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../crops/names.ts';
import { useHere, useMeasure, useSeasonList } from '../garden/index.ts';
import { useDates } from '../kit/dates.ts';
import { Bare, Loaded } from '../kit/screens/index.ts';

/** Weeks shown, the latest first. */
const WEEKS = 8;

type Given = Received['given'];

/** What a receiver comes for: what has come from the garden, when, and whom to write to. */
export function ReceiverHome() {
  const { garden } = useHere();
  const year = garden.seasonYear;
  const received = useSeasonList('received', year);
  const before = useSeasonList('received', year - 1);
  return (
    <Loaded of={received}>
      {({ given, contacts }) => (
        <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
          <div className="flex flex-col gap-8">
            <ByWeek given={given} year={year} />
            {/* Early in the year, what came in the last one is what is to be told. */}
            {given.length === 0 && before.data && before.data.given.length > 0 && (
              <ByWeek given={before.data.given} year={year - 1} />
            )}
          </div>
          <Contacts contacts={contacts} />
        </div>
      )}
    </Loaded>
  );
}

/** Week by week, each with its weight drawn to one scale and what it was. */
function ByWeek({ given, year }: { given: Given; year: number }) {
  const { t } = useTranslation(['harvest', 'log']);
  const dates = useDates();
  const names = useCropNames();
  const { weight } = useMeasure();
  const weeks = [...group(given, ({ on }) => weekStart(on))].slice(0, WEEKS);
  const most = Math.max(1, ...weeks.map(([, rows]) => sum(rows, ({ grams }) => grams)));
  return (
    <section className="furrow">
      <h2>{t('harvest:receiver.title', { year })}</h2>
      {weeks.length === 0 ? (
        <Bare title={t('harvest:receiver.none')}>{t('harvest:receiver.noneHint')}</Bare>
      ) : (
        <>
          <p className="text-ink-soft">
            {t('harvest:receiver.sum', { weight: weight(sum(given, ({ grams }) => grams)) })}
          </p>
          <ul>
            {weeks.map(([week, rows]) => {
              const grams = sum(rows, (row) => row.grams);
              const crops = [...new Set(rows.map(({ cropId }) => names.crop(cropId)))];
              return (
                <li key={week} className="border-line border-b py-2.5">
                  <p className="flex justify-between gap-4">
                    <span className="font-semibold">
                      {t('harvest:receiver.week', { day: dates.short(week) })}
                    </span>
                    <span>{grams > 0 ? weight(grams) : t('harvest:receiver.notWeighed')}</span>
                  </p>
                  <div aria-hidden className="my-1 h-2.5 bg-line">
                    <div className="h-full bg-leaf-mid" style={{ width: `${(grams / most) * 100}%` }} />
                  </div>
                  <p className="text-ink-soft text-sm">{crops.join(', ')}</p>
                </li>
              );
            })}
          </ul>
        </>
      )}
    </section>
  );
}

function Contacts({ contacts }: Pick<Received, 'contacts'>) {
  const { t } = useTranslation('harvest');
  return (
    <section className="furrow">
      <h2>{t('receiver.contact')}</h2>
      {contacts.length === 0 && <p className="text-ink-soft">{t('receiver.noContact')}</p>}
      <ul>
        {contacts.map(({ name, email }) => (
          <li key={email} className="flex min-h-target flex-wrap items-center gap-x-3">
            <span className="font-semibold">{name}</span>
            <a href={`mailto:${email}`} className="underline underline-offset-4">
              {email}
            </a>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-ink-soft text-sm">{t('receiver.promised')}</p>
    </section>
  );
}
