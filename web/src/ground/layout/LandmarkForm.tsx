import { type Landmark, landmarkInput } from '@unity-acre/contract/ground';
import { landmarkKinds, standingKinds } from '@unity-acre/core/ground';
import { useTranslation } from 'react-i18next';
import { useMeasure, useWrite } from '../../garden/index.ts';
import { Select } from '../../kit/controls/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FootedForm } from '../../kit/screens/index.ts';

/** A landmark by numbers. */
export function LandmarkForm({ landmark, onDone }: { landmark: Landmark; onDone(): void }) {
  const { t } = useTranslation(['ground', 'kit']);
  const { lengthInput, system, number } = useMeasure();
  const save = useWrite('saveLandmark', ({ data }) =>
    t('ground:landmarkSaved', { what: data.name || t(`ground:landmark.${data.kind}`) }),
  );
  const remove = useWrite('removeLandmark', () => t('ground:landmarkRemoved'));
  const bare = system === 'imperial' ? 'ft' : 'm';
  const valuesOf = (row: Landmark) => ({
    kind: row.kind,
    name: row.name,
    x: lengthInput(row.x),
    y: lengthInput(row.y),
    width: lengthInput(row.width),
    length: lengthInput(row.length),
    angle: number(row.angle, 2),
    height: lengthInput(row.height),
  });
  const { form: shape, points } = landmark;
  const form = useBodyForm<ReturnType<typeof valuesOf>, ReturnType<typeof landmarkInput.parse>>({
    draft: `landmark ${landmark.id}`,
    schema: landmarkInput,
    defaults: valuesOf(landmark),
    version: landmark.version,
    toValues: valuesOf,
    toBody: (values, read) => {
      const width = shape === 'polygon' ? landmark.width : read.length('width', values.width, bare);
      return {
        kind: values.kind,
        name: values.name,
        form: shape,
        points,
        x: read.length('x', values.x, bare),
        y: read.length('y', values.y, bare),
        width,
        length:
          shape === 'rectangle'
            ? read.length('length', values.length, bare)
            : shape === 'circle'
              ? width
              : landmark.length,
        angle: read.number('angle', values.angle),
        height: read.length('height', values.height, bare),
      };
    },
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id: landmark.id }, body, ifMatch });
      onDone();
    },
  });
  const stands = standingKinds.includes(form.watch('kind'));
  const fields: ('x' | 'y' | 'width' | 'length' | 'angle' | 'height')[] = [
    ...(shape === 'polygon' ? [] : (['width'] as const)),
    ...(shape === 'rectangle' ? (['length', 'angle'] as const) : []),
    'x',
    'y',
    ...(stands ? (['height'] as const) : []),
  ];
  return (
    <FootedForm
      of={form}
      onClose={onDone}
      onRemove={() =>
        remove.mutate({ params: { id: landmark.id }, ifMatch: landmark.version }, { onSuccess: onDone })
      }
    >
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('ground:landmarkKind')} name="kind">
          {(props) => (
            <Select
              {...props}
              {...form.control('kind')}
              options={landmarkKinds.map((kind) => ({ value: kind, label: t(`ground:landmark.${kind}`) }))}
            />
          )}
        </Field>
        <Field label={t('ground:name')} name="name">
          {(props) => <input {...props} {...form.register('name')} className="input" autoComplete="off" />}
        </Field>
        {fields.map((field) => (
          <Field
            key={field}
            label={t(field === 'width' && shape === 'circle' ? 'ground:diameter' : `ground:${field}`)}
            name={field}
          >
            {(props) => <input {...props} {...form.register(field)} className="input" autoComplete="off" />}
          </Field>
        ))}
      </div>
    </FootedForm>
  );
}
