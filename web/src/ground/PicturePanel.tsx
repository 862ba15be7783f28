import { useQueryClient } from '@tanstack/react-query';
import { CHANGE_HEADER, type Problem, table } from '@unity-acre/contract';
import type { Underlay } from '@unity-acre/contract/ground';
import type { Point } from '@unity-acre/core/ground';
import { parseLength } from '@unity-acre/core/units';
import { type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Refused } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { FileField } from '../kit/FileField.tsx';
import { Field } from '../kit/form.tsx';
import { useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { useNotices } from '../kit/notices.ts';
import { shrunk } from './picture.ts';

/** How wide a picture lies before anybody has set its scale, metres. */
const FIRST_WIDTH_M = 30;

interface Props {
  /** two places pointed at on the picture */
  measured: { from: Point; to: Point } | null;
  onMeasured(): void;
  /** the button that begins to point */
  children: ReactNode;
}

/** A site plan or air photo under the plan: brought in, set to scale by two points, moved, faded. */
export function PicturePanel({ measured, onMeasured, children }: Props) {
  const { t } = useTranslation(['layout', 'problem', 'kit']);
  const { garden } = useHere();
  const underlays = useList('underlays');
  const client = useQueryClient();
  const show = useNotices((notices) => notices.show);
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  const remove = useWrite('removeUnderlay', () => t('layout:picture.removed'));
  const lying = underlays.data?.[0];

  const bring = async (file: File | null) => {
    setError(undefined);
    if (!file) return;
    setBusy(true);
    try {
      const picture = await shrunk(file);
      const query = new URLSearchParams({
        width: String(picture.width),
        height: String(picture.height),
        metresPerPixel: String(FIRST_WIDTH_M / picture.width),
      });
      const response = await fetch(`${table.addPicture.path.replace(':gardenId', garden.id)}?${query}`, {
        method: table.addPicture.method,
        headers: { 'content-type': picture.content.type },
        body: picture.content,
      });
      if (!response.ok) throw new Refused((await response.json()) as Problem);
      await client.invalidateQueries({ queryKey: ['garden', garden.id] });
      show({ text: t('layout:picture.added'), change: response.headers.get(CHANGE_HEADER) });
    } catch (trouble) {
      const field = trouble instanceof Refused ? trouble.problem.errors?.[0] : undefined;
      const code = trouble instanceof RangeError ? trouble.message : (field?.code ?? 'notAPicture');
      setError(`${code}${field?.limit === undefined ? '' : `:${field.limit}`}`);
    } finally {
      setBusy(false);
    }
  };

  return (
    <div className="flex flex-col gap-3">
      {lying && (
        <>
          <Lying key={lying.version} lying={lying} measured={measured} onMeasured={onMeasured} />
          <div className="flex flex-wrap gap-2">
            {children}
            <Button
              look="quiet"
              onClick={() => remove.mutate({ params: { id: lying.id }, ifMatch: lying.version })}
            >
              {t('kit:remove')}
            </Button>
          </div>
        </>
      )}
      <FileField
        label={t(lying ? 'layout:picture.another' : 'layout:picture.choose')}
        hint={busy ? t('layout:picture.busy') : t('layout:picture.hint')}
        error={error}
        accept="image/png,image/jpeg,image/webp"
        onFile={bring}
      />
    </div>
  );
}

/** How the picture lies: its place, its scale and how strongly it shows. */
function Lying({
  lying,
  measured,
  onMeasured,
}: {
  lying: Underlay;
  measured: Props['measured'];
  onMeasured(): void;
}) {
  const { t } = useTranslation('layout');
  const { system, length, lengthInput } = useMeasure();
  const bare = system === 'imperial' ? 'ft' : 'm';
  const save = useWrite('saveUnderlay');
  const [far, setFar] = useState('');
  const [at, setAt] = useState({ x: lengthInput(lying.x), y: lengthInput(lying.y) });
  const put = (over: Partial<Underlay>) => {
    const { x, y, metresPerPixel, angle, strength } = { ...lying, ...over };
    save.mutate({
      params: { id: lying.id },
      body: { x, y, metresPerPixel, angle, strength },
      ifMatch: lying.version,
    });
  };
  const apart = measured ? Math.hypot(measured.to.x - measured.from.x, measured.to.y - measured.from.y) : 0;
  const truly = parseLength(far, bare);
  const rescale = () => {
    if (!measured || !truly || apart === 0) return;
    const factor = truly / apart;
    // The first of the two places stays where it is.
    const from = measured.from;
    put({
      metresPerPixel: lying.metresPerPixel * factor,
      x: from.x + (lying.x - from.x) * factor,
      y: from.y + (lying.y - from.y) * factor,
    });
    onMeasured();
  };
  return (
    <>
      {measured && (
        <div className="flex items-end gap-2 border-blossom border-l-4 bg-straw-soft p-2">
          <Field label={t('picture.apart', { now: length(apart) })}>
            {(props) => (
              <input
                {...props}
                className="input"
                value={far}
                onChange={(event) => setFar(event.target.value)}
              />
            )}
          </Field>
          <Button look="act" onClick={rescale} disabled={!truly || truly <= 0}>
            {t('picture.set')}
          </Button>
        </div>
      )}
      <p className="text-sm">
        {t('picture.size', {
          width: length(lying.width * lying.metresPerPixel),
          height: length(lying.height * lying.metresPerPixel),
        })}
      </p>
      <div className="grid grid-cols-2 gap-3">
        {(['x', 'y'] as const).map((axis) => (
          <Field key={axis} label={t(`picture.${axis}`)}>
            {(props) => (
              <input
                {...props}
                className="input"
                value={at[axis]}
                onChange={(event) => setAt({ ...at, [axis]: event.target.value })}
                onBlur={() => {
                  const metres = parseLength(at[axis], bare);
                  if (metres !== null && metres !== lying[axis]) put({ [axis]: metres });
                }}
              />
            )}
          </Field>
        ))}
      </div>
      <Field label={t('picture.strength')}>
        {(props) => (
          <input
            {...props}
            type="range"
            min={0}
            max={100}
            defaultValue={lying.strength * 100}
            onPointerUp={(event) => put({ strength: Number(event.currentTarget.value) / 100 })}
            onKeyUp={(event) => put({ strength: Number(event.currentTarget.value) / 100 })}
          />
        )}
      </Field>
    </>
  );
}
