import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { snapTo, workedOutline } from '@unity-acre/core/ground';
import { overlap, type PlaceInBed } from '@unity-acre/core/season';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../../crops/names.ts';
import { useMeasure, useWrite } from '../../garden/index.ts';
import { useNotices } from '../../kit/screens/index.ts';
import { inputOf } from '../../season/bands/index.ts';
import { type Standing, stepIn } from '../plan/index.ts';

/** How long the arrow keys may go on before a move is saved, milliseconds. */
const PAUSE_MS = 600;

interface Held {
  id: string;
  at: PlaceInBed;
}

/** Moving plantings about in their bed. */
export interface Placing {
  heldId: string | null;
  /** metres that a move snaps to */
  step: number;
  /** where a planting is drawn: under the hand, or where it lies */
  placeOf(standing: Standing): PlaceInBed | null;
  /** takes it to a place, as far as the bed goes, without saving */
  hold(standing: Standing, at: PlaceInBed): void;
  /** saves where it is held */
  drop(standing: Standing): void;
  /** saves where it is held once the keys have been still for a moment */
  dropSoon(standing: Standing): void;
  letGo(): void;
  /** gives its own place up: it is laid out with the others again */
  layOut(standing: Standing): void;
}

export function usePlacing(bed: Bed, all: readonly Standing[]): Placing {
  const { t } = useTranslation('ground');
  const names = useCropNames();
  const { system } = useMeasure();
  const show = useNotices((notices) => notices.show);
  const [held, setHeld] = useState<Held | null>(null);
  const latest = useRef<Held | null>(null);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(pause.current), []);
  const step = stepIn(system);
  const { across, along } = workedOutline(bed);
  const put = (next: Held | null) => {
    latest.current = next;
    setHeld(next);
  };
  const save = useWrite('savePlanting', {
    say: ({ data }) =>
      data.at
        ? t('drawing.moved', { crop: names.crop(data.cropId), bed: bed.name })
        : t('drawing.laidOut', { crop: names.crop(data.cropId) }),
    expect: ({ params, body }, patch) =>
      patch<Planting>('plantings', params!.id, (row) => ({ ...row, at: body!.at ?? null })),
  });
  const send = ({ planting }: Standing, at: PlaceInBed | null) =>
    save.mutate({
      params: { id: planting.id },
      body: { ...inputOf(planting), at },
      ifMatch: planting.version,
    });
  const drop = (standing: Standing) => {
    clearTimeout(pause.current);
    const at = latest.current?.id === standing.id ? latest.current.at : null;
    put(null);
    if (!at || (at.x === standing.place?.x && at.y === standing.place?.y)) return;
    const inTheWay = keepsPlace(all, standing, at);
    if (inTheWay)
      show({ text: t('drawing.taken', { crop: names.crop(inTheWay.planting.cropId) }), tone: 'trouble' });
    else send(standing, at);
  };
  return {
    heldId: held?.id ?? null,
    step,
    placeOf: (standing) => (held?.id === standing.id ? held.at : standing.place),
    hold: ({ id, width, length }, { x, y }) => {
      const within = (value: number, room: number) => Math.max(0, Math.min(room, snapTo(value, step)));
      put({ id, at: { x: within(x, across - width), y: within(y, along - length) } });
    },
    drop,
    dropSoon: (standing) => {
      clearTimeout(pause.current);
      pause.current = setTimeout(() => drop(standing), PAUSE_MS);
    },
    letGo: () => {
      clearTimeout(pause.current);
      put(null);
    },
    layOut: (standing) => send(standing, null),
  };
}

/** What has a place of its own there in the same days; everything else gives way. */
const keepsPlace = (all: readonly Standing[], one: Standing, at: PlaceInBed): Standing | undefined =>
  all.find(
    (other) =>
      other.id !== one.id &&
      other.at !== null &&
      other.place !== null &&
      overlap({ ...one, ...at }, { ...other, ...other.place }),
  );
