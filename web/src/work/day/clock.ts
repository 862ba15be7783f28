import type { Garden } from '@unity-acre/contract/place';
import type { Session } from '@unity-acre/contract/work';

/** The time now in the garden, "HH:MM"; on another day than the session's, its beginning stands for it. */
export function timeFor(
  session: Pick<Session, 'on' | 'from'>,
  garden: Pick<Garden, 'today' | 'timeZone'>,
): string {
  if (garden.today !== session.on) return session.from;
  return new Intl.DateTimeFormat('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    timeZone: garden.timeZone,
  }).format(new Date());
}
