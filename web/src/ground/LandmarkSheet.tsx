import { landmarkInput, landmarkKinds } from '@unity-acre/contract/ground';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';

/** Taps, sheds and hedges: adds one, and lists those that are there. */
export function LandmarkSheet({ onClose }: { onClose(): void }) {
  const { t } = useTranslation(['ground', 'kit']);
  const { lengthInput, length, system } = useMeasure();
  const [id, setId] = useState(() => newId());
  const landmarks = useList('landmarks');
  const save = useWrite('saveLandmark', ({ data }) =>
    t('ground:landmarkSaved', { what: t(`ground:landmark.${data.kind}`) }),
  );
  const remove = useWrite('removeLandmark', () => t('ground:landmarkRemoved'));
  const bare = system === 'imperial' ? 'ft' : 'm';
  const small = lengthInput(0.3048);
  const form = useBodyForm({
    schema: landmarkInput,
    defaults: {
      kind: 'tap' as (typeof landmarkKinds)[number],
      x: lengthInput(0),
      y: lengthInput(0),
      width: small,
      length: small,
    },
    toBody: (values, read) => ({
      kind: values.kind,
      x: read.length('x', values.x, bare),
      y: read.length('y', values.y, bare),
      width: read.length('width', values.width, bare),
      length: read.length('length', values.length, bare),
    }),
    send: async (body) => {
      await save.mutateAsync({ params: { id }, body });
      setId(newId());
    },
  });
  const { errors } = form.formState;
  return (
    <Sheet open title={t('ground:addLandmark')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <Field label={t('ground:landmarkKind')} error={errors.kind?.message}>
          {(props) => (
            <select {...props} {...form.register('kind')} className="input">
              {landmarkKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {t(`ground:landmark.${kind}`)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <div className="grid grid-cols-2 gap-4">
          {(['width', 'length', 'x', 'y'] as const).map((field) => (
            <Field key={field} label={t(`ground:${field}`)} error={errors[field]?.message}>
              {(props) => <input {...props} {...form.register(field)} className="input" autoComplete="off" />}
            </Field>
          ))}
        </div>
        <RefusedNote refused={form.refused ?? remove.error} />
        <Button type="submit" look="act" disabled={form.busy} className="self-start">
          {t('kit:save')}
        </Button>
      </form>
      {(landmarks.data?.length ?? 0) > 0 && (
        <ul className="furrow mt-6">
          {landmarks.data?.map((landmark) => (
            <li
              key={landmark.id}
              className="flex items-center justify-between gap-3 border-line border-b py-1"
            >
              <span>
                {t(`ground:landmark.${landmark.kind}`)}{' '}
                <span className="text-ink-soft text-sm">
                  {length(landmark.width)} × {length(landmark.length)}
                </span>
              </span>
              <Button
                look="quiet"
                onClick={() => remove.mutate({ params: { id: landmark.id }, ifMatch: landmark.version })}
              >
                {t('kit:remove')}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
