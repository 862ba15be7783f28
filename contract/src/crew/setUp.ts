import { z } from 'zod';
import { gardenInput, normalsInput } from '../place/index.ts';
import { id, line } from '../wire/index.ts';
import { email, password } from './access.ts';

/** First-run set-up: the coordinator and the garden, made together. */
export const setUpInput = z.strictObject({
  id,
  coordinator: z.strictObject({ id, name: line(80), email, password }),
  garden: gardenInput,
  /** monthly means to begin with, as of a town near by */
  normals: normalsInput.shape.normals.default(null),
});

export type SetUpInput = z.infer<typeof setUpInput>;
