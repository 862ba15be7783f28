import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useLive } from '../../garden/index.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Bare } from '../../kit/screens/index.ts';
import { useMedia } from '../../kit/useMedia.ts';
import { speakOf } from '../../words/index.ts';
import { DayByDay, WeekBoard } from './board/WeekBoard.tsx';
import { Decisions } from './decisions/Decisions.tsx';
import type { About } from './decisions/useDecisionWords.ts';
import { useGardenNow } from './decisions/useGardenNow.ts';
import { usePutOffs } from './decisions/usePutOff.ts';
import { WeatherNote } from './WeatherNote.tsx';

/** Of a new garden, and of who leads a session today: fetched where they are shown. */
const FirstSteps = fetchedPart(async () => {
  const [{ FirstSteps: steps }] = await Promise.all([import('./home/FirstSteps.tsx'), speakOf('home')]);
  return steps;
});
const TodaySession = fetchedPart(async () => {
  const [{ TodaySession: today }] = await Promise.all([import('./home/TodaySession.tsx'), speakOf('home')]);
  return today;
});

/** From this width there is room for the days side by side. */
const WIDE = '(min-width: 48rem)';

/** What needs whoever leads, and the week on one sheet. Both are drawn at once: neither moves the other. */
export function LeaderWeek({ from, ...all }: About & { from: string }) {
  useLive();
  const { garden } = useHere();
  const about = useOwn(all);
  const now = useGardenNow(about);
  const coordinates = useCoordinates();
  const { t } = useTranslation('week');
  const isWide = useMedia(WIDE);
  const Board = isWide ? WeekBoard : DayByDay;
  const { isKnown } = usePutOffs();
  if (!now || !isKnown) return <div className="min-h-[60rem]" />;
  // What has beds, people, plans and sessions has begun.
  const isYoung = [now.beds, now.people.slice(1), all.plantings, all.sessions].some(
    ({ length }) => length === 0,
  );
  const running = about.sessions.filter(({ on, state }) => on === garden.today && state === 'called');
  return (
    <>
      {coordinates && isYoung && (
        <FirstSteps plantings={all.plantings.length} sessions={all.sessions.length} />
      )}
      {!coordinates && running.map((session) => <TodaySession key={session.id} session={session} />)}
      {!coordinates && about.sessions.length === 0 && (
        <Bare title={t('lead.none')}>{t('lead.noneHint')}</Bare>
      )}
      <Decisions now={now} about={about} />
      <div>
        <Board from={from} {...about} sessions={about.sessions.filter(({ state }) => state === 'called')} />
        <WeatherNote />
      </div>
    </>
  );
}

/** A crew lead's week is that of the sessions they lead, and of what has no session yet. */
function useOwn(all: About): About {
  const { personId } = useHere();
  const coordinates = useCoordinates();
  if (coordinates) return all;
  const sessions = all.sessions.filter(({ leadId }) => leadId === personId);
  const ids = new Set(sessions.map(({ id }) => id));
  return {
    ...all,
    sessions,
    tasks: all.tasks.filter(({ sessionId }) => sessionId === null || ids.has(sessionId)),
  };
}
