import type { Bed } from '@unity-acre/contract/ground';
import { type Planting, plantingInput } from '@unity-acre/contract/season';
import { isDay } from '@unity-acre/core/calendar';
import { turns, varietyOf } from '@unity-acre/core/crops';
import { patterns } from '@unity-acre/core/ground';
import { allowsMethod, hasTurn, startOf } from '@unity-acre/core/season';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../crops/catalogue.ts';
import { useCropNames } from '../crops/names.ts';
import { sidesOf } from '../ground/bedShape.ts';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Bare, Loaded } from '../kit/states.tsx';
import { Companions } from './Companions.tsx';
import { PlanPreview } from './PlanPreview.tsx';
import { Series } from './Series.tsx';
import { useBothSeasons } from './year.ts';

/** What the form of a planting holds: text as typed. */
export interface PlanValues {
  cropId: string;
  varietyId: string;
  year: string;
  turn: Planting['turn'];
  method: Planting['method'];
  pattern: Planting['pattern'];
  width: string;
  length: string;
  startOn: string;
  betweenId: string;
  pinned: boolean;
  note: string;
}

/** Plans one planting of a bed, with its dates and amounts reckoned while one chooses. */
export default function Planner() {
  const { bedId, plantingId } = useParams();
  const { t } = useTranslation('ground');
  const beds = useList('beds');
  const own = useList('ownCrops');
  const plantings = useBothSeasons('plantings');
  return (
    <Loaded of={beds}>
      {(list) => {
        const bed = list.find((one) => one.id === bedId);
        if (!bed) return <Bare title={t('noSuchBed')} />;
        return (
          <Loaded of={own}>
            {() =>
              plantingId ? (
                <Loaded of={plantings}>
                  {(all) => (
                    <PlanForm bed={bed} planting={all.find((one) => one.id === plantingId) ?? null} />
                  )}
                </Loaded>
              ) : (
                <PlanForm bed={bed} planting={null} />
              )
            }
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
  const [search] = useSearchParams();
  const dates = useDates();
  const names = useCropNames();
  const catalogue = useCatalogue();
  const { lengthInput, system } = useMeasure();
  const [id] = useState(() => planting?.id ?? newId());
  const bare = system === 'imperial' ? 'ft' : 'm';
  const sides = sidesOf(bed);
  const save = useWrite('savePlanting', ({ data }) => {
    const start = startOf(data.steps) ?? data.steps[0]!;
    return t('season:saved', {
      crop: names.crop(data.cropId),
      bed: bed.name,
      step: t(`season:step.${start.kind}`),
      day: dates.short(start.on),
    });
  });
  const valuesOf = (row: Planting): PlanValues => ({
    ...row,
    year: String(row.year),
    width: lengthInput(row.width),
    length: lengthInput(row.length),
    startOn: row.startOn ?? '',
    betweenId: row.betweenId ?? '',
  });
  /** What a link wants planned: a crop, a way, a day. */
  const wanted = catalogue.crop(search.get('crop') ?? '') ?? catalogue.crop('tomato') ?? catalogue.crops[0]!;
  const wantedDay = search.get('start') ?? '';
  const form = useBodyForm<PlanValues, ReturnType<typeof plantingInput.parse>>({
    schema: plantingInput,
    defaults: planting
      ? valuesOf(planting)
      : {
          cropId: wanted.id,
          varietyId: search.get('variety') ?? wanted.varieties[0]!.id,
          year: search.get('year') ?? garden.today.slice(0, 4),
          turn: wanted.turns.find((turn) => turn === search.get('turn')) ?? wanted.turns[0]!,
          method: wanted.methods.find((method) => method === search.get('method')) ?? wanted.methods[0]!,
          pattern: 'rows',
          width: lengthInput(sides.across),
          length: lengthInput(sides.along),
          startOn: isDay(wantedDay) ? wantedDay : '',
          betweenId: '',
          pinned: false,
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
      afterId: planting?.afterId ?? null,
      afterDays: planting?.afterDays ?? null,
      betweenId: values.betweenId || null,
      pinned: values.pinned,
      note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      await navigate(`/ground/${bed.id}`);
    },
  });
  const both = useBothSeasons('plantings');
  const besides = (both.data ?? []).filter(
    (other) => other.bedId === bed.id && other.id !== planting?.id && other.betweenId === null,
  );
  const { errors } = form.formState;
  const values = form.watch();
  const crop = catalogue.crop(values.cropId) ?? wanted;
  const methods = crop.methods.filter((method) => allowsMethod(crop, method, garden.rules));

  // Another crop may lack the variety, the method or the season chosen before: take its first ones.
  const { setValue } = form;
  useEffect(() => {
    if (!varietyOf(crop, values.varietyId)) setValue('varietyId', crop.varieties[0]!.id);
    if (!allowsMethod(crop, values.method, garden.rules))
      setValue(
        'method',
        crop.methods.find((method) => allowsMethod(crop, method, garden.rules)) ?? crop.methods[0]!,
      );
    if (!hasTurn(crop, values.turn)) setValue('turn', crop.turns[0]!);
  }, [crop, values.varietyId, values.method, values.turn, garden.rules, setValue]);

  return (
    <div className="flex flex-col gap-6">
      <div>
        <Link to={`/ground/${bed.id}`} className="text-ink-soft text-sm underline underline-offset-4">
          {bed.name}
        </Link>
        <h1>{planting ? t('season:change', { bed: bed.name }) : t('season:plan', { bed: bed.name })}</h1>
      </div>
      <div className="grid gap-10 xl:grid-cols-[24rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-8">
          <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
            <Field label={t('season:crop')} error={errors.cropId?.message}>
              {(props) => (
                <select {...props} {...form.register('cropId')} className="input">
                  {names.sorted(catalogue.crops).map((one) => (
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
                    {methods.map((method) => (
                      <option key={method} value={method}>
                        {names.method(crop.id, method)}
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
            <Field label={t('season:betweenId')} error={errors.betweenId?.message}>
              {(props) => (
                <select {...props} {...form.register('betweenId')} className="input">
                  <option value="">{t('season:betweenNone')}</option>
                  {besides.map((other) => (
                    <option key={other.id} value={other.id}>
                      {names.crop(other.cropId)}, {dates.bare(other.steps[0]!.on)}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <label className="flex min-h-target items-center gap-2">
              <input type="checkbox" className="size-5" {...form.register('pinned')} />
              {t('season:pinned')}
            </label>
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
          {!planting && <Series bed={bed} values={values} bare={bare} />}
          {!planting && <Companions bed={bed} values={values} bare={bare} />}
        </div>
        <PlanPreview bed={bed} values={values} bare={bare} planting={planting} />
      </div>
    </div>
  );
}
