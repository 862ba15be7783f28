import type { Move } from '@unity-acre/core/season';
import { ArrowRight } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useDates } from '../../kit/dates.ts';

/** By how much a step moved, in words. */
export function useMoveWords(): (move: Pick<Move, 'days'>) => string {
  const { t } = useTranslation('season');
  return ({ days }) => t(days > 0 ? 'later' : 'earlier', { count: Math.abs(days) });
}

/** What stands on another day than the plan had it. */
export function Moves({ moved }: { moved: Move[] }) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const words = useMoveWords();
  if (moved.length === 0) return null;
  return (
    <div className="my-2 border-blossom border-l-4 bg-straw-soft px-3 py-1.5">
      <p className="font-semibold text-sm">{t('moved')}</p>
      <ul className="text-sm">
        {moved.map((move) => (
          <li key={move.kind} className="grid grid-cols-[8.5rem_auto_1fr] items-center gap-x-3">
            <span>{t(`step.${move.kind}`)}</span>
            <span className="flex items-center gap-1.5">
              <s className="text-ink-soft">{dates.bare(move.from)}</s>
              <ArrowRight aria-hidden size={14} />
              {dates.bare(move.to)}
            </span>
            <span>
              <span className={move.days > 0 ? 'text-beet' : 'text-leaf'}>{words(move)}</span>{' '}
              <span className="text-ink-soft">
                {move.because === null
                  ? t('movedItself')
                  : t('movedAfter', { step: t(`step.${move.because}`) })}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
