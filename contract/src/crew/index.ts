import { z } from 'zod';
import { gardenInput } from '../place/index.ts';
import { day, id, line, roles, version, words } from '../wire/index.ts';

export const email = z.string().trim().toLowerCase().max(200).pipe(z.email());
export const password = z.string().min(10).max(200);

export const signInInput = z.strictObject({ email, password: z.string().min(1).max(200) });

/** First-run set-up: the coordinator and the garden, made together. */
export const setUpInput = z.strictObject({
  id,
  coordinator: z.strictObject({ id, name: line(80), email, password }),
  garden: gardenInput,
});

/** Who is asking, and what this installation holds for them. */
export const me = z.object({
  /** false while nobody has set the installation up */
  setUp: z.boolean(),
  /** sign-ins shown on the sign-in page of a demo */
  demoSignIns: z.array(z.object({ email: z.string(), password: z.string(), role: z.enum(roles) })),
  account: z.object({ email: z.string() }).nullable(),
  memberships: z.array(
    z.object({ gardenId: id, garden: z.string(), personId: id, name: z.string(), role: z.enum(roles) }),
  ),
});

export const personInput = z.strictObject({
  name: line(80),
  email: email.nullable(),
  role: z.enum(roles),
  household: words(80),
  /** how many people stand behind the name: a class or a family that comes together */
  headcount: z.number().int().min(1).max(200),
  /** the day they joined the waiting list for a plot */
  waitingSince: day.nullable(),
});
export const person = personInput.safeExtend({ id, version, joined: z.boolean() });

/** An invitation: the address to hand over, good once and until it expires. */
export const invitation = z.object({ address: z.string(), expires: z.string() });
/** What an invitation says to the person who opens it. */
export const invitationView = z.object({
  garden: z.string(),
  name: z.string(),
  email: z.string(),
  /** true where the e-mail has a password here already, so that it must be given, not chosen */
  hasAccount: z.boolean(),
});
export const joinInput = z.strictObject({ password });

export type SetUpInput = z.infer<typeof setUpInput>;
export type SignInInput = z.infer<typeof signInInput>;
export type Me = z.infer<typeof me>;
export type PersonInput = z.infer<typeof personInput>;
export type Person = z.infer<typeof person>;
export type InvitationView = z.infer<typeof invitationView>;
export type JoinInput = z.infer<typeof joinInput>;
