import { type Crop, neighboursOf, sourcedGroups, sources } from '@unity-acre/core/crops';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { useAlmanac, useCoordinates, useHere, useList } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Disclosure, Select } from '../../kit/controls/index.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { Field } from '../../kit/forms/index.ts';
import { Loaded, NotThere, Title } from '../../kit/screens/index.ts';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';
import { CropFacts } from './CropFacts.tsx';
import { CropYearChart } from './CropYearChart.tsx';
import { waysOf } from './cropYear.ts';
import { OwnCropSheet } from './OwnCropSheet.tsx';

/** A crop: its year drawn for this garden, and what is known of it. */
export default function CropPage() {
  const { cropId = '' } = useParams();
  const { t } = useTranslation('crops');
  const own = useList('ownCrops');
  const catalogue = useCatalogue();
  return (
    <Loaded of={own}>
      {() => {
        const crop = catalogue.crop(cropId);
        return crop ? (
          <TheCrop key={crop.id} crop={crop} />
        ) : (
          <NotThere title={t('noSuchCrop')} why={t('noSuchCropWhy')} to="/season/crops" way={t('allCrops')} />
        );
      }}
    </Loaded>
  );
}

function TheCrop({ crop }: { crop: Crop }) {
  const { t } = useTranslation(['crops', 'season', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const names = useCropNames();
  const almanac = useAlmanac();
  const own = useList('ownCrops').data?.find((one) => one.cropId === crop.id);
  const [varietyId, setVarietyId] = useState(crop.varieties[0]!.id);
  const [editing, setEditing] = useState(false);
  const year = garden.seasonYear;
  const variety = crop.varieties.find(({ id }) => id === varietyId) ?? crop.varieties[0]!;
  const ways = waysOf(crop, variety, almanac, garden.rules, year);
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div className="flex items-center gap-4">
          <FamilyMark family={crop.family} size={52} />
          <div>
            <Title>{names.crop(crop.id)}</Title>
            <p className="text-ink-soft">
              <i>{crop.botanical}</i> · {t(`kit:family.${crop.family}`)} ·{' '}
              {t(`season:hardiness.${crop.hardiness}`)}
              {own && <strong className="ml-2 text-rain">{t('crops:own.mark')}</strong>}
            </p>
          </div>
        </div>
        {coordinates && (
          <Button onClick={() => setEditing(true)}>
            <Pencil aria-hidden size={17} />
            {t('crops:own.open')}
          </Button>
        )}
      </div>
      <PlacePaths of="season" />
      <section className="furrow">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h2>{t('crops:year', { garden: garden.name, year })}</h2>
          <Field layout="beside" label={t('season:variety')}>
            {(props) => (
              <Select
                {...props}
                className="w-auto max-w-full"
                value={variety.id}
                onChange={(value) => setVarietyId(value)}
                options={crop.varieties.map(({ id, daysToMaturity }) => ({
                  value: id,
                  label: t('season:varietyDays', {
                    name: names.variety(crop.id, id),
                    fewest: daysToMaturity.fewest,
                    most: daysToMaturity.most,
                    since: t(`season:since.${crop.maturityFrom}`),
                  }),
                }))}
              />
            )}
          </Field>
        </div>
        <CropYearChart cropId={crop.id} ways={ways} />
      </section>
      <div className="gap-x-12 xl:columns-2">
        <CropFacts crop={crop} />
        <Neighbours crop={crop} />
      </div>
      {crop.cautions.map((caution) => (
        <p key={caution} className="max-w-prose border-blossom border-l-4 bg-straw-soft px-3 py-1">
          {t(`season:caution.${caution}`)}
        </p>
      ))}
      <Sources crop={crop} />
      {editing && <OwnCropSheet crop={crop} onClose={() => setEditing(false)} />}
    </div>
  );
}

function Neighbours({ crop }: { crop: Crop }) {
  const { t } = useTranslation(['crops', 'season', 'kit']);
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const names = useCropNames();
  const evidence =
    garden.rules.evidence === 'tested' ? (['tested'] as const) : (['tested', 'traditional'] as const);
  const neighbours = neighboursOf(crop, evidence);
  const nameOf = (name: string) => {
    if (name === 'any') return t('crops:neighbour.any');
    return catalogue.crop(name) ? names.crop(name) : t(`kit:family.${name as Crop['family']}`);
  };
  return (
    <section className="furrow mb-7 break-inside-avoid">
      <h2>{t('crops:neighbour.title')}</h2>
      {neighbours.length === 0 ? (
        <p>{t('crops:neighbour.none')}</p>
      ) : (
        <ul>
          {neighbours.map((one) => (
            <li
              key={`${one.with} ${one.why}`}
              className="grid grid-cols-[6.5rem_1fr] gap-x-3 border-line border-b py-1"
            >
              <strong className={one.is === 'apart' ? 'text-beet' : 'text-leaf'}>
                {t(`crops:neighbour.${one.is}`)}
              </strong>
              <span>
                {catalogue.crop(one.with) ? (
                  <Link to={`/season/crops/${one.with}`} className="underline underline-offset-4">
                    {nameOf(one.with)}
                  </Link>
                ) : (
                  nameOf(one.with)
                )}
                : {t(`crops:why.${one.why as 'stunting'}`)}{' '}
                <span className="text-ink-soft text-sm">({t(`crops:evidence.${one.evidence}`)})</span>
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Where the values come from. */
function Sources({ crop }: { crop: Crop }) {
  const { t } = useTranslation('crops');
  const keys = [...new Set(sourcedGroups.map((group) => crop.source[group]))];
  return (
    <Disclosure
      className="furrow text-sm"
      summary={<span className="font-semibold">{t('sources.title')}</span>}
    >
      <ul>
        {keys.map((key) => (
          <li key={key} className="border-line border-b py-1">
            {sourcedGroups
              .filter((group) => crop.source[group] === key)
              .map((group) => t(`sources.${group}`))
              .join(', ')}
            : {(key && sources[key]) ?? key}
          </li>
        ))}
      </ul>
    </Disclosure>
  );
}
