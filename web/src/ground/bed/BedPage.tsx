import type { Bed } from '@unity-acre/contract/ground';
import { beyondReach, distanceTo, groundArea, reaches } from '@unity-acre/core/ground';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import {
  degreesShown,
  sizeWords,
  tenureIn,
  useCoordinates,
  useHere,
  useList,
  useMeasure,
  useSeasonList,
} from '../../garden/index.ts';
import { Button, ButtonLink } from '../../kit/controls/index.ts';
import { Bare, Loaded, NotThere, Title } from '../../kit/screens/index.ts';
import { EntryList } from '../../log/EntryList.tsx';
import { PlantingRow } from '../../season/explain/index.ts';
import { Plan, useGrowing } from '../plan/index.ts';
import { BedDrawing } from './BedDrawing.tsx';
import { BedSheet } from './BedSheet.tsx';
import { SoilNow } from './SoilNow.tsx';
import { TenureForm } from './TenureForm.tsx';
import { YearBefore } from './YearBefore.tsx';

/** Everything about one bed: where it is, who holds it, what grows, what happened. */
export default function BedPage() {
  const { bedId } = useParams();
  const { t } = useTranslation('ground');
  const beds = useList('beds');
  return (
    <Loaded of={beds}>
      {(list) => {
        const bed = list.find((one) => one.id === bedId);
        if (!bed)
          return <NotThere title={t('noSuchBed')} why={t('noSuchBedWhy')} to="/ground" way={t('toMap')} />;
        return <TheBed bed={bed} beds={list} />;
      }}
    </Loaded>
  );
}

function TheBed({ bed, beds }: { bed: Bed; beds: Bed[] }) {
  const { t } = useTranslation('ground');
  const { garden, role } = useHere();
  const navigate = useNavigate();
  const coordinates = useCoordinates();
  const landmarks = useList('landmarks');
  const growing = useGrowing();
  const { length, area, system } = useMeasure();
  const [editing, setEditing] = useState(false);
  const year = garden.seasonYear;
  const taps = (landmarks.data ?? []).filter((landmark) => landmark.kind === 'tap');
  const tap = taps.length > 0 ? Math.min(...taps.map((one) => distanceTo(bed, one))) : null;
  const facts = [
    { name: t('facts.size'), value: `${sizeWords(bed, length)}, ${area(groundArea(bed))}` },
    { name: t('facts.tap'), value: tap === null ? t('facts.noTap') : length(tap) },
    {
      name: t('facts.reach'),
      value: beyondReach(bed, 2 * reaches[garden.ground.reach]) ? t('facts.outOfReach') : t('facts.inReach'),
    },
    ...(bed.soilDepth !== null ? [{ name: t('facts.soil'), value: length(bed.soilDepth) }] : []),
    ...(bed.height > 0
      ? [{ name: t(`kind.${bed.kind}`), value: t('facts.high', { height: length(bed.height) }) }]
      : []),
    ...(bed.offsetC !== 0
      ? [
          {
            name: t('facts.spot'),
            value: t(bed.offsetC > 0 ? 'facts.warmer' : 'facts.colder', {
              degrees: `${degreesShown(Math.abs(bed.offsetC), system)} ${system === 'imperial' ? '°F' : '°C'}`,
            }),
          },
        ]
      : []),
    ...(bed.note ? [{ name: t('note'), value: bed.note }] : []),
  ];
  return (
    <div className="flex flex-col gap-7">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link to="/ground" className="text-ink-soft text-sm underline underline-offset-4">
            {t('title')}
          </Link>
          <Title>{bed.name}</Title>
        </div>
        {coordinates && (
          <div className="flex gap-2">
            <Button onClick={() => setEditing(true)}>{t('edit')}</Button>
            <ButtonLink look="act" to={`/ground/${bed.id}/plan`}>
              <Plus aria-hidden size={18} />
              {t('plan.planting')}
            </ButtonLink>
          </div>
        )}
      </div>
      <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="flex min-w-0 flex-col gap-8">
          {role !== 'receiver' && <Plantings bed={bed} year={year} />}
          {role !== 'receiver' && <Plantings bed={bed} year={year + 1} onlyWithSome />}
          {role !== 'receiver' && (
            <section className="furrow">
              <h2>{t('happened')}</h2>
              <EntryList bedId={bed.id} />
            </section>
          )}
        </div>
        <aside className="flex flex-col gap-6">
          <Plan
            beds={beds}
            landmarks={landmarks.data ?? []}
            highlight={[bed.id]}
            small
            growing={growing}
            onOpen={(other) => navigate(`/ground/${other.id}`)}
            className="h-60 border border-line-strong"
          />
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            {facts.map(({ name, value }) => (
              <div key={name} className="contents">
                <dt className="text-ink-soft">{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          {role !== 'receiver' && <SoilNow bed={bed} />}
          <section className="furrow">
            <h2>{t('held', { year })}</h2>
            {coordinates ? (
              <TenureForm key={bed.id} bed={bed} year={year} />
            ) : (
              <p>{tenureIn(bed, year)?.holder ?? t(`tenure.${tenureIn(bed, year)?.kind ?? 'none'}`)}</p>
            )}
          </section>
          <History bed={bed} year={year} />
        </aside>
      </div>
      {editing && (
        <BedSheet bed={bed} onClose={() => setEditing(false)} onRemoved={() => navigate('/ground')} />
      )}
    </div>
  );
}

/** The plantings of a season in this bed; the coming season is shown once it has some. */
function Plantings({ bed, year, onlyWithSome = false }: { bed: Bed; year: number; onlyWithSome?: boolean }) {
  const { t } = useTranslation('ground');
  const coordinates = useCoordinates();
  const plantings = useSeasonList('plantings', year);
  if (onlyWithSome && !plantings.data?.some((planting) => planting.bedId === bed.id)) return null;
  return (
    <section className="furrow">
      <h2>{t('season', { year })}</h2>
      <Loaded of={plantings}>
        {(list) => {
          const here = list
            .filter((planting) => planting.bedId === bed.id)
            .sort((a, b) => a.steps[0]!.on.localeCompare(b.steps[0]!.on));
          if (here.length === 0)
            return <Bare title={t('nothingPlanned')}>{coordinates && <p>{t('nothingPlannedHint')}</p>}</Bare>;
          return (
            <>
              <BedDrawing bed={bed} plantings={list} year={year} />
              {here.map((planting) => (
                <PlantingRow
                  key={planting.id}
                  planting={planting}
                  bed={bed}
                  awaited={list.find((one) => one.id === planting.afterId) ?? null}
                />
              ))}
            </>
          );
        }}
      </Loaded>
    </section>
  );
}

/** Earlier seasons: who held the bed and which families stood in it, since rotation looks back four years. */
function History({ bed, year }: { bed: Bed; year: number }) {
  const { t } = useTranslation('ground');
  const { role } = useHere();
  const before = bed.tenures.filter((tenure) => tenure.year < year);
  if (before.length === 0 || role === 'receiver') return null;
  return (
    <section className="furrow">
      <h2>{t('history')}</h2>
      <ul>
        {before.map((tenure) => (
          <YearBefore
            key={tenure.id}
            bed={bed}
            year={tenure.year}
            who={tenure.holder ?? t(`tenure.${tenure.kind}`)}
          />
        ))}
      </ul>
    </section>
  );
}
