import type { Bed } from '@unity-acre/contract/ground';
import { parseLength } from '@unity-acre/core/units';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';

/** The path between beds in a row that is offered, metres: two feet. */
const PATH_M = 0.6096;
const MOST = 60;

/** Beds in a row, as it is typed. */
export interface RowTyped {
  count: string;
  gap: string;
  towards: 'right' | 'up';
  set(change: Partial<Omit<RowTyped, 'set' | 'read'>>): void;
  /** null where it makes no sense: how many there are, metres between them, and in which direction they go on */
  read(least: number): { count: number; gap: number; towards: 'right' | 'up' } | null;
}

export function useRowTyped(count: string): RowTyped {
  const { system, lengthInput } = useMeasure();
  const [typed, setTyped] = useState(() => ({
    count,
    gap: lengthInput(PATH_M),
    towards: 'right' as 'right' | 'up',
  }));
  return {
    ...typed,
    set: (change) => setTyped((now) => ({ ...now, ...change })),
    read: (least) => {
      const number = Number(typed.count);
      const gap = parseLength(typed.gap, system === 'imperial' ? 'ft' : 'm');
      const isRight = Number.isInteger(number) && number >= least && number <= MOST;
      return isRight && gap !== null && gap >= 0 ? { count: number, gap, towards: typed.towards } : null;
    },
  };
}

/** How many, how far apart, and which way. @param countLabel what the number counts */
export function RowFields({ row, countLabel }: { row: RowTyped; countLabel: string }) {
  const { t } = useTranslation('ground');
  return (
    <div className="grid grid-cols-3 gap-3">
      <Field label={countLabel}>
        {(props) => (
          <input
            {...props}
            className="input"
            inputMode="numeric"
            value={row.count}
            onChange={(event) => row.set({ count: event.target.value })}
          />
        )}
      </Field>
      <Field label={t('row.gap')}>
        {(props) => (
          <input
            {...props}
            className="input"
            value={row.gap}
            onChange={(event) => row.set({ gap: event.target.value })}
          />
        )}
      </Field>
      <Field label={t('row.towards')}>
        {(props) => (
          <Select
            {...props}
            value={row.towards}
            onChange={(value) => row.set({ towards: value as RowTyped['towards'] })}
            options={[
              { value: 'right', label: t('row.right') },
              { value: 'up', label: t('row.up') },
            ]}
          />
        )}
      </Field>
    </div>
  );
}

/** The next name that no bed has. @param pattern the name, with # where its number goes */
export function freeName(beds: readonly Pick<Bed, 'name'>[], pattern: string): string {
  const taken = new Set(beds.map(({ name }) => name));
  for (let n = beds.length + 1; ; n++) {
    const name = pattern.replace('#', String(n));
    if (!taken.has(name)) return name;
  }
}
