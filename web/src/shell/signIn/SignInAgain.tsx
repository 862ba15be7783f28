import { useEffect } from 'react';
import { whenSignedOut } from '../../kit/ask.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { askToSignIn, useSignedOut } from './signedOut.ts';

/** Wanted by few: fetched when a sign-in has run out. */
const SignInSheet = fetchedPart(async () => (await import('./SignInSheet.tsx')).SignInSheet);

/**
 * Lets somebody whose sign-in has run out sign in again. The page stays as it is with all that is typed, and what was under
 * way goes on; for somebody else it begins anew.
 */
export function SignInAgain() {
  const answer = useSignedOut((state) => state.answer);
  useEffect(() => whenSignedOut(askToSignIn), []);
  return answer && <SignInSheet answer={answer} onUnfetched={() => answer(false)} />;
}
