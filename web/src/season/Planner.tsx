import type { Bed } from '@unity-acre/contract/ground';
import { type Planting, patterns, plantingInput } from '@unity-acre/contract/season';
import { cropById, crops, turns, varietyOf } from '@unity-acre/core/crops';
import { areaOf } from '@unity-acre/core/ground';
import { amounts, hasTurn, milestones } from '@unity-acre/core/season';
import { parseLength } from '@unity-acre/core/units';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { sidesOf } from '../ground/bedShape.ts';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Bare, Loaded } from '../kit/states.tsx';
import { useCropNames } from './names.ts';
import { PackingDrawing } from './PackingDrawing.tsx';
import { Reasons } from './Reasons.tsx';
import { StepsChart } from './StepsChart.tsx';
import { useBothSeasons } from './year.ts';

interface Values {
  cropId: string;
  varietyId: string;
  year: string;
  turn: Planting['turn'];
  method: Planting['method'];
  pattern: Planting['pattern'];
  width: string;
  length: string;
  startOn: string;
  note: string;
}

/** Plans one planting of a bed, with its dates and amounts reckoned while one chooses. */
export default function Planner() {
  const { bedId, plantingId } = useParams();
  const { t } = useTranslation('ground');
  const beds = useList('beds');
  const plantings = useBothSeasons('plantings');
  return (
    <Loaded of={beds}>
      {(list) => {
        const bed = list.find((one) => one.id === bedId);
        if (!bed) return <Bare title={t('noSuchBed')} />;
        if (!plantingId) return <PlanForm bed={bed} planting={null} />;
        return (
          <Loaded of={plantings}>
            {(all) => <PlanForm bed={bed} planting={all.find((one) => one.id === plantingId) ?? null} />}
          </Loaded>
        );
      }}
    </Loaded>
  );
}

