import { memo, useCallback, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { useHere, useLeads } from '../../garden/index.ts';
import { ToggleGroup } from '../../kit/controls/index.ts';
import type { Lens, LensKey } from './lens.ts';

/** The lens in the address, of those that one may look through; the first where none is. */
export function useLens(
  lenses: readonly Lens[],
): [shown: Lens, offered: readonly Lens[], choose: (key: string) => void] {
  const { role } = useHere();
  const leads = useLeads();
  const [search, setSearch] = useSearchParams();
  const offered = useMemo(
    () => lenses.filter(({ may }) => may === 'all' || (may === 'leads' ? leads : role !== 'receiver')),
    [lenses, leads, role],
  );
  const shown = offered.find(({ key }) => key === search.get('lens')) ?? offered[0]!;
  const choose = useCallback(
    (key: string) =>
      setSearch(
        (now) => {
          const next = new URLSearchParams(now);
          next.set('lens', key);
          return next;
        },
        { replace: true },
      ),
    [setSearch],
  );
  return [shown, offered, choose];
}

/** Chooses the lens. */
export const LensBar = memo(function LensBar({
  shown,
  offered,
  onChoose,
}: {
  shown: LensKey;
  offered: readonly Lens[];
  onChoose(key: string): void;
}) {
  const { t } = useTranslation('map');
  return (
    <div className="print:hidden">
      <ToggleGroup
        label={t('lens.label')}
        value={shown}
        onChange={onChoose}
        options={offered.map(({ key }) => ({ value: key, label: t(`lens.${key}`) }))}
      />
    </div>
  );
});
