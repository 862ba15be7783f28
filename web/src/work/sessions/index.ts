export { SessionRow } from './SessionRow.tsx';
export { listedDays, sessionsOf, useSessions, useSessionsWith } from './sessionLists.ts';
