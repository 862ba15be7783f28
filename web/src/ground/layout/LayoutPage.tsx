import type { Bed, Landmark } from '@unity-acre/contract/ground';
import {
  type Alignment,
  aligned,
  alignments,
  type LandmarkKind,
  landmarkKinds,
  type Point,
  rowOf,
  type Shape,
  usualHeights,
} from '@unity-acre/core/ground';
import { Circle, Hand, MousePointer2, Redo2, Ruler, Spline, Square, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useList, useMeasure } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';
import { Loaded, Screen } from '../../kit/screens/index.ts';
import { BedForm, freeName, RowFields, useRowTyped } from '../bed/index.ts';
import { stepIn } from '../plan/index.ts';
import { GeoFile } from './GeoFile.tsx';
import { LandmarkForm } from './LandmarkForm.tsx';
import { LayoutCanvas, type Tool } from './LayoutCanvas.tsx';
import { PicturePanel } from './PicturePanel.tsx';
import { type LayoutEditing, shaped, type Thing, useLayoutEditing } from './useLayoutEditing.ts';

const tools: { name: Tool; icon: typeof Square }[] = [
  { name: 'select', icon: MousePointer2 },
  { name: 'pan', icon: Hand },
  { name: 'rectangle', icon: Square },
  { name: 'circle', icon: Circle },
  { name: 'polygon', icon: Spline },
];

/** Lays the garden out: everything on the ground under the hand, by numbers and by keyboard. */
export default function LayoutPage() {
  const { t } = useTranslation('layout');
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  return (
    <Screen title={t('title')} className="flex flex-col gap-5">
      <PlacePaths of="layout" />
      <Loaded of={beds}>
        {(bedList) => (
          <Loaded of={landmarks}>{(marks) => <Editor beds={bedList} landmarks={marks} />}</Loaded>
        )}
      </Loaded>
    </Screen>
  );
}

function Editor({ beds, landmarks }: { beds: Bed[]; landmarks: Landmark[] }) {
  const { t } = useTranslation(['layout', 'ground']);
  const { spacing, system } = useMeasure();
  const editing = useLayoutEditing(beds, landmarks);
  const [tool, setTool] = useState<Tool>('select');
  const [making, setMaking] = useState<'bed' | LandmarkKind>('bed');
  const [measured, setMeasured] = useState<{ from: Point; to: Point } | null>(null);

  const drawn = (shape: Shape) => {
    const base = { id: newId(), version: 0, ...shape, points: shape.points && [...shape.points] };
    const thing: Thing =
      making === 'bed'
        ? {
            what: 'bed',
            ...base,
            name: freeName(beds, t('ground:nextName', { n: '#' })),
            kind: 'ground',
            height: 0,
            soilDepth: null,
            offsetC: 0,
            note: '',
            tenures: [],
          }
        : { what: 'landmark', ...base, name: '', kind: making, height: usualHeights[making] };
    void editing.save([thing]);
    editing.select([thing.id]);
    setTool('select');
  };

  return (
    <div className="grid items-start gap-6 xl:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="flex flex-col gap-2">
        <div className="flex flex-wrap items-center gap-2" role="toolbar" aria-label={t('tools')}>
          {tools.map(({ name, icon: Icon }) => (
            <Button
              key={name}
              look={tool === name ? 'act' : 'plain'}
              aria-pressed={tool === name}
              onClick={() => setTool(name)}
            >
              <Icon aria-hidden size={17} />
              {t(`tool.${name}`)}
            </Button>
          ))}
          <Field layout="unlabelled" label={t('making')}>
            {(props) => (
              <Select
                {...props}
                className="w-36"
                value={making}
                onChange={(value) => setMaking(value as typeof making)}
                options={[
                  { value: 'bed', label: t('bed') },
                  ...landmarkKinds.map((kind) => ({ value: kind, label: t(`ground:landmark.${kind}`) })),
                ]}
              />
            )}
          </Field>
          <span className="ml-auto flex gap-1">
            <Button onClick={editing.undo} disabled={!editing.canUndo} aria-label={t('undo')}>
              <Undo2 aria-hidden size={17} />
            </Button>
            <Button onClick={editing.redo} disabled={!editing.canRedo} aria-label={t('redo')}>
              <Redo2 aria-hidden size={17} />
            </Button>
          </span>
        </div>
        <LayoutCanvas
          key={tool === 'scale' ? 'scale' : 'hand'}
          editing={editing}
          tool={tool}
          onDrawn={drawn}
          onScale={(from, to) => {
            setMeasured({ from, to });
            setTool('select');
          }}
        />
        <p className="text-ink-soft text-sm">{t(`hint.${tool}`, { step: spacing(stepIn(system)) })}</p>
      </div>
      <aside className="flex flex-col gap-6">
        <Chosen editing={editing} />
        <section className="furrow">
          <h2>{t('picture.title')}</h2>
          <PicturePanel measured={measured} onMeasured={() => setMeasured(null)}>
            <Button onClick={() => setTool('scale')} look={tool === 'scale' ? 'act' : 'plain'}>
              <Ruler aria-hidden size={17} />
              {t('picture.scale')}
            </Button>
          </PicturePanel>
        </section>
        <section className="furrow">
          <h2>{t('file.title')}</h2>
          <GeoFile />
        </section>
      </aside>
    </div>
  );
}

