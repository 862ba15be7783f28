import type { Bed, Landmark } from '@unity-acre/contract/ground';
import { groundRules } from '@unity-acre/contract/place';
import {
  type GroundFinding,
  judgeGround,
  pathShare,
  pathWidths,
  reaches,
  standingKinds,
} from '@unity-acre/core/ground';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { useCoordinates, useHere, useList, useMeasure, useWrite } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { Plan } from '../plan/index.ts';

/** What the ground says of itself, for the people who use it. */
export default function JudgementPage() {
  const { t } = useTranslation('layout');
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  return (
    <Screen title={t('judge.title')} className="flex flex-col gap-5">
      <PlacePaths of="layout" />
      <Loaded of={beds}>
        {(list) => <Loaded of={landmarks}>{(marks) => <Judgement beds={list} landmarks={marks} />}</Loaded>}
      </Loaded>
    </Screen>
  );
}

function Judgement({ beds, landmarks }: { beds: Bed[]; landmarks: Landmark[] }) {
  const { t } = useTranslation('layout');
  const { garden } = useHere();
  const navigate = useNavigate();
  const coordinates = useCoordinates();
  const { number } = useMeasure();
  const [shown, setShown] = useState<number | null>(null);
  const { reach, paths, north } = garden.ground;
  const findings = useMemo(
    () => judgeGround(beds, landmarks, { reach, paths }, { latitude: garden.latitude, north }),
    [beds, landmarks, reach, paths, north, garden.latitude],
  );
  const share = pathShare(
    beds,
    landmarks.filter(({ kind }) => standingKinds.includes(kind)),
  );
  const one = shown === null ? undefined : findings[shown];
  return (
    <div className="grid items-start gap-8 xl:grid-cols-[minmax(0,1fr)_26rem]">
      <Plan
        beds={beds}
        landmarks={landmarks}
        highlight={one?.at ?? []}
        onOpen={(bed) => navigate(`/ground/${bed.id}`)}
        className="h-[24rem] border border-line-strong sm:h-[34rem]"
      />
      <div className="flex flex-col gap-6">
        <section className="furrow">
          <h2>{t('judge.found', { count: findings.length })}</h2>
          {share !== null && (
            <p className="text-ink-soft text-sm">{t('judge.share', { share: number(share * 100, 0) })}</p>
          )}
          {beds.length === 0 && <Bare title={t('judge.noBeds')} />}
          {beds.length > 0 && findings.length === 0 && <p>{t('judge.nothing')}</p>}
          <ol>
            {findings.map((finding, i) => (
              <li key={`${finding.code} ${finding.at.join()}`} className="border-line border-b">
                <button
                  type="button"
                  aria-pressed={shown === i}
                  className="w-full px-2 py-2 text-left hover:bg-straw-soft aria-pressed:bg-straw-soft"
                  onClick={() => setShown(shown === i ? null : i)}
                >
                  <Sentence finding={finding} beds={beds} landmarks={landmarks} />
                </button>
              </li>
            ))}
          </ol>
        </section>
        {coordinates && <Rules />}
      </div>
    </div>
  );
}

function Sentence({
  finding,
  beds,
  landmarks,
}: {
  finding: GroundFinding;
  beds: Bed[];
  landmarks: Landmark[];
}) {
  const { t } = useTranslation(['layout', 'ground']);
  const { length, spacing, number } = useMeasure();
  const nameOf = (id: string | undefined): string => {
    const bed = beds.find((other) => other.id === id);
    if (bed) return bed.name;
    const mark = landmarks.find((other) => other.id === id);
    return mark ? mark.name || t(`ground:landmark.${mark.kind}`) : '';
  };
  const [a, b] = finding.at.map(nameOf);
  const words = { a, b };
  switch (finding.code) {
    case 'overlap':
      return t('layout:judge.overlap', words);
    case 'outOfReach':
      return t(finding.oneSided ? 'layout:judge.outOfReachOneSided' : 'layout:judge.outOfReach', {
        ...words,
        depth: spacing(finding.depth),
        reach: spacing(finding.reach),
      });
    case 'enclosed':
      return t('layout:judge.enclosed', words);
    case 'narrowPath':
      return t('layout:judge.narrowPath', {
        ...words,
        width: spacing(finding.width),
        needed: spacing(finding.needed),
      });
    case 'farFromTap':
      return t('layout:judge.farFromTap', { ...words, distance: length(finding.distance) });
    case 'noTap':
      return t('layout:judge.noTap');
    case 'tallOnSunnySide':
      return t('layout:judge.tallOnSunnySide', {
        ...words,
        height: length(finding.height),
        share: number(finding.share * 100, 0),
      });
    default:
      return t(`layout:judge.${finding.code}`, { share: number(finding.share * 100, 0) });
  }
}

/** For whom the ground is judged, and where north lies. */
function Rules() {
  const { t } = useTranslation(['layout', 'kit']);
  const { garden } = useHere();
  const { spacing, number } = useMeasure();
  const save = useWrite('saveGroundRules', () => t('layout:judge.rulesSaved'));
  const { ground, version } = garden;
  const form = useBodyForm<
    { reach: typeof ground.reach; paths: typeof ground.paths; north: string },
    typeof ground
  >({
    draft: 'ground rules',
    schema: groundRules,
    defaults: { ...ground, north: number(ground.north) },
    version,
    toBody: (values, read) => ({ ...values, north: read.number('north', values.north) }),
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  return (
    <Form of={form} className="furrow flex flex-col gap-3">
      <h2>{t('layout:judge.forWhom')}</h2>
      <Field label={t('layout:judge.reachLabel')} name="reach">
        {(props) => (
          <Select
            {...props}
            {...form.control('reach')}
            options={(Object.keys(reaches) as (keyof typeof reaches)[]).map((one) => ({
              value: one,
              label: t(`layout:judge.reach.${one}`, { reach: spacing(reaches[one]) }),
            }))}
          />
        )}
      </Field>
      <Field label={t('layout:judge.pathsLabel')} name="paths">
        {(props) => (
          <Select
            {...props}
            {...form.control('paths')}
            options={(Object.keys(pathWidths) as (keyof typeof pathWidths)[]).map((one) => ({
              value: one,
              label: t(`layout:judge.paths.${one}`, { width: spacing(pathWidths[one]) }),
            }))}
          />
        )}
      </Field>
      <Field label={t('layout:judge.north')} hint={t('layout:judge.northHint')} name="north">
        {(props) => <input {...props} {...form.register('north')} className="input" inputMode="decimal" />}
      </Field>
      <FormFaults />
      <Button type="submit" className="self-start" disabled={form.busy}>
        {t('kit:save')}
      </Button>
    </Form>
  );
}
