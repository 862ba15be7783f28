import type { Underlay } from '@unity-acre/contract/ground';
import type { Point } from '@unity-acre/core/ground';
import { parseLength } from '@unity-acre/core/units';
import { type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useList, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Slider } from '../../kit/controls/index.ts';
import { Field, FileField, firstFault, hasFields } from '../../kit/forms/index.ts';
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
  const { t } = useTranslation(['layout', 'kit']);
  const underlays = useList('underlays');
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  const add = useWrite('addPicture', { say: () => t('layout:picture.added'), isShownHere: hasFields });
  const remove = useWrite('removeUnderlay', () => t('layout:picture.removed'));
  const lying = underlays.data?.[0];

  const bring = async (file: File | null) => {
    setError(undefined);
    if (!file) return;
    setBusy(true);
    try {
      const { content, width, height } = await shrunk(file);
      const query = { width, height, metresPerPixel: FIRST_WIDTH_M / width };
      add.mutate({ query, file: { content } });
    } catch (trouble) {
      setError(trouble instanceof RangeError ? trouble.message : 'notAPicture');
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
        error={error ?? firstFault(add.error)}
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
  const [strength, setStrength] = useState(lying.strength);
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
          <Slider
            {...props}
            aria-label={t('picture.strength')}
            shown={`${Math.round(strength * 100)}%`}
            min={0}
            max={100}
            value={strength * 100}
            onChange={(percent) => setStrength(percent / 100)}
            onRest={(percent) => put({ strength: percent / 100 })}
          />
        )}
      </Field>
    </>
  );
}
