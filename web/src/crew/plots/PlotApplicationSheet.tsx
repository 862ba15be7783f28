import { type PlotApplication, plotApplicationInput } from '@unity-acre/contract/crew';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { PersonSelect, presentPeople, useHere, useList, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Checkbox, Combobox, DateField } from '../../kit/controls/index.ts';
import { Field, useBodyForm, useRemedy } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';

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
    draft: `plot application ${application?.id ?? `new ${year}`}`,
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
    <FormSheet
      of={form}
      title={application?.name ?? t('sheet', { year })}
      onClose={onClose}
      onRemove={
        application
          ? () =>
              remove.mutate({ params: { year, id }, ifMatch: application.version }, { onSuccess: onClose })
          : undefined
      }
    >
      {!application && (
        <Field label={t('who')} name="personId">
          {(props) => (
            <PersonSelect
              {...props}
              {...form.control('personId')}
              onChange={(personId) => {
                const waiting = people.find((one) => one.id === personId)?.waitingSince;
                form.put({ personId, ...(waiting && { since: waiting }) });
              }}
              placeholder={t('choose')}
              people={people.filter(({ role, kind }) => role !== 'receiver' && kind !== 'minor')}
            />
          )}
        </Field>
      )}
      <div className="flex flex-col gap-1">
        <Field label={t('wishes')} name="wishes">
          {(props) => (
            <Combobox
              {...props}
              value=""
              onChange={(bedId: string) => bedId && form.put({ wishes: [...wishes, bedId] })}
              options={[
                { value: '', label: t('addWish') },
                ...plots
                  .filter((bed) => !wishes.includes(bed.id))
                  .map((bed) => ({ value: bed.id, label: bed.name })),
              ]}
            />
          )}
        </Field>
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
          <Checkbox key={need} label={t(`need.${need}`)} {...form.check(need)} />
        ))}
        <Checkbox label={t('onlyNamed')} {...form.check('onlyNamed')} />
      </fieldset>
      <div className="grid grid-cols-2 items-start gap-4">
        {(['leastArea', 'mostArea'] as const).map((field) => (
          <Field key={field} label={t(field, { unit: system === 'imperial' ? 'sq ft' : 'm²' })} name={field}>
            {(props) => <input {...props} {...form.register(field)} inputMode="decimal" className="input" />}
          </Field>
        ))}
      </div>
      <Field label={t('since')} name="since">
        {(props) => <DateField {...props} {...form.control('since')} />}
      </Field>
    </FormSheet>
  );
}
