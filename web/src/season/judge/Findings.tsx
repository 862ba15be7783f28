import { useQuery } from '@tanstack/react-query';
import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { type Finding, findingKey, findingRow, type Remedy } from '@unity-acre/core/season';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCropNames } from '../../crops/names.ts';
import { listKey, useCoordinates, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Loaded } from '../../kit/screens/index.ts';
import { inputOf } from '../bands/index.ts';
import { useFacts } from './findingFacts.ts';

interface Props {
  beds: Bed[];
  plantings: Planting[];
  year: number;
  onSelect(id: string): void;
}

const ink = { 1: 'text-beet', 2: 'text-straw-deep', 3: 'text-ink-soft' } as const;

/** So many are shown before anybody asks for all. */
const FIRST = 12;

/** What in the season does not go together, live: each with its reason, its place and what would end it. */
export function Findings({ beds, plantings, year, onSelect }: Props) {
  const { t } = useTranslation('plan');
  const { garden } = useHere();
  const [shown, setShown] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const found = useQuery({
    queryKey: listKey(garden.id, 'consistency', year),
    queryFn: async () =>
      (await ask('consistency', { params: { gardenId: garden.id }, query: { year } })).data,
  });
  return (
    <section className="furrow">
      <Loaded of={found}>
        {(list) => (
          <>
            <h2>{list.length === 0 ? t('findings.none') : t('findings.title', { count: list.length })}</h2>
            {list.length === 0 && <p className="text-ink-soft">{t('findings.noneHint')}</p>}
            <ol>
              {(all ? list : list.slice(0, FIRST)).map((finding) => {
                const key = findingKey(finding);
                const { severity } = findingRow(finding.code);
                return (
                  <li key={key} className="border-line border-b py-2">
                    <div className="flex flex-wrap items-baseline gap-x-3">
                      <span className={`w-28 shrink-0 font-semibold text-sm ${ink[severity]}`}>
                        {t(`findings.severity.${severity}`)}
                      </span>
                      <span className="min-w-0 flex-1">
                        <Sentence finding={finding} beds={beds} plantings={plantings} />
                      </span>
                      {finding.plantingIds.length > 0 && (
                        <Button look="quiet" onClick={() => onSelect(finding.plantingIds.at(-1)!)}>
                          {t('findings.show')}
                        </Button>
                      )}
                      <Button
                        look="quiet"
                        aria-expanded={shown === key}
                        onClick={() => setShown(shown === key ? null : key)}
                      >
                        {t('findings.help')}
                      </Button>
                    </div>
                    {shown === key && (
                      <Remedies of={key} beds={beds} plantings={plantings} year={year} finding={finding} />
                    )}
                  </li>
                );
              })}
            </ol>
            {!all && list.length > FIRST && (
              <Button look="quiet" onClick={() => setAll(true)}>
                {t('findings.all', { n: list.length })}
              </Button>
            )}
          </>
        )}
      </Loaded>
    </section>
  );
}

function Sentence({ finding, beds, plantings }: { finding: Finding; beds: Bed[]; plantings: Planting[] }) {
  const { t } = useTranslation('findings');
  const names = useCropNames();
  const bed = beds.find(({ id }) => id === finding.bedId);
  const crops = finding.plantingIds.flatMap((id) => {
    const planting = plantings.find((one) => one.id === id);
    return planting ? [planting.cropId] : [];
  });
  const words: Record<string, string | number> = {
    bed: bed?.name ?? '',
    a: crops[0] ? names.crop(crops[0]) : '',
    b: crops[1] ? names.inText(crops[1]) : '',
    crops: [...new Set(crops)].map(names.crop).join(', '),
    n: finding.plantingIds.length,
    ...useFacts()(finding),
  };
  return (
    <>
      {bed && (
        <Link to={`/ground/${bed.id}`} className="font-semibold underline underline-offset-4">
          {bed.name}
        </Link>
      )}{' '}
      {t(`${finding.code}.says`, words)}
    </>
  );
}

function Remedies({
  of,
  finding,
  beds,
  plantings,
  year,
}: {
  of: string;
  finding: Finding;
  beds: Bed[];
  plantings: Planting[];
  year: number;
}) {
  const { t } = useTranslation(['plan', 'findings']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const names = useCropNames();
  const dates = useDates();
  const { length } = useMeasure();
  const save = useWrite('savePlanting', ({ data }) =>
    t('plan:remedy.done', { crop: names.crop(data.cropId) }),
  );
  const remedies = useQuery({
    queryKey: listKey(garden.id, 'remedies', year, of),
    queryFn: async () =>
      (await ask('remedies', { params: { gardenId: garden.id }, query: { year, key: of } })).data,
  });
  const nameOf = (id: string) => beds.find((bed) => bed.id === id)?.name ?? '';
  const words = (remedy: Remedy, planting: Planting): string => {
    const crop = names.inText(planting.cropId);
    switch (remedy.kind) {
      case 'moveBed':
        return t('plan:remedy.moveBed', { crop, bed: nameOf(remedy.bedId) });
      case 'startOn':
        return t('plan:remedy.startOn', { crop, day: dates.short(remedy.startOn) });
      case 'length':
        return t('plan:remedy.length', { crop, length: length(remedy.length) });
      case 'square':
        return t('plan:remedy.square', { crop });
      case 'layOut':
        return t('plan:remedy.layOut', { crop });
      case 'between': {
        const host = plantings.find(({ id }) => id === remedy.betweenId);
        return t('plan:remedy.between', { crop, other: host ? names.inText(host.cropId) : '' });
      }
      case 'crop':
        return t('plan:remedy.crop', { crop, other: names.inText(remedy.cropId) });
    }
  };
  const apply = (remedy: Remedy, planting: Planting) => {
    const body = inputOf(planting);
    switch (remedy.kind) {
      case 'moveBed': {
        const bed = beds.find(({ id }) => id === remedy.bedId)!;
        const [across, along] = [Math.min(bed.width, bed.length), Math.max(bed.width, bed.length)];
        body.width = Math.min(planting.width, across);
        body.length = Math.min(along, (planting.width * planting.length) / body.width);
        body.bedId = remedy.bedId;
        body.betweenId = null;
        break;
      }
      case 'startOn':
        body.startOn = remedy.startOn;
        break;
      case 'length':
        body.length = remedy.length;
        break;
      case 'square':
        body.pattern = 'square';
        break;
      case 'layOut':
        body.at = null;
        break;
      case 'between':
        body.betweenId = remedy.betweenId;
        break;
      case 'crop':
        body.cropId = remedy.cropId;
        body.varietyId = remedy.varietyId;
    }
    save.mutate({ params: { id: planting.id }, body, ifMatch: planting.version });
  };
  return (
    <div className="mt-1 flex flex-wrap gap-2 border-blossom border-l-4 bg-straw-soft p-2">
      <Loaded of={remedies}>
        {(list) =>
          list.length === 0 ? (
            <p>{t(`findings:${finding.code}.advice`)}</p>
          ) : (
            list.map((remedy) => {
              const planting = plantings.find(({ id }) => id === remedy.plantingId);
              return (
                planting && (
                  <Button
                    key={JSON.stringify(remedy)}
                    disabled={!coordinates || save.isPending}
                    onClick={() => apply(remedy, planting)}
                  >
                    {words(remedy, planting)}
                  </Button>
                )
              );
            })
          )
        }
      </Loaded>
    </div>
  );
}
