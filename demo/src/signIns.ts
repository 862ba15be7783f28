import { demoPassword, people } from './people.ts';

/** The sign-ins a demo shows to everybody. */
export const demoSignIns = people.flatMap(({ signIn, role }) =>
  signIn ? [{ email: signIn, password: demoPassword, role }] : [],
);
