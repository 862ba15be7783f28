import type { Bed } from '@unity-acre/contract/ground';
import { type Planting, plantingInput } from '@unity-acre/contract/season';
import { croppings, ofVariety, type PracticeSchool } from '@unity-acre/core/crops';
import { patterns } from '@unity-acre/core/ground';
import { allowsMethod, hasCropping, startOf } from '@unity-acre/core/season';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { CropVarietySelect } from '../../crops/CropVarietySelect.tsx';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { sidesOf, useBothSeasons, useHere, useList, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Checkbox, DateField, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Loaded, NotThere, Title } from '../../kit/screens/index.ts';
import { Companions } from './Companions.tsx';
import { croppingsOffered, cropWanted, firstValues, seasonWanted } from './firstValues.ts';
import { OwnPractices } from './OwnPractices.tsx';
import { PlanPreview } from './PlanPreview.tsx';
import { ProtectionField } from './ProtectionField.tsx';
import { practicesTyped } from './planOf.ts';
import { Series } from './Series.tsx';
import { SpacingFields } from './SpacingFields.tsx';
import { VarietyFacts } from './VarietyFacts.tsx';

/** What the form of a planting holds: text as typed. */
export interface PlanValues {
  cropId: string;
  varietyId: string;
  year: string;
  cropping: Planting['cropping'];
  method: Planting['method'];
  pattern: Planting['pattern'];
  width: string;
  length: string;
  startOn: string;
  betweenId: string;
  pinned: boolean;
  protection: Planting['protection'];
  inRow: string;
  betweenRows: string;
  seedsPerHole: string;
  /** by school; empty follows the garden */
  practices: { [School in PracticeSchool]?: string };
  note: string;
}

function Gone({ bed }: { bed: Bed }) {
  const { t } = useTranslation('season');
  return (
    <NotThere
      title={t('noSuchPlanting')}
      why={t('noSuchPlantingWhy')}
      to={`/ground/${bed.id}`}
      way={bed.name}
    />
  );
}