/** What is selected: one thing by its numbers, several to be brought into line. */
function Chosen({ editing }: { editing: LayoutEditing }) {
  const { t } = useTranslation('layout');
  const { chosen } = editing;
  const [one] = chosen;
  if (!one) {
    return (
      <section className="furrow">
        <h2>{t('chosen.none')}</h2>
        <p className="text-ink-soft">{t('chosen.noneHint')}</p>
      </section>
    );
  }
  const done = () => editing.select([]);
  if (chosen.length > 1) {
    return (
      <section className="furrow">
        <h2>{t('chosen.several', { count: chosen.length })}</h2>
        <div className="mt-2 flex flex-wrap gap-2">
          {alignments.map((by: Alignment) => (
            <Button
              key={by}
              onClick={() => editing.save(aligned(chosen, by).map((shape, i) => shaped(chosen[i]!, shape)))}
            >
              {t(`align.${by}`)}
            </Button>
          ))}
          <Button look="danger" onClick={() => editing.remove(chosen)}>
            {t('chosen.remove')}
          </Button>
        </div>
      </section>
    );
  }
  const key = `${one.id} ${one.version} ${one.x} ${one.y} ${one.width} ${one.length} ${one.angle}`;
  return (
    <section className="furrow">
      <h2>{one.name || t('chosen.one')}</h2>
      {one.version > 0 &&
        (one.what === 'bed' ? (
          <BedForm key={key} bed={one} onDone={done} onRemoved={done} />
        ) : (
          <LandmarkForm key={key} landmark={one} onDone={done} />
        ))}
      <InARow thing={one} editing={editing} />
    </section>
  );
}

/** Copies of a bed in a row, with a path between each. */
function InARow({ thing, editing }: { thing: Thing; editing: LayoutEditing }) {
  const { t } = useTranslation(['layout', 'ground']);
  const typed = useRowTyped('3');
  const beds = editing.things.filter((one) => one.what === 'bed');
  const row = typed.read(1);
  const make = () => {
    if (!row) return;
    const named: { name: string }[] = [...beds];
    const made = rowOf(thing, row.count, row.gap, row.towards).map((shape): Thing => {
      const name = thing.what === 'bed' ? freeName(named, t('ground:nextName', { n: '#' })) : thing.name;
      named.push({ name });
      const copy = shaped({ ...thing, id: newId(), version: 0, name }, shape);
      return copy.what === 'bed' ? { ...copy, tenures: [] } : copy;
    });
    void editing.save(made);
    editing.select(made.map(({ id }) => id));
  };
  return (
    <fieldset className="mt-5 min-w-0 border-line border-t pt-3">
      <legend className="font-semibold">{t('layout:row.title')}</legend>
      <RowFields row={typed} countLabel={t('layout:row.copies')} />
      <Button className="mt-3" onClick={make} disabled={!row}>
        {t('layout:row.make')}
      </Button>
      {!row && <p className="mt-1 text-beet text-sm">{t('layout:row.wrong')}</p>}
    </fieldset>
  );
}
