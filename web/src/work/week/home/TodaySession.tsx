import type { Session } from '@unity-acre/contract/work';
import { headsBehind } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';
import { ButtonLink } from '../../../kit/controls/index.ts';
import { useDates } from '../../../kit/dates.ts';

/** A session of today as it runs: who is there of those who come, and how far its work is. */
export function TodaySession({ session }: { session: Session }) {
  const { t } = useTranslation(['home', 'week', 'work']);
  const dates = useDates();
  const there = session.signUps.filter(({ arrived, left }) => arrived !== null && left === null);
  const done = session.work.filter(({ state }) => state === 'done').length;
  const parts = [
    { label: t('home:lead.there'), of: headsBehind(session.signUps), have: headsBehind(there) },
    { label: t('home:lead.work'), of: session.taskIds.length, have: done },
  ];
  return (
    <section className="border-2 border-ink bg-paper px-4 py-3">
      <h2>{t('home:lead.today')}</h2>
      <p className="font-bold font-title text-xl">{session.title}</p>
      <p className="text-ink-soft">
        {[
          dates.times(session.from, session.to),
          session.meetAt && t('week:home.meet', { place: session.meetAt }),
          session.lead && t('work:ledBy', { name: session.lead }),
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <dl className="mt-2 grid max-w-xl gap-2 sm:grid-cols-2">
        {parts.map(({ label, have, of }) => (
          <div key={label}>
            <dt className="text-sm">{label}</dt>
            <dd className="font-semibold">{t('home:lead.of', { have, of })}</dd>
            <dd aria-hidden className="mt-1 h-2.5 bg-line">
              <div className="h-full bg-leaf" style={{ width: `${of === 0 ? 0 : (have / of) * 100}%` }} />
            </dd>
          </div>
        ))}
      </dl>
      <ButtonLink look="act" className="mt-3" to={`/sessions/${session.id}`}>
        {t('home:lead.open')}
      </ButtonLink>
    </section>
  );
}
