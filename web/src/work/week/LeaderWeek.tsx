import { useMedia } from '../../kit/useMedia.ts';
import { DayByDay, WeekBoard } from './board/WeekBoard.tsx';
import { Decisions } from './decisions/Decisions.tsx';
import type { About } from './decisions/useDecisionWords.ts';
import { useGardenNow } from './decisions/useGardenNow.ts';
import { WeatherNote } from './WeatherNote.tsx';

/** From this width there is room for the days side by side. */
const WIDE = '(min-width: 48rem)';

/** What needs whoever leads, and the week on one sheet. Both are drawn at once: neither moves the other. */
export function LeaderWeek({ from, ...about }: About & { from: string }) {
  const now = useGardenNow(about);
  const isWide = useMedia(WIDE);
  const Board = isWide ? WeekBoard : DayByDay;
  if (!now) return <div className="min-h-[60rem]" />;
  return (
    <>
      <Decisions now={now} about={about} />
      <div>
        <Board from={from} {...about} sessions={about.sessions.filter(({ state }) => state === 'called')} />
        <WeatherNote />
      </div>
    </>
  );
}
