import { type Family, families } from '@unity-acre/core/crops';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useAlmanac, useCoordinates, useHere, useList } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Checkbox, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { Field } from '../../kit/forms/index.ts';
import { VirtualList } from '../../kit/lists/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { usePreferences } from '../../preferences.ts';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';
import { CropFile } from './CropFile.tsx';
import { type CropWay, standOf, waysOf } from './cropYear.ts';
import { OwnCropSheet } from './OwnCropSheet.tsx';
import { YearStrip } from './YearStrip.tsx';

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The crops a garden can plant, each with its year in this garden. */
export default function CropList() {
  const { t } = useTranslation('crops');
  const coordinates = useCoordinates();
  const own = useList('ownCrops');
  const [adding, setAdding] = useState(false);
  return (
    <Screen
      title={t('title')}
      actions={
        coordinates && (
          <Button onClick={() => setAdding(true)}>
            <Plus aria-hidden size={18} />
            {t('add')}
          </Button>
        )
      }
    >
      <PlacePaths of="season" />
      <Loaded of={own}>{() => <Searched />}</Loaded>
      {adding && <OwnCropSheet crop={null} onClose={() => setAdding(false)} />}
    </Screen>
  );
}

function Searched() {
  const { t } = useTranslation(['crops', 'season', 'kit']);
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const names = useCropNames();
  const language = usePreferences((preferences) => preferences.language);
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  const [words, setWords] = useState('');
  const [family, setFamily] = useState<Family | ''>('');
  const [now, setNow] = useState(false);
  const years = useMemo(
    () =>
      new Map(
        catalogue.crops.map((crop) => [
          crop.id,
          waysOf(crop, crop.varieties[0]!, almanac, garden.rules, year),
        ]),
      ),
    [catalogue, almanac, garden.rules, year],
  );
  const isOpen = (ways: CropWay[]) => ways.some((way) => standOf(way, garden.today) === 'open');
  const wanted = plain(words.trim());
  const found = names
    .sorted(catalogue.crops)
    .filter((crop) => !family || crop.family === family)
    .filter((crop) => !now || isOpen(years.get(crop.id)!))
    .filter((crop) =>
      [crop.name.en, crop.name.es, ...crop.alsoCalled[language], crop.botanical].some((word) =>
        plain(word).includes(wanted),
      ),
    );
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <Field label={t('crops:search')}>
          {(props) => (
            <input
              {...props}
              type="search"
              className="input w-60"
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          )}
        </Field>
        <Field label={t('crops:family')}>
          {(props) => (
            <Select
              {...props}
              className="w-52"
              value={family}
              onChange={(value) => setFamily(value as Family | '')}
              options={[
                { value: '', label: t('crops:anyFamily') },
                ...families.map((one) => ({ value: one, label: t(`kit:family.${one}`) })),
              ]}
            />
          )}
        </Field>
        <Checkbox label={t('crops:now')} checked={now} onChange={(checked) => setNow(checked)} />
      </div>
      <section className="furrow">
        <div className="flex flex-wrap justify-between gap-3">
          <p className="text-ink-soft text-sm">{t('crops:found', { count: found.length })}</p>
          <StripKey />
        </div>
        {found.length === 0 ? (
          <Bare title={t('crops:noneFound')}>{t('crops:noneFoundHint')}</Bare>
        ) : (
          <>
            <div
              aria-hidden
              className="hidden sm:grid sm:grid-cols-[1.6rem_minmax(0,15rem)_minmax(0,14rem)_minmax(0,1fr)] sm:gap-x-4"
            >
              <MonthNames />
            </div>
            <VirtualList items={found} keyOf={({ id }) => id} usualHeight={45}>
              {(crop) => (
                <div className="grid items-center gap-x-4 gap-y-1 border-line border-b py-1 sm:grid-cols-[1.6rem_minmax(0,15rem)_minmax(0,14rem)_minmax(0,1fr)]">
                  <span className="hidden sm:block">
                    <FamilyMark family={crop.family} size={22} />
                  </span>
                  <Link to={`/season/crops/${crop.id}`} className="font-semibold hover:underline">
                    {names.crop(crop.id)}
                  </Link>
                  <Standing ways={years.get(crop.id)!} />
                  <YearStrip ways={years.get(crop.id)!} />
                </div>
              )}
            </VirtualList>
          </>
        )}
      </section>
      <CropFile />
    </>
  );
}

/** What is the next thing about a crop: its window is open, or when it opens. */
function Standing({ ways }: { ways: CropWay[] }) {
  const { t } = useTranslation(['crops', 'season', 'kit']);
  const { garden } = useHere();
  const dates = useDates();
  const open = ways.find((way) => standOf(way, garden.today) === 'open');
  const ahead = ways
    .filter((way) => standOf(way, garden.today) === 'ahead')
    .sort((a, b) => a.start.window.earliest.localeCompare(b.start.window.earliest))[0];
  const way = open ?? ahead;
  if (!way) return <span className="text-ink-soft text-sm">{t('crops:past')}</span>;
  const words = {
    step: t(`season:step.${way.start.kind}`),
    day: dates.bare(open ? way.start.window.latest : way.start.window.earliest),
  };
  return (
    <span className="text-sm">
      {open ? <strong className="text-leaf">{t('crops:openUntil', words)}</strong> : t('crops:opens', words)}
    </span>
  );
}

/** The names of the months over the strips. */
function MonthNames() {
  const { garden } = useHere();
  const dates = useDates();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  return (
    <span className="col-start-4 flex text-ink-soft text-xs">
      {Array.from({ length: 12 }, (_, m) => dates.month(almanac.day(year, m * 30.4 + 12))).map((name) => (
        <span key={name} className="flex-1">
          {name}
        </span>
      ))}
    </span>
  );
}

function StripKey() {
  const { t } = useTranslation('crops');
  return (
    <ul className="flex flex-wrap gap-x-5 text-sm">
      {(
        [
          ['window', 'bg-blossom'],
          ['growing', 'bg-leaf-soft'],
          ['picking', 'bg-leaf-mid'],
        ] as const
      ).map(([name, look]) => (
        <li key={name} className="flex items-center gap-2">
          <span className={`inline-block h-3 w-6 border border-ink/50 ${look}`} />
          {t(`key.${name}`)}
        </li>
      ))}
    </ul>
  );
}
