import { z } from 'zod';
import { gardenInput } from '../place/index.ts';
import { id, line } from '../wire/index.ts';
import { email, password } from './access.ts';

/** First-run set-up: the coordinator and the garden, made together. */
export const setUpInput = z.strictObject({
  id,
  coordinator: z.strictObject({ id, name: line(80), email, password }),
  garden: gardenInput,
});

export type SetUpInput = z.infer<typeof setUpInput>;