/** Plans one planting of a bed, with its dates and amounts computed while one chooses. */
export default function Planner() {
  const { bedId, plantingId } = useParams();
  const { t } = useTranslation('ground');
  const beds = useList('beds');
  const own = useList('ownCrops');
  const plantings = useBothSeasons();
  return (
    <Loaded of={beds}>
      {(list) => {
        const bed = list.find((one) => one.id === bedId);
        if (!bed)
          return <NotThere title={t('noSuchBed')} why={t('noSuchBedWhy')} to="/ground" way={t('toMap')} />;
        return (
          <Loaded of={own}>
            {() =>
              plantingId ? (
                <Loaded of={plantings}>
                  {(all) => {
                    const planting = all.find((one) => one.id === plantingId);
                    return planting ? <PlanForm bed={bed} planting={planting} /> : <Gone bed={bed} />;
                  }}
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
  const { lengthInput, spacing, system } = useMeasure();
  const [id] = useState(() => planting?.id ?? newId());
  const bare = system === 'imperial' ? 'ft' : 'm';
  const small = system === 'imperial' ? 'in' : 'cm';
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
    inRow: row.inRow === null ? '' : spacing(row.inRow),
    betweenRows: row.betweenRows === null ? '' : spacing(row.betweenRows),
    seedsPerHole: row.seedsPerHole === null ? '' : String(row.seedsPerHole),
  });
  const first = {
    ...firstValues(search, bed, garden, catalogue),
    width: lengthInput(sides.across),
    length: lengthInput(sides.along),
  };
  const form = useBodyForm<PlanValues, ReturnType<typeof plantingInput.parse>>({
    draft: `planting ${planting?.id ?? `new in ${bed.id}`}`,
    schema: plantingInput,
    defaults: planting ? valuesOf(planting) : first,
    version: planting?.version,
    toValues: valuesOf,
    toBody: (
      { cropId, varietyId, cropping, method, pattern, protection, practices, note, ...values },
      read,
    ) => ({
      cropId,
      varietyId,
      bedId: bed.id,
      year: read.number('year', values.year),
      cropping,
      method,
      pattern,
      width: read.length('width', values.width, bare),
      length: read.length('length', values.length, bare),
      startOn: values.startOn || null,
      afterId: planting?.afterId ?? null,
      afterDays: planting?.afterDays ?? null,
      betweenId: values.betweenId || null,
      pinned: values.pinned,
      protection,
      inRow: values.inRow.trim() === '' ? null : read.length('inRow', values.inRow, small),
      betweenRows:
        values.betweenRows.trim() === '' ? null : read.length('betweenRows', values.betweenRows, small),
      seedsPerHole:
        values.seedsPerHole.trim() === '' ? null : read.number('seedsPerHole', values.seedsPerHole),
      at: planting?.at ?? null,
      practices: practicesTyped(practices),
      note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      await navigate(`/ground/${bed.id}`);
    },
  });
  const both = useBothSeasons();
  const besides = (both.data ?? []).filter(
    (other) => other.bedId === bed.id && other.id !== planting?.id && other.betweenId === null,
  );
  const values = form.watch();
  const crop = catalogue.crop(values.cropId) ?? cropWanted(search, catalogue);
  const methods = crop.methods.filter((method) => allowsMethod(crop, method, garden.rules));

  const turnsHere = croppingsOffered(crop, values, bed, garden);

  // Another crop may lack the method or the season chosen before: take its first ones.
  const { setValue } = form;
  useEffect(() => {
    if (!allowsMethod(crop, values.method, garden.rules))
      setValue(
        'method',
        crop.methods.find((method) => allowsMethod(crop, method, garden.rules)) ?? crop.methods[0]!,
      );
    if (!hasCropping(crop, values.cropping)) setValue('cropping', turnsHere[0]!);
  }, [crop, values.method, values.cropping, garden.rules, setValue, turnsHere[0]]);
  // The season goes with the crop, its way and its turn, until somebody chooses another.
  const wanted = planting || search.has('year') ? null : seasonWanted(crop, values, bed, garden);
  const proposed = useRef(first.year);
  const { getValues } = form;
  useEffect(() => {
    if (wanted === null || getValues('year') !== proposed.current) return;
    proposed.current = wanted;
    setValue('year', wanted);
  }, [wanted, getValues, setValue]);

  return (
    <div className="flex flex-col gap-6">
      <div>
        <Link to={`/ground/${bed.id}`} className="text-ink-soft text-sm underline underline-offset-4">
          {bed.name}
        </Link>
        <Title>
          {planting ? t('season:change', { bed: bed.name }) : t('season:plan', { bed: bed.name })}
        </Title>
      </div>
      <div className="grid gap-10 xl:grid-cols-[24rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-8">
          <Form of={form} className="flex flex-col gap-4">
            <CropVarietySelect
              cropId={form.watch('cropId')}
              varietyId={form.watch('varietyId')}
              onChange={form.put}
              labels={{ crop: t('season:crop'), variety: t('season:variety') }}
              say={(variety) =>
                t('season:varietyDays', {
                  name: names.variety(crop.id, variety.id),
                  fewest: variety.daysToMaturity.fewest,
                  most: variety.daysToMaturity.most,
                  since: t(`season:since.${crop.maturityFrom}`),
                })
              }
            />
            <VarietyFacts
              crop={crop}
              varietyId={values.varietyId}
              onAdded={(varietyId) => form.put({ varietyId })}
            />
            <div className="grid grid-cols-2 gap-4">
              <Field
                label={t('season:methodLabel')}
                name="method"
                hint={
                  crop.family === 'cucurbits' && values.method === 'setPlants'
                    ? t('season:boughtCucurbit')
                    : undefined
                }
              >
                {(props) => (
                  <Select
                    {...props}
                    {...form.control('method')}
                    options={methods.map((method) => ({
                      value: method,
                      label: names.method(crop.id, method),
                    }))}
                  />
                )}
              </Field>
              <Field label={t('season:croppingLabel')} name="cropping">
                {(props) => (
                  <Select
                    {...props}
                    {...form.control('cropping')}
                    options={croppings
                      .filter((cropping) => turnsHere.includes(cropping) || cropping === values.cropping)
                      .map((cropping) => ({ value: cropping, label: t(`season:cropping.${cropping}`) }))}
                  />
                )}
              </Field>
              <Field label={t('season:width')} name="width">
                {(props) => (
                  <input {...props} {...form.register('width')} className="input" autoComplete="off" />
                )}
              </Field>
              <Field label={t('season:length')} name="length">
                {(props) => (
                  <input {...props} {...form.register('length')} className="input" autoComplete="off" />
                )}
              </Field>
              <Field label={t('season:patternLabel')} name="pattern">
                {(props) => (
                  <Select
                    {...props}
                    {...form.control('pattern')}
                    options={patterns.map((pattern) => ({
                      value: pattern,
                      label: t(`season:pattern.${pattern}`),
                    }))}
                  />
                )}
              </Field>
              <Field label={t('season:year')} name="year">
                {(props) => (
                  <input {...props} {...form.register('year')} inputMode="numeric" className="input" />
                )}
              </Field>
            </div>
            <Field label={t('season:startOn')} hint={t('season:startOnHint')} name="startOn">
              {(props) => <DateField {...props} {...form.control('startOn')} />}
            </Field>
            <Field label={t('season:betweenId')} name="betweenId">
              {(props) => (
                <Select
                  {...props}
                  {...form.control('betweenId')}
                  options={[
                    { value: '', label: t('season:betweenNone') },
                    ...besides.map((other) => ({
                      value: other.id,
                      label: `${names.crop(other.cropId)}, ${dates.bare(other.steps[0]!.on)}`,
                    })),
                  ]}
                />
              )}
            </Field>
            <SpacingFields form={form} crop={ofVariety(crop, values.varietyId)} />
            <ProtectionField form={form} />
            <OwnPractices form={form} bed={bed} bare={bare} />
            <Checkbox label={t('season:pinned')} {...form.check('pinned')} />
            <Field label={t('season:note')} hint={t('kit:optional')} name="note">
              {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
            </Field>
            <FormFaults />
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
          </Form>
          {!planting && <Series bed={bed} values={values} bare={bare} />}
          {!planting && <Companions bed={bed} values={values} bare={bare} />}
        </div>
        <PlanPreview
          bed={bed}
          values={values}
          bare={bare}
          planting={planting}
          onStart={(on) => setValue('startOn', on, { shouldDirty: true })}
        />
      </div>
    </div>
  );
}
