import { Ban, Pin } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { Tooltip } from '../../kit/controls/index.ts';
import type { Hold } from './holds.ts';

/** Two switches beside a person or task of a rota: keep it here, or leave it out. */
export function HoldButtons({
  of,
  hold,
  only = ['keep', 'leave'],
  onHold,
}: {
  of: string;
  hold: Hold;
  only?: readonly ('keep' | 'leave')[];
  onHold(hold: Hold): void;
}) {
  const { t } = useTranslation('rota');
  return (
    <span className="inline-flex shrink-0 gap-0.5">
      {only.map((one) => {
        const Icon = one === 'keep' ? Pin : Ban;
        const pressed = hold === one;
        return (
          <Tooltip key={one} says={t(`hold.${one}`)}>
            <button
              type="button"
              aria-pressed={pressed}
              className={`grid size-8 place-items-center rounded-sm border ${
                pressed ? 'border-ink bg-ink text-paper' : 'border-line-strong bg-paper hover:bg-straw-soft'
              }`}
              onClick={() => onHold(pressed ? null : one)}
            >
              <Icon aria-hidden size={15} />
              <span className="sr-only">
                {t(`hold.${one}`)}: {of}
              </span>
            </button>
          </Tooltip>
        );
      })}
    </span>
  );
}
