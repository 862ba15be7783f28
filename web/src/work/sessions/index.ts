export { SessionRow } from './SessionRow.tsx';
export { SignUpButton } from './SignUpButton.tsx';
export { listedDays, sessionsOf, useSessions, useSessionsWith } from './sessionLists.ts';
export { useChangeSession } from './useChangeSession.ts';
