import type { Session } from '@unity-acre/contract/work';

type Expected = Session['signUps'][number];

/** Who is expected at a session: those who signed up, and whoever leads it, signed up or not. */
export function expectedAt({ leadId, lead, signUps }: Session): Expected[] {
  if (leadId === null || signUps.some(({ personId }) => personId === leadId)) return signUps;
  const marks = { byRota: false, offered: false, arrived: null, left: null };
  return [{ personId: leadId, name: lead ?? '', headcount: 1, ...marks }, ...signUps];
}
