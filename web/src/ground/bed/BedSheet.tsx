import { type Bed, bedInput } from '@unity-acre/contract/ground';
import { bedKinds, forms, freePlace, rowOf } from '@unity-acre/core/ground';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { degreesShown, useList, useMeasure, useReadDegrees, useWrite } from '../../garden/index.ts';
import { Select } from '../../kit/controls/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FootedForm, Sheet } from '../../kit/screens/index.ts';
import { freeName, RowFields, useRowTyped } from './rowOfBeds.tsx';

/** A barrow's path between a new bed and those that are there, metres. */
const BESIDE_M = 0.9144;
/** What a new bed measures at first, metres: 4 by 8 ft. */
const usual = { width: 1.2192, length: 2.4384 };

interface Values {
  name: string;
  kind: Bed['kind'];
  form: Bed['form'];
  x: string;
  y: string;
  width: string;
  length: string;
  angle: string;
  height: string;
  soilDepth: string;
  offsetC: string;
  note: string;
}

/** A bed by numbers, on a sheet laid over the page. */
export function BedSheet({
  bed,
  onClose,
  onRemoved,
}: {
  bed: Bed | null;
  onClose(): void;
  onRemoved?(): void;
}) {
  const { t } = useTranslation('ground');
  return (
    <Sheet open title={bed ? bed.name : t('addBed')} onClose={onClose}>
      <BedForm bed={bed} onDone={onClose} onRemoved={onRemoved ?? onClose} />
    </Sheet>
  );
}

interface FormProps {
  bed: Bed | null;
  onDone(): void;
  onRemoved(): void;
}

