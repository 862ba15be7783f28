import { z } from 'zod';

/* What signing in takes: small, since it is all that the first page of a stranger needs. */

export const email = z.string().trim().toLowerCase().max(200).pipe(z.email());
export const password = z.string().min(10).max(200);

export const signInInput = z.strictObject({ email, password: z.string().min(1).max(200) });

export const joinInput = z.strictObject({ password });

/** What an account asks of whoever changes it: the password it has. */
export const passwordInput = z.strictObject({ current: z.string().min(1).max(200), password });
export const emailInput = z.strictObject({ current: z.string().min(1).max(200), email });
export const forgotInput = z.strictObject({ email });

export type SignInInput = z.infer<typeof signInInput>;
export type JoinInput = z.infer<typeof joinInput>;
export type PasswordInput = z.infer<typeof passwordInput>;
export type EmailInput = z.infer<typeof emailInput>;