function PlanForm({ bed, planting }: { bed: Bed; planting: Planting | null }) {
  const { t } = useTranslation(['season', 'kit']);
  const { garden } = useHere();
  const navigate = useNavigate();
  const dates = useDates();
  const names = useCropNames();
  const { lengthInput, system } = useMeasure();
  const [id] = useState(() => planting?.id ?? newId());
  const bare = system === 'imperial' ? 'ft' : 'm';
  const sides = sidesOf(bed);
  const save = useWrite('savePlanting', ({ data }) =>
    t('season:saved', {
      crop: names.crop(data.cropId),
      bed: bed.name,
      step: t(`season:step.${data.steps[0]!.kind}`),
      day: dates.short(data.steps[0]!.on),
    }),
  );
  const valuesOf = (row: Planting): Values => ({
    ...row,
    year: String(row.year),
    width: lengthInput(row.width),
    length: lengthInput(row.length),
    startOn: row.startOn ?? '',
  });
  const first = crops[0]!;
  const form = useBodyForm<Values, ReturnType<typeof plantingInput.parse>>({
    schema: plantingInput,
    defaults: planting
      ? valuesOf(planting)
      : {
          cropId: first.id,
          varietyId: first.varieties[0]!.id,
          year: garden.today.slice(0, 4),
          turn: 'spring',
          method: first.methods[0]!,
          pattern: 'rows',
          width: lengthInput(sides.across),
          length: lengthInput(sides.along),
          startOn: '',
          note: '',
        },
    version: planting?.version,
    toValues: valuesOf,
    toBody: ({ cropId, varietyId, turn, method, pattern, note, ...values }, read) => ({
      cropId,
      varietyId,
      bedId: bed.id,
      year: read.number('year', values.year),
      turn,
      method,
      pattern,
      width: read.length('width', values.width, bare),
      length: read.length('length', values.length, bare),
      startOn: values.startOn || null,
      note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      await navigate(`/ground/${bed.id}`);
    },
  });
  const { errors } = form.formState;
  const values = form.watch();
  const crop = cropById(values.cropId) ?? first;

  // Another crop may lack the variety, the method or the season chosen before: take its first ones.
  const { setValue } = form;
  useEffect(() => {
    if (!varietyOf(crop, values.varietyId)) setValue('varietyId', crop.varieties[0]!.id);
    if (!crop.methods.includes(values.method)) setValue('method', crop.methods[0]!);
    if (!hasTurn(crop, values.turn)) setValue('turn', 'spring');
  }, [crop, values.varietyId, values.method, values.turn, setValue]);

  return (
    <div className="flex flex-col gap-6">
      <div>
        <Link to={`/ground/${bed.id}`} className="text-ink-soft text-sm underline underline-offset-4">
          {bed.name}
        </Link>
        <h1>{planting ? t('season:change', { bed: bed.name }) : t('season:plan', { bed: bed.name })}</h1>
      </div>
      <div className="grid gap-10 xl:grid-cols-[24rem_minmax(0,1fr)]">
        <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
          <Field label={t('season:crop')} error={errors.cropId?.message}>
            {(props) => (
              <select {...props} {...form.register('cropId')} className="input">
                {names.sorted(crops).map((one) => (
                  <option key={one.id} value={one.id}>
                    {names.crop(one.id)}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label={t('season:variety')} error={errors.varietyId?.message}>
            {(props) => (
              <select {...props} {...form.register('varietyId')} className="input">
                {crop.varieties.map((variety) => (
                  <option key={variety.id} value={variety.id}>
                    {t('season:varietyDays', {
                      name: names.variety(crop.id, variety.id),
                      fewest: variety.daysToMaturity.fewest,
                      most: variety.daysToMaturity.most,
                      since: t(`season:since.${crop.maturityFrom}`),
                    })}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <div className="grid grid-cols-2 gap-4">
            <Field label={t('season:methodLabel')} error={errors.method?.message}>
              {(props) => (
                <select {...props} {...form.register('method')} className="input">
                  {crop.methods.map((method) => (
                    <option key={method} value={method}>
                      {t(`season:method.${method}`)}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <Field label={t('season:turnLabel')} error={errors.turn?.message}>
              {(props) => (
                <select {...props} {...form.register('turn')} className="input">
                  {turns
                    .filter((turn) => hasTurn(crop, turn))
                    .map((turn) => (
                      <option key={turn} value={turn}>
                        {t(`season:turn.${turn}`)}
                      </option>
                    ))}
                </select>
              )}
            </Field>
            <Field label={t('season:width')} error={errors.width?.message}>
              {(props) => (
                <input {...props} {...form.register('width')} className="input" autoComplete="off" />
              )}
            </Field>
            <Field label={t('season:length')} error={errors.length?.message}>
              {(props) => (
                <input {...props} {...form.register('length')} className="input" autoComplete="off" />
              )}
            </Field>
            <Field label={t('season:patternLabel')} error={errors.pattern?.message}>
              {(props) => (
                <select {...props} {...form.register('pattern')} className="input">
                  {patterns.map((pattern) => (
                    <option key={pattern} value={pattern}>
                      {t(`season:pattern.${pattern}`)}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <Field label={t('season:year')} error={errors.year?.message}>
              {(props) => (
                <input {...props} {...form.register('year')} inputMode="numeric" className="input" />
              )}
            </Field>
          </div>
          <Field label={t('season:startOn')} hint={t('season:startOnHint')} error={errors.startOn?.message}>
            {(props) => <input {...props} {...form.register('startOn')} type="date" className="input" />}
          </Field>
          <Field label={t('season:note')} hint={t('kit:optional')} error={errors.note?.message}>
            {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
          </Field>
          <RefusedNote refused={form.refused} clash={form.clash} />
          <div className="flex gap-2">
            <Button type="submit" look="act" disabled={form.busy}>
              {planting ? t('kit:save') : t('season:keep')}
            </Button>
            <Link
              to={`/ground/${bed.id}`}
              className="inline-flex min-h-target items-center rounded-sm border border-line-strong bg-paper px-3"
            >
              {t('kit:cancel')}
            </Link>
          </div>
        </form>
        <Preview bed={bed} values={values} bare={bare} />
      </div>
    </div>
  );
}

/** What the plan comes to, as it stands in the form. */
function Preview({ bed, values, bare }: { bed: Bed; values: Values; bare: 'ft' | 'm' }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const { number, length, area, spacing } = useMeasure();
  const crop = cropById(values.cropId);
  const variety = crop && varietyOf(crop, values.varietyId);
  const width = parseLength(values.width, bare);
  const along = parseLength(values.length, bare);
  const year = Number(values.year);
  if (!crop || !variety || !width || !along || width <= 0 || along <= 0 || !(year >= 1990 && year <= 2200)) {
    return <Bare title={t('incomplete')} />;
  }
  const { method, turn, pattern } = values;
  const steps = milestones({ crop, variety, method, turn, year, startOn: values.startOn || null }, garden);
  if (!steps) return <Bare title={t('notThatWay')} />;
  const { plants, seeds, packing, seedsPerHole, spareShare } = amounts(crop, method, pattern, width, along);
  return (
    <div className="flex min-w-0 flex-col gap-7">
      <section className="furrow">
        <h2>{t('when')}</h2>
        <StepsChart steps={steps} />
        <details open className="mt-2">
          <summary className="cursor-pointer underline decoration-line-strong underline-offset-4">
            {t('why')}
          </summary>
          <Reasons steps={steps} />
        </details>
      </section>
      <section className="furrow">
        <h2>{t('howMany')}</h2>
        <p className="my-2 text-lg">
          <strong className="font-title text-2xl">{number(plants, 0)}</strong> {t('plants')}
          {seeds > 0 && (
            <>
              {', '}
              <strong className="font-title text-2xl">{number(seeds, 0)}</strong> {t('seeds')}
            </>
          )}
          {', '}
          <strong className="font-title text-2xl">{length(packing.rowLength)}</strong> {t('ofRow')}
        </p>
        <p className="text-ink-soft text-sm">
          {t('count', {
            rows: packing.rows,
            perRow: packing.perRow,
            area: area(width * along),
            bed: area(areaOf(bed)),
          })}{' '}
          {seeds > 0 && t('seedCount', { perHole: seedsPerHole, spare: number(spareShare * 100, 0) })}{' '}
          {t('depth', { from: spacing(crop.depth.from), to: spacing(crop.depth.to) })}
        </p>
        <PackingDrawing
          pattern={pattern}
          packing={packing}
          width={width}
          length={along}
          inRow={crop.inRow}
          family={crop.family}
        />
        {crop.cautions.map((caution) => (
          <p key={caution} className="mt-2 border-blossom border-l-4 bg-straw-soft px-3 py-1 text-sm">
            {t(`caution.${caution}`)}
          </p>
        ))}
      </section>
    </div>
  );
}
