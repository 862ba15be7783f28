import type { PlotCare } from '@unity-acre/contract/crew';
import { careFindings } from '@unity-acre/core/crew';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useCoordinates, useHere, useList, useWrite } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';

/** A round of the plots with a phone in hand: one touch for what is seen of each. */
export default function WalkPage() {
  const { t } = useTranslation('plots');
  const care = useList('plotCare');
  return (
    <Screen title={t('walk.title')}>
      <PlacePaths of="plots" />
      <p className="max-w-prose text-ink-soft">{t('walk.lead')}</p>
      <Loaded of={care}>
        {(list) =>
          list.length === 0 ? (
            <Bare title={t('walk.none')}>
              <p>{t('walk.noneHint')}</p>
            </Bare>
          ) : (
            <ul>
              {list.map((plot) => (
                <PlotRow key={plot.bedId} plot={plot} />
              ))}
            </ul>
          )
        }
      </Loaded>
    </Screen>
  );
}

const stageLook: Record<PlotCare['stage'], string> = {
  good: 'border-leaf text-leaf',
  firstNotice: 'border-blossom-deep',
  secondNotice: 'border-beet text-beet',
  release: 'border-beet bg-beet-soft text-beet',
};

function PlotRow({ plot }: { plot: PlotCare }) {
  const { t } = useTranslation('plots');
  const { garden } = useHere();
  const dates = useDates();
  const save = useWrite('saveCareCheck', ({ data }) =>
    t('walk.saved', { bed: data.bed, stage: t(`walk.stage.${data.stage}`) }),
  );
  const last = plot.checks.at(-1);
  return (
    <li className="grid items-center gap-x-6 gap-y-1 border-line border-b py-2 lg:grid-cols-[13rem_11rem_minmax(0,1fr)]">
      <p>
        <span className="font-semibold">{plot.bed}</span> · {plot.holder ?? t('walk.nobody')}
        {plot.holder && <Accepted plot={plot} />}
      </p>
      <p className="text-sm">
        {last ? (
          <>
            <span className={`rounded-sm border-2 px-2 py-0.5 ${stageLook[plot.stage]}`}>
              {t(`walk.stage.${plot.stage}`)}
            </span>
            <span className="mt-1 block text-ink-soft">
              {t('walk.last', { day: dates.bare(last.on), finding: t(`walk.finding.${last.finding}`) })}
              {plot.nextLook && ` · ${t('walk.nextLook', { day: dates.bare(plot.nextLook) })}`}
            </span>
            {plot.next && <span className="block">{t('walk.next', { name: plot.next })}</span>}
          </>
        ) : (
          <span className="text-ink-soft">{t('walk.never')}</span>
        )}
      </p>
      <p className="flex flex-wrap gap-2 lg:justify-end">
        {careFindings.map((finding) => (
          <Button
            key={finding}
            disabled={save.isPending}
            onClick={() =>
              save.mutate({
                params: { bedId: plot.bedId, id: newId() },
                body: { on: garden.today, finding, note: '' },
              })
            }
          >
            {t(`walk.finding.${finding}`)}
            <span className="sr-only">: {plot.bed}</span>
          </Button>
        ))}
      </p>
    </li>
  );
}

/** Whether the holder has accepted this season's agreement; on paper, the coordinator says so. */
function Accepted({ plot }: { plot: PlotCare }) {
  const { t } = useTranslation('plots');
  const { garden } = useHere();
  const dates = useDates();
  const coordinates = useCoordinates();
  const rules = useList('crewRules').data;
  const accept = useWrite('acceptAgreement', () => t('rulesOf.acceptedNow', { bed: plot.bed }));
  if (!rules || rules.agreement === '') return null;
  return (
    <span className="block text-ink-soft text-sm">
      {plot.acceptedOn
        ? t('rulesOf.accepted', { day: dates.bare(plot.acceptedOn) })
        : t('rulesOf.notAccepted')}
      {!plot.acceptedOn && coordinates && (
        <Button
          look="quiet"
          onClick={() =>
            accept.mutate({
              params: { bedId: plot.bedId, year: garden.seasonYear },
              body: {},
            })
          }
        >
          {t('rulesOf.acceptFor')}
          <span className="sr-only">: {plot.bed}</span>
        </Button>
      )}
    </span>
  );
}
