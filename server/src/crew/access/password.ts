import { randomBytes, type ScryptOptions, scrypt, timingSafeEqual } from 'node:crypto';

/* OWASP's Password Storage Cheat Sheet (2023) accepts N = 2^15, r = 8, p = 3 for scrypt. */
const COST = { N: 2 ** 15, r: 8, p: 3 };
const KEY_BYTES = 32;

const derive = (password: string, salt: Buffer, cost: typeof COST): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const options: ScryptOptions = { ...cost, maxmem: 256 * cost.N * cost.r };
    scrypt(password.normalize('NFKC'), salt, KEY_BYTES, options, (error, key) =>
      error ? reject(error) : resolve(key),
    );
  });

/** A salted hash that carries its own cost, so that the cost can rise later. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(password, salt, COST);
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

/** Hashed when an account does not exist, so that the answer takes as long as for one that does. */
const nobody = hashPassword(randomBytes(16).toString('hex'));

/** @param stored a hash, or null where there is no such account */
export async function passwordFits(password: string, stored: string | null): Promise<boolean> {
  const [, n, r, p, salt, key] = (stored ?? (await nobody)).split('$');
  const cost = { N: Number(n), r: Number(r), p: Number(p) };
  const given = await derive(password, Buffer.from(salt!, 'base64url'), cost);
  return timingSafeEqual(given, Buffer.from(key!, 'base64url')) && stored !== null;
}
