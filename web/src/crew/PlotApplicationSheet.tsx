import { type PlotApplication, plotApplicationInput } from '@unity-acre/contract/crew';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm, useRemedy } from '../kit/form.tsx';
import { presentPeople, useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';

/** Square metres in a square foot, by the definition of the foot. */
const SQUARE_FOOT = 0.3048 ** 2;

interface Props {
  year: number;
  application: PlotApplication | null;
  onClose(): void;
}

/** Somebody's application for a plot: ranked wishes, and what a plot has to have. */
export function PlotApplicationSheet({ year, application, onClose }: Props) {
  const { t } = useTranslation('plots');
  const { garden } = useHere();
  const people = presentPeople(useList('people').data);
  const beds = useList('beds').data ?? [];
  const remedy = useRemedy();
  const { number, system } = useMeasure();
  // A size is typed in the garden's unit and kept in square metres.
  const unit = system === 'imperial' ? SQUARE_FOOT : 1;
  const sizeIn = (area: number | null) => (area === null ? '' : number(area / unit, 1));
  const [id] = useState(() => application?.id ?? newId());
  const save = useWrite('savePlotApplication', ({ data }) => t('saved', { name: data.name }));
  const remove = useWrite('removePlotApplication', () => t('removed'));
  const valuesOf = ({ personId, wishes, needs, since, onlyNamed }: PlotApplication) => ({
    personId,
    wishes,
    tall: needs.tall,
    nearWater: needs.nearWater,
    fullSun: needs.fullSun,
    leastArea: sizeIn(needs.leastArea),
    mostArea: sizeIn(needs.mostArea),
    since,
    onlyNamed,
  });
  const form = useBodyForm({
    schema: plotApplicationInput,
    defaults: application
      ? valuesOf(application)
      : {
          personId: '',
          wishes: [] as string[],
          tall: false,
          nearWater: false,
          fullSun: false,
          leastArea: '',
          mostArea: '',
          since: garden.today,
          onlyNamed: false,
        },
    version: application?.version,
    toValues: valuesOf,
    flat: (path) => path.replace(/^needs\./, ''),
    toBody: ({ tall, nearWater, fullSun, leastArea, mostArea, ...values }, read) => {
      const area = (field: 'leastArea' | 'mostArea', typed: string) =>
        typed.trim() === '' ? null : read.number(field, typed) * unit;
      return {
        ...values,
        year,
        needs: {
          tall,
          nearWater,
          fullSun,
          leastArea: area('leastArea', leastArea),
          mostArea: area('mostArea', mostArea),
        },
      };
    },
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { year, id }, body, ifMatch });
      onClose();
    },
  });
  const { errors } = form.formState;
  const wishes = form.watch('wishes');
  const plots = beds.filter((bed) =>
    bed.tenures.some((one) => one.kind === 'plot' && (one.year === year || one.year === year - 1)),
  );
  const nameOf = (bedId: string) => beds.find((bed) => bed.id === bedId)?.name ?? '';
  return (
    <Sheet open title={application?.name ?? t('sheet', { year })} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        {!application && (
          <Field label={t('who')} error={errors.personId?.message}>
            {(props) => (
              <select
                {...props}
                {...form.register('personId', {
                  onChange: ({ target }) => {
                    const waiting = people.find((one) => one.id === target.value)?.waitingSince;
                    if (waiting) form.setValue('since', waiting);
                  },
                })}
                className="input"
              >
                <option value="">{t('choose')}</option>
                {people
                  .filter(({ role, kind }) => role !== 'receiver' && kind !== 'minor')
                  .map((person) => (
                    <option key={person.id} value={person.id}>
                      {person.name}
                    </option>
                  ))}
              </select>
            )}
          </Field>
        )}
        <div className="flex flex-col gap-1">
          <label className="flex flex-col gap-1 font-semibold text-sm">
            {t('wishes')}
            <select
              className="input font-normal"
              value=""
              onChange={(event) => form.setValue('wishes', [...wishes, event.target.value])}
            >
              <option value="">{t('addWish')}</option>
              {plots
                .filter((bed) => !wishes.includes(bed.id))
                .map((bed) => (
                  <option key={bed.id} value={bed.id}>
                    {bed.name}
                  </option>
                ))}
            </select>
          </label>
          <ol>
            {wishes.map((bedId, i) => (
              <li key={bedId} className="flex items-center justify-between border-line border-b text-sm">
                {i + 1}. {nameOf(bedId)}
                <Button
                  look="quiet"
                  aria-label={t('takeOut', { name: nameOf(bedId) })}
                  onClick={() =>
                    form.setValue(
                      'wishes',
                      wishes.filter((one) => one !== bedId),
                    )
                  }
                >
                  <X aria-hidden size={16} />
                </Button>
              </li>
            ))}
          </ol>
          {errors.wishes?.message && (
            <p className="text-beet text-sm">{remedy(String(errors.wishes.message))}</p>
          )}
        </div>
        <fieldset>
          <legend className="font-semibold text-sm">{t('needs')}</legend>
          {(['tall', 'nearWater', 'fullSun'] as const).map((need) => (
            <label key={need} className="flex min-h-target items-center gap-3">
              <input
                type="checkbox"
                {...form.register(need)}
                className="size-5 shrink-0 accent-blossom-deep"
              />
              {t(`need.${need}`)}
            </label>
          ))}
          <label className="flex min-h-target items-center gap-3">
            <input
              type="checkbox"
              {...form.register('onlyNamed')}
              className="size-5 shrink-0 accent-blossom-deep"
            />
            {t('onlyNamed')}
          </label>
        </fieldset>
        <div className="grid grid-cols-2 items-start gap-4">
          {(['leastArea', 'mostArea'] as const).map((field) => (
            <Field
              key={field}
              label={t(field, { unit: system === 'imperial' ? 'sq ft' : 'm²' })}
              error={errors[field]?.message}
            >
              {(props) => (
                <input {...props} {...form.register(field)} inputMode="decimal" className="input" />
              )}
            </Field>
          ))}
        </div>
        <Field label={t('since')} error={errors.since?.message}>
          {(props) => <input {...props} {...form.register('since')} type="date" className="input" />}
        </Field>
        <RefusedNote refused={form.refused} clash={form.clash} />
        <SheetActions
          busy={form.busy}
          onCancel={onClose}
          onRemove={
            application
              ? () =>
                  remove.mutate(
                    { params: { year, id }, ifMatch: application.version },
                    { onSuccess: onClose },
                  )
              : undefined
          }
        />
      </form>
    </Sheet>
  );
}
