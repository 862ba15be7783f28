import { type Crop, ofVariety } from '@unity-acre/core/crops';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { OwnVarietySheet } from '../../crops/OwnVarietySheet.tsx';
import { useCoordinates, useMeasure } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';

/** How the chosen variety grows, and a way to add one that is not there. */
export function VarietyFacts({
  crop,
  varietyId,
  onAdded,
}: {
  crop: Crop;
  varietyId: string;
  onAdded(varietyId: string): void;
}) {
  const { t } = useTranslation('season');
  const { spacing } = useMeasure();
  const coordinates = useCoordinates();
  const [isAdding, setAdding] = useState(false);
  const variety = crop.varieties.find(({ id }) => id === varietyId);
  const { height, spread, support } = ofVariety(crop, varietyId);
  const facts = [
    t('ownVariety.grows', { height: spacing(height), spread: spacing(spread) }),
    support !== 'none' && t('ownVariety.on', { support: t(`ownVariety.supports.${support}`) }),
    variety?.traits?.includes('determinate') && t('ownVariety.atOnce'),
    variety?.note,
  ].filter(Boolean);
  return (
    <div className="-mt-2 flex flex-wrap items-baseline justify-between gap-x-3">
      <p className="text-ink-soft text-sm">{facts.join(' · ')}</p>
      {coordinates && (
        <Button look="quiet" onClick={() => setAdding(true)}>
          <Plus aria-hidden size={16} />
          {t('ownVariety.add')}
        </Button>
      )}
      {isAdding && (
        <OwnVarietySheet
          crop={crop}
          onClose={() => setAdding(false)}
          onAdded={(added) => {
            setAdding(false);
            onAdded(added);
          }}
        />
      )}
    </div>
  );
}
