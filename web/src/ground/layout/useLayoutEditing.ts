import { useQueryClient } from '@tanstack/react-query';
import type { Bed, Landmark } from '@unity-acre/contract/ground';
import type { Shape } from '@unity-acre/core/ground';
import { useMemo, useRef, useState } from 'react';
import { useHere, useWrite } from '../../garden/index.ts';
import { refusalWords } from '../../kit/forms/index.ts';
import { Refused } from '../../kit/refused.ts';
import { useNotices } from '../../kit/screens/index.ts';

/** A bed or a landmark, as the hand that moves it does not care which. A version of 0 is not saved yet. */
export type Thing = ({ what: 'bed' } & Bed) | ({ what: 'landmark' } & Landmark);

/** A thing with another shape. */
export const shaped = (thing: Thing, shape: Shape): Thing => {
  const { form, x, y, width, length, angle, points } = shape;
  return { ...thing, form, x, y, width, length, angle, points: points && [...points] };
};

/** How long the arrow keys may go on before a move is saved, milliseconds. */
const PAUSE_MS = 450;

/**
 * Editing the layout: what is moved shows at once and is saved when the hand rests, every gesture as one change that can be
 * taken back and done again.
 */
export function useLayoutEditing(beds: readonly Bed[], landmarks: readonly Landmark[]) {
  const { garden } = useHere();
  const client = useQueryClient();
  const show = useNotices((notices) => notices.show);
  const [drafts, setDrafts] = useState<ReadonlyMap<string, Thing>>(new Map());
  const [selected, setSelected] = useState<readonly string[]>([]);
  // What can be taken back stands in refs: several presses may wait in line before the page is drawn again.
  const past = useRef<string[]>([]);
  const future = useRef<string[]>([]);
  const [depth, setDepth] = useState({ past: 0, future: 0 });
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const waiting = useRef(new Map<string, Thing>());
  const saveLayout = useWrite('saveLayout');
  const removeBed = useWrite('removeBed');
  const removeLandmark = useWrite('removeLandmark');
  const undoing = useWrite('undo');

  const things = useMemo(() => {
    const saved: Thing[] = [
      ...landmarks.map((row): Thing => ({ what: 'landmark', ...row })),
      ...beds.map((row): Thing => ({ what: 'bed', ...row })),
    ];
    const known = new Set(saved.map(({ id }) => id));
    return [
      ...saved.map((thing) => drafts.get(thing.id) ?? thing),
      ...[...drafts.values()].filter(({ id }) => !known.has(id)),
    ];
  }, [beds, landmarks, drafts]);

  const trouble = async (error: unknown) => {
    if (!(error instanceof Refused)) throw error;
    show({ tone: 'trouble', text: await refusalWords(error) });
  };

  /** Does one thing after another, so that no save is overtaken by the next. */
  const inLine = (work: () => Promise<unknown>) => {
    line.current = line.current.then(work).catch(trouble);
    return line.current;
  };
  const seen = () => setDepth({ past: past.current.length, future: future.current.length });
  /** Takes the latest change of one list back, and puts the change that did so on the other. */
  const takeBack = (from: typeof past, to: typeof past) =>
    inLine(async () => {
      const last = from.current.pop();
      if (!last) return;
      const { change } = await undoing.mutateAsync({ params: { id: last }, body: {} });
      if (change) to.current.push(change);
      seen();
    });
  const remember = (change: string | null) => {
    if (!change) return;
    past.current.push(change);
    future.current = [];
    seen();
  };
  /** The version a row has by now: an earlier save may have come in since it was drawn. */
  const versionOf = (thing: Thing): number | null => {
    const rows = client.getQueryData<{ id: string; version: number }[]>([
      'garden',
      garden.id,
      thing.what === 'bed' ? 'beds' : 'landmarks',
    ]);
    return rows?.find(({ id }) => id === thing.id)?.version ?? null;
  };

  const draft = (changed: readonly Thing[]) =>
    setDrafts((now) => new Map([...now, ...changed.map((thing): [string, Thing] => [thing.id, thing])]));
  const forget = (ids: readonly string[]) =>
    setDrafts((now) => new Map([...now].filter(([id]) => !ids.includes(id))));

  const save = (changed: readonly Thing[]) => {
    draft(changed);
    const ids = changed.map(({ id }) => id);
    return inLine(async () => {
      try {
        const { change } = await saveLayout.mutateAsync({
          body: {
            beds: changed.flatMap((thing) => {
              if (thing.what !== 'bed') return [];
              const { what: _, tenures: __, ...bed } = thing;
              return [{ ...bed, version: versionOf(thing) }];
            }),
            landmarks: changed.flatMap((thing) => {
              if (thing.what !== 'landmark') return [];
              const { what: _, ...mark } = thing;
              return [{ ...mark, version: versionOf(thing) }];
            }),
          },
        });
        remember(change);
      } finally {
        forget(ids);
      }
    });
  };

  return {
    things,
    selected,
    select: setSelected,
    chosen: things.filter(({ id }) => selected.includes(id)),
    draft,
    save,
    /** Shows a move at once and saves it when no further one follows. */
    saveSoon: (changed: readonly Thing[]) => {
      draft(changed);
      for (const thing of changed) waiting.current.set(thing.id, thing);
      clearTimeout(pause.current);
      pause.current = setTimeout(() => {
        const moved = [...waiting.current.values()];
        waiting.current.clear();
        void save(moved);
      }, PAUSE_MS);
    },
    remove: (gone: readonly Thing[]) =>
      inLine(async () => {
        for (const thing of gone) {
          const ask = { params: { id: thing.id }, ifMatch: versionOf(thing) ?? undefined };
          const told =
            thing.what === 'bed' ? await removeBed.mutateAsync(ask) : await removeLandmark.mutateAsync(ask);
          remember(told.change);
        }
        setSelected([]);
      }),
    canUndo: depth.past > 0,
    canRedo: depth.future > 0,
    undo: () => takeBack(past, future),
    redo: () => takeBack(future, past),
  };
}

export type LayoutEditing = ReturnType<typeof useLayoutEditing>;
