import type { SeedLot } from '@unity-acre/contract/crops';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  datesAlone,
  useCoordinates,
  useHere,
  useList,
  useSeasonList,
  YearSelect,
} from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { Loaded, Screen, Sheet } from '../../kit/screens/index.ts';
import { LotList } from './LotList.tsx';
import { Orders } from './Orders.tsx';
import { SeedLotForm } from './SeedLotForm.tsx';

/** What seed there is, how alive it is, what the plan needs of it, what to order, and which trays to start when. */
export default function SeedBoxPage() {
  const { t } = useTranslation('seedBox');
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const thisYear = garden.seasonYear;
  const [year, setYear] = useState(thisYear);
  const lots = useList('seedLots');
  const plantings = useSeasonList('plantings', year, datesAlone);
  const [open, setOpen] = useState<SeedLot | 'new' | null>(null);
  return (
    <Screen
      title={t('title')}
      actions={
        <div className="flex flex-wrap gap-3">
          <YearSelect
            label={t('forSeason')}
            value={year}
            onChange={setYear}
            years={[thisYear, thisYear + 1]}
          />
          {coordinates && (
            <Button look="act" onClick={() => setOpen('new')}>
              <Plus aria-hidden size={17} />
              {t('add')}
            </Button>
          )}
        </div>
      }
    >
      <Loaded of={lots}>
        {(lotList) => (
          <>
            <Loaded of={plantings}>{(list) => <Orders lots={lotList} plantings={list} year={year} />}</Loaded>
            <LotList lots={lotList} year={year} onOpen={setOpen} />
          </>
        )}
      </Loaded>
      {open && (
        <Sheet open title={t(open === 'new' ? 'add' : 'change')} onClose={() => setOpen(null)}>
          <SeedLotForm lot={open === 'new' ? null : open} year={thisYear} onDone={() => setOpen(null)} />
        </Sheet>
      )}
    </Screen>
  );
}
