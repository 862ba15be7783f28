import { type EntryKind, entryKinds } from '@unity-acre/core/log';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useLeads, useSeasonList } from '../garden/index.ts';
import { HarvestTotals } from '../harvest/HarvestTotals.tsx';
import { Select, Tabs } from '../kit/controls/index.ts';
import { Field } from '../kit/forms/index.ts';
import { Screen } from '../kit/screens/index.ts';
import { ChangeList } from './ChangeList.tsx';
import { EntryList } from './EntryList.tsx';

type View = 'entries' | 'changes';

/** What happened in the garden, and who changed what in its book. */
export default function LogBook() {
  const { t } = useTranslation('log');
  const leads = useLeads();
  const { garden } = useHere();
  const [view, setView] = useState<View>('entries');
  const year = garden.seasonYear;
  const totals = useSeasonList('harvestTotals', year);
  return (
    <Screen title={t('title')}>
      <HarvestTotals year={year} />
      {/* Fetched at once, and shown in its place: what stands above would push it down. */}
      <section className="furrow" hidden={totals.isPending}>
        <Tabs
          label={t('title')}
          value={view}
          onChange={(next) => setView(next as View)}
          parts={[
            { value: 'entries', label: t('view.entries'), content: <Entries /> },
            ...(leads
              ? [{ value: 'changes' as const, label: t('view.changes'), content: <ChangeList /> }]
              : []),
          ]}
        />
      </section>
    </Screen>
  );
}

/** What happened, all of it or of one kind. */
function Entries() {
  const { t } = useTranslation('log');
  const [kind, setKind] = useState<EntryKind | ''>('');
  return (
    <div className="flex flex-col gap-3">
      <Field layout="beside" label={t('show')}>
        {(props) => (
          <Select
            {...props}
            className="w-44"
            value={kind}
            onChange={(value) => setKind(value as EntryKind | '')}
            options={[
              { value: '', label: t('everything') },
              ...entryKinds.map((one) => ({ value: one, label: t(`kind.${one}`) })),
            ]}
          />
        )}
      </Field>
      <EntryList {...(kind ? { kind } : {})} />
    </div>
  );
}
