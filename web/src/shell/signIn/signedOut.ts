import { create } from 'zustand';

/** Set while requests wait for somebody to sign in again; called with whether they have. */
export const useSignedOut = create<{ answer: ((isBack: boolean) => void) | null }>(() => ({ answer: null }));

let asked: Promise<boolean> | null = null;

/** Asks whoever is there to sign in again; all who ask meanwhile wait for the same answer. */
export function askToSignIn(): Promise<boolean> {
  asked ??= new Promise((resolve) => {
    useSignedOut.setState({
      answer: (isBack) => {
        asked = null;
        useSignedOut.setState({ answer: null });
        resolve(isBack);
      },
    });
  });
  return asked;
}
