import { isIP } from 'node:net';
import { resolve } from 'node:path';
import { z } from 'zod';

type Context = z.core.$RefinementCtx;

/** The scheme, host and port of the public address, as browsers name them. Anything more would never match what they send. */
function originOf(address: string | undefined, context: Context): string | null {
  if (address === undefined) return null;
  const url = URL.canParse(address) ? new URL(address) : null;
  const isPlain =
    url &&
    ['http:', 'https:'].includes(url.protocol) &&
    url.pathname === '/' &&
    !url.search &&
    !url.hash &&
    !url.username;
  if (isPlain) return url.origin;
  context.addIssue({ code: 'custom', message: 'not an address alone' });
  return z.NEVER;
}

const NAMED_PROXIES = ['loopback', 'linklocal', 'uniquelocal'];
const MOST_HOPS = 10;

/** How many proxies stand before the server, or which; none believed where nothing is said. */
function proxiesOf(said: string, context: Context): number | string[] {
  if (/^\d+$/.test(said) && Number(said) <= MOST_HOPS) return Number(said);
  const listed = said.split(',').map((one) => one.trim());
  const isAddress = (one: string) => {
    const [address = '', bits, ...more] = one.split('/');
    const most = isIP(address) === 6 ? 128 : 32;
    return (
      isIP(address) !== 0 &&
      more.length === 0 &&
      (bits === undefined || (/^\d+$/.test(bits) && Number(bits) <= most))
    );
  };
  if (listed.every((one) => NAMED_PROXIES.includes(one) || isAddress(one))) return listed;
  context.addIssue({ code: 'custom', message: 'not a proxy' });
  return z.NEVER;
}

const schema = z.object({
  PORT: z.coerce.number().int().min(0).max(65535).default(8080),
  HOST: z.string().min(1).default('127.0.0.1'),
  DATA_DIR: z.string().min(1).default('data'),
  PUBLIC_URL: z.string().optional().transform(originOf),
  TRUST_PROXY: z.string().default('0').transform(proxiesOf),
  OPERATOR_TOKEN: z.string().min(24).optional(),
});

export interface Settings {
  port: number;
  host: string;
  dataDir: string;
  /** the address people use; null until it is known from host and port */
  publicUrl: string | null;
  /** proxies whose word is taken for where a request comes from: how many, or which */
  trustProxy: number | string[];
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
  const { PORT, HOST, DATA_DIR, PUBLIC_URL, TRUST_PROXY, OPERATOR_TOKEN } = parsed.data;
  return {
    port: PORT,
    host: HOST,
    dataDir: resolve(DATA_DIR),
    publicUrl: PUBLIC_URL,
    trustProxy: TRUST_PROXY,
    operatorToken: OPERATOR_TOKEN ?? null,
  };
}

const remedies: Record<string, string> = {
  PORT: 'give a whole number from 0 to 65535',
  HOST: 'give an address to listen on, such as 127.0.0.1 or 0.0.0.0',
  DATA_DIR: 'give a folder for the database',
  OPERATOR_TOKEN: 'give at least 24 characters that nobody can guess',
  PUBLIC_URL: 'give the address people use and nothing behind it, such as https://garden.example.org',
  TRUST_PROXY:
    'give how many proxies stand before the server (0 to 10), or their addresses, such as 10.0.0.0/8,loopback',
};
