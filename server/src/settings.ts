import { resolve } from 'node:path';
import { z } from 'zod';

const schema = z.object({
  PORT: z.coerce.number().int().min(0).max(65535).default(8080),
  HOST: z.string().min(1).default('127.0.0.1'),
  DATA_DIR: z.string().min(1).default('data'),
  PUBLIC_URL: z.url({ protocol: /^https?$/ }).optional(),
  OPERATOR_TOKEN: z.string().min(24).optional(),
});

export interface Settings {
  port: number;
  host: string;
  dataDir: string;
  /** the address people use; null until it is known from host and port */
  publicUrl: string | null;
  /** what whoever runs the server shows to fetch a backup of everything; null where that is not offered */
  operatorToken: string | null;
}

/**
 * Settings from the environment.
 * @throws Error with one line for each setting that is wrong
 */
export function readSettings(environment: Record<string, string | undefined>): Settings {
  const parsed = schema.safeParse(environment);
  if (!parsed.success) {
    const lines = parsed.error.issues.map(
      (issue) =>
        `  ${issue.path.join('.')}=${environment[String(issue.path[0])] ?? ''}: ${remedies[String(issue.path[0])]}`,
    );
    throw new Error(`These settings cannot be used:\n${lines.join('\n')}`);
  }
  const { PORT, HOST, DATA_DIR, PUBLIC_URL, OPERATOR_TOKEN } = parsed.data;
  return {
    port: PORT,
    host: HOST,
    dataDir: resolve(DATA_DIR),
    publicUrl: PUBLIC_URL?.replace(/\/+$/, '') ?? null,
    operatorToken: OPERATOR_TOKEN ?? null,
  };
}

const remedies: Record<string, string> = {
  PORT: 'give a whole number from 0 to 65535',
  HOST: 'give an address to listen on, such as 127.0.0.1 or 0.0.0.0',
  DATA_DIR: 'give a folder for the database',
  OPERATOR_TOKEN: 'give at least 24 characters that nobody can guess',
  PUBLIC_URL: 'give the full address people use, such as https://garden.example.org',
};
