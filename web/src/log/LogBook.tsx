import { type EntryKind, entryKinds } from '@unity-acre/core/log';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { HarvestTotals } from '../harvest/HarvestTotals.tsx';
import { useHere, useLeads } from '../kit/garden.ts';
import { seasonYearOf } from '../season/year.ts';
import { ChangeList } from './ChangeList.tsx';
import { EntryList } from './EntryList.tsx';

type View = 'entries' | 'changes';

/** What happened in the garden, and who changed what in its book. */
export default function LogBook() {
  const { t } = useTranslation('log');
  const leads = useLeads();
  const { garden } = useHere();
  const [view, setView] = useState<View>('entries');
  const [kind, setKind] = useState<EntryKind | ''>('');
  const tab =
    'min-h-target border-transparent border-b-4 px-3 aria-pressed:border-blossom aria-pressed:font-semibold';
  return (
    <div className="flex flex-col gap-6">
      <h1>{t('title')}</h1>
      <HarvestTotals year={seasonYearOf(garden, garden.today)} />
      <section className="furrow">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <div className="flex">
            {(['entries', 'changes'] as const)
              .filter((name) => name === 'entries' || leads)
              .map((name) => (
                <button
                  key={name}
                  type="button"
                  aria-pressed={view === name}
                  onClick={() => setView(name)}
                  className={tab}
                >
                  {t(`view.${name}`)}
                </button>
              ))}
          </div>
          {view === 'entries' && (
            <label className="flex items-center gap-2">
              <span className="text-sm">{t('show')}</span>
              <select
                className="input w-44"
                value={kind}
                onChange={(event) => setKind(event.target.value as EntryKind | '')}
              >
                <option value="">{t('everything')}</option>
                {entryKinds.map((one) => (
                  <option key={one} value={one}>
                    {t(`kind.${one}`)}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
        {view === 'changes' ? <ChangeList /> : <EntryList {...(kind ? { kind } : {})} />}
      </section>
    </div>
  );
}