/** A bed by numbers. A polygon keeps its corners: its sides follow from them. */
export function BedForm({ bed, onDone, onRemoved }: FormProps) {
  const { t } = useTranslation(['ground', 'kit']);
  const { lengthInput, system, number } = useMeasure();
  const readDegrees = useReadDegrees();
  const [id] = useState(() => bed?.id ?? newId());
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  const typed = useRowTyped('1');
  const row = typed.read(1);
  const save = useWrite('saveBed', ({ data }) => t('ground:saved', { bed: data.name }));
  const saveRow = useWrite('saveLayout', ({ data }) => t('ground:row.made', { count: data.beds.length }));
  const remove = useWrite('removeBed', {
    say: () => t('ground:removed', { bed: bed?.name }),
    refusal: ({ problem }) => (problem.code === 'inUse' ? t('ground:inUse', { bed: bed?.name }) : undefined),
  });
  const bare = system === 'imperial' ? 'ft' : 'm';
  const valuesOf = (row: Pick<Bed, keyof Values>): Values => ({
    name: row.name,
    note: row.note,
    kind: row.kind,
    form: row.form,
    offsetC: degreesShown(row.offsetC, system),
    x: lengthInput(row.x),
    y: lengthInput(row.y),
    width: lengthInput(row.width),
    length: lengthInput(row.length),
    angle: number(row.angle, 2),
    height: row.height > 0 ? lengthInput(row.height) : '',
    soilDepth: row.soilDepth === null ? '' : lengthInput(row.soilDepth),
  });
  const fresh = {
    name: t('ground:nextName', { n: (beds.data?.length ?? 0) + 1 }),
    note: '',
    kind: 'ground' as const,
    form: 'rectangle' as const,
    offsetC: 0,
    // On no bed, and on nothing that stands there.
    ...freePlace([...(landmarks.data ?? []), ...(beds.data ?? [])], usual, BESIDE_M),
    ...usual,
    angle: 0,
    height: 0,
    soilDepth: null,
  };
  const form = useBodyForm<Values, ReturnType<typeof bedInput.parse>>({
    draft: `bed ${bed?.id ?? 'new'}`,
    schema: bedInput,
    defaults: valuesOf(bed ?? fresh),
    version: bed?.version,
    toValues: valuesOf,
    toBody: (values, read) => {
      if (!bed && !row) read.errors.howMany = 'rowOfBeds';
      const width = read.length('width', values.width, bare);
      const isPolygon = values.form === 'polygon' && bed?.points;
      return {
        name: values.name,
        note: values.note,
        kind: values.kind,
        form: values.form,
        offsetC: readDegrees('offsetC', values.offsetC, read),
        x: read.length('x', values.x, bare),
        y: read.length('y', values.y, bare),
        width: isPolygon ? bed.width : width,
        length: isPolygon
          ? bed.length
          : values.form === 'circle'
            ? width
            : read.length('length', values.length, bare),
        angle: read.number('angle', values.angle),
        points: isPolygon ? bed.points : null,
        height: values.height.trim() === '' ? 0 : read.length('height', values.height, bare),
        soilDepth: values.soilDepth.trim() === '' ? null : read.length('soilDepth', values.soilDepth, bare),
      };
    },
    send: async (body, ifMatch) => {
      if (!row || row.count === 1) await save.mutateAsync({ params: { id }, body, ifMatch });
      else await saveRow.mutateAsync({ body: { beds: inRow(body, row), landmarks: [] } });
      onDone();
    },
  });
  const inRow = (
    body: ReturnType<typeof bedInput.parse>,
    { count, gap, towards }: NonNullable<typeof row>,
  ) => {
    const named: { name: string }[] = [...(beds.data ?? []), body];
    return [body, ...rowOf(body, count - 1, gap, towards)].map((shape, n) => {
      const name = n === 0 ? body.name : freeName(named, t('ground:nextName', { n: '#' }));
      named.push({ name });
      return { ...body, x: shape.x, y: shape.y, id: n === 0 ? id : newId(), version: null, name };
    });
  };
  const { form: formNow, kind } = form.watch();
  const measure = (
    field: 'x' | 'y' | 'width' | 'length' | 'angle' | 'height' | 'soilDepth',
    label: string,
  ) => (
    <Field key={field} label={label} name={field}>
      {(props) => (
        <input
          {...props}
          {...form.register(field)}
          className="input"
          autoComplete="off"
          readOnly={formNow === 'polygon' && (field === 'width' || field === 'length')}
        />
      )}
    </Field>
  );
  return (
    <FootedForm
      of={form}
      onClose={onDone}
      onRemove={
        bed
          ? () => remove.mutate({ params: { id }, ifMatch: bed.version }, { onSuccess: onRemoved })
          : undefined
      }
    >
      <Field label={t('ground:name')} name="name">
        {(props) => <input {...props} {...form.register('name')} className="input" autoComplete="off" />}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('ground:kindLabel')} name="kind">
          {(props) => (
            <Select
              {...props}
              {...form.control('kind')}
              options={bedKinds.map((one) => ({ value: one, label: t(`ground:kind.${one}`) }))}
            />
          )}
        </Field>
        <Field label={t('ground:formLabel')} name="form">
          {(props) => (
            <Select
              {...props}
              {...form.control('form')}
              options={forms
                .filter((one) => one !== 'polygon' || bed?.form === 'polygon')
                .map((one) => ({ value: one, label: t(`ground:form.${one}`) }))}
            />
          )}
        </Field>
        {formNow === 'circle'
          ? measure('width', t('ground:diameter'))
          : [measure('width', t('ground:width')), measure('length', t('ground:length'))]}
        {measure('x', t('ground:x'))}
        {measure('y', t('ground:y'))}
        {formNow === 'rectangle' && measure('angle', t('ground:angle'))}
        {measure('soilDepth', t('ground:soilDepth'))}
        {kind !== 'ground' && measure('height', t('ground:height'))}
      </div>
      <p className="text-ink-soft text-sm">
        {t(formNow === 'polygon' ? 'ground:polygonHint' : 'ground:sizeHint')}
      </p>
      <Field
        label={t('ground:warmth', { unit: system === 'imperial' ? '°F' : '°C' })}
        hint={t('ground:warmthHint')}
        name="offsetC"
      >
        {(props) => <input {...props} {...form.register('offsetC')} inputMode="decimal" className="input" />}
      </Field>
      {!bed && (
        <div>
          <RowFields row={typed} countLabel={t('ground:row.howMany')} />
          {!row && <p className="mt-1 text-beet text-sm">{t('ground:row.wrong')}</p>}
        </div>
      )}
      <Field label={t('ground:note')} hint={t('kit:optional')} name="note">
        {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
      </Field>
    </FootedForm>
  );
}
