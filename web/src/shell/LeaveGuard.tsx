import { useEffect } from 'react';
import { useBlocker } from 'react-router';
import { fetchedPart } from '../kit/fetchedPart.tsx';
import { dropUnsaved, useUnsaved } from '../kit/forms/index.ts';

/** Fetched when there is first something that could be lost. */
const AskToLeave = fetchedPart(async () => (await import('../kit/screens/AskToLeave.tsx')).AskToLeave);

/** Asks before one goes to another page with something typed that is not saved. */
export function LeaveGuard() {
  const isUnsaved = useUnsaved(({ forms }) => forms.size > 0);
  useEffect(() => {
    if (isUnsaved) void AskToLeave.fetch();
  }, [isUnsaved]);
  const blocker = useBlocker(
    // Going back may close what is open on the same page.
    ({ currentLocation, nextLocation, historyAction }) =>
      useUnsaved.getState().forms.size > 0 &&
      (currentLocation.pathname !== nextLocation.pathname || historyAction === 'POP'),
  );
  if (blocker.state !== 'blocked') return null;
  return (
    <AskToLeave
      open
      onUnfetched={() => blocker.reset()}
      onStay={() => blocker.reset()}
      onGo={() => {
        dropUnsaved();
        blocker.proceed();
      }}
    />
  );
}
