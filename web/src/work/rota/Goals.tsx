import type { Rota } from '@unity-acre/contract/work';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';

type Goal = Rota['goals'][number];

/** What a goal has reached, in words. Goals that are kept small are counted below zero by the core. */
export function useGoalWords(): (goal: Goal) => string {
  const { t } = useTranslation('rota');
  const { number } = useMeasure();
  return ({ name, worth }) =>
    t(`goal.${name}`, { worth: number(name === 'minutes' ? worth / 60 : Math.abs(worth), 1) });
}

/** What a rota reaches, the most important first, and whether better is possible. */
export function Goals({ goals, settled }: Pick<Rota, 'goals' | 'settled'>) {
  const { t } = useTranslation('rota');
  const { number } = useMeasure();
  const words = useGoalWords();
  return (
    <section className="furrow">
      <h2>{t('whatReached')}</h2>
      <ol>
        {goals.map((goal) => (
          <li key={goal.name} className="border-line border-b py-1.5">
            {words(goal)}{' '}
            <span className={`text-sm ${goal.proved ? 'text-leaf' : 'text-ink-soft'}`}>
              {goal.proved
                ? t('proved')
                : t('atMost', {
                    bound: number(goal.name === 'minutes' ? goal.bound / 60 : Math.abs(goal.bound), 1),
                  })}
            </span>
          </li>
        ))}
      </ol>
      {settled !== 'nothing' && <p className="mt-1 text-ink-soft text-sm">{t(`settled.${settled}`)}</p>}
    </section>
  );
}
