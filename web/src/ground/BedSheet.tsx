import { type Bed, bedInput } from '@unity-acre/contract/ground';
import type { Rectangle } from '@unity-acre/core/ground';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { degreesShown, useReadDegrees } from '../kit/degrees.ts';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';

interface Values {
  name: string;
  x: string;
  y: string;
  width: string;
  length: string;
  offsetC: string;
  note: string;
}

interface Props {
  bed: Bed | null;
  /** a shape drawn on the plan */
  shape?: Rectangle | null;
  onClose(): void;
  onRemoved?(): void;
}

/** A bed by numbers. */
export function BedSheet({ bed, shape = null, onClose, onRemoved }: Props) {
  const { t } = useTranslation(['ground', 'kit']);
  const { lengthInput, system } = useMeasure();
  const readDegrees = useReadDegrees();
  const [id] = useState(() => bed?.id ?? newId());
  const beds = useList('beds');
  const save = useWrite('saveBed', ({ data }) => t('ground:saved', { bed: data.name }));
  const remove = useWrite('removeBed', () => t('ground:removed', { bed: bed?.name }));
  const bare = system === 'imperial' ? 'ft' : 'm';
  const valuesOf = ({ name, note, offsetC, ...rectangle }: Pick<Bed, keyof Values>): Values => ({
    name,
    note,
    offsetC: degreesShown(offsetC, system),
    x: lengthInput(rectangle.x),
    y: lengthInput(rectangle.y),
    width: lengthInput(rectangle.width),
    length: lengthInput(rectangle.length),
  });
  const fresh = {
    name: t('ground:nextName', { n: (beds.data?.length ?? 0) + 1 }),
    note: '',
    offsetC: 0,
    ...(shape ?? { x: 0, y: 0, width: 1.2192, length: 2.4384 }),
  };
  const form = useBodyForm<Values, ReturnType<typeof bedInput.parse>>({
    schema: bedInput,
    defaults: valuesOf(bed ?? fresh),
    version: bed?.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      name: values.name,
      note: values.note,
      offsetC: readDegrees('offsetC', values.offsetC, read),
      x: read.length('x', values.x, bare),
      y: read.length('y', values.y, bare),
      width: read.length('width', values.width, bare),
      length: read.length('length', values.length, bare),
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
  const { errors } = form.formState;
  const measure = (field: 'x' | 'y' | 'width' | 'length') => (
    <Field label={t(`ground:${field}`)} error={errors[field]?.message}>
      {(props) => <input {...props} {...form.register(field)} className="input" autoComplete="off" />}
    </Field>
  );
  return (
    <Sheet open title={bed ? bed.name : t('ground:addBed')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <Field label={t('ground:name')} error={errors.name?.message}>
          {(props) => <input {...props} {...form.register('name')} className="input" autoComplete="off" />}
        </Field>
        <div className="grid grid-cols-2 gap-4">
          {measure('width')}
          {measure('length')}
          {measure('x')}
          {measure('y')}
        </div>
        <p className="text-ink-soft text-sm">{t('ground:sizeHint')}</p>
        <Field
          label={t('ground:warmth', { unit: system === 'imperial' ? '°F' : '°C' })}
          hint={t('ground:warmthHint')}
          error={errors.offsetC?.message}
        >
          {(props) => (
            <input {...props} {...form.register('offsetC')} inputMode="decimal" className="input" />
          )}
        </Field>
        <Field label={t('ground:note')} hint={t('kit:optional')} error={errors.note?.message}>
          {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
        </Field>
        <RefusedNote refused={form.refused ?? remove.error} clash={form.clash} />
        <SheetActions
          busy={form.busy}
          onCancel={onClose}
          onRemove={
            bed
              ? () =>
                  remove.mutate({ params: { id }, ifMatch: bed.version }, { onSuccess: onRemoved ?? onClose })
              : undefined
          }
        />
      </form>
    </Sheet>
  );
}
