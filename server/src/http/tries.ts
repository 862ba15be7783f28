import { RateLimiterMemory } from 'rate-limiter-flexible';
import { Refusal } from './refusal.ts';

const QUARTER_OF_AN_HOUR_S = 15 * 60;
const MINUTE_S = 60;

/** Failed tries at a password in a quarter of an hour. */
export interface TryLimits {
  /** from one address at one account */
  perPair: number;
  /** at one account from everywhere, for browsers that were never signed in to it */
  perAccount: number;
  /** from one address at all accounts: a whole class behind one router may mistype */
  perAddress: number;
}

export const usualLimits: TryLimits = { perPair: 10, perAccount: 100, perAddress: 300 };

/** Letters with a link for a new password that may be asked for in a quarter of an hour. */
export const lettersAskedFor: TryLimits = { perPair: 3, perAccount: 5, perAddress: 30 };

interface Try {
  address: string;
  account: string;
  /** true for a browser that was signed in to the account before: strangers cannot lock its owner out of it */
  isKnown: boolean;
}

/**
 * Limits failed tries at passwords. Only what has failed counts, and what is under way at one account from one address, so that
 * many may sign in at once. Counted in this process; several processes would share a store here.
 */
export class PasswordTries {
  readonly #pairs: RateLimiterMemory;
  readonly #accounts: RateLimiterMemory;
  readonly #addresses: RateLimiterMemory;
  readonly #underWay = new Map<string, number>();

  constructor(private readonly limits: TryLimits) {
    const counter = (points: number) => new RateLimiterMemory({ points, duration: QUARTER_OF_AN_HOUR_S });
    this.#pairs = counter(limits.perPair);
    this.#accounts = counter(limits.perAccount);
    this.#addresses = counter(limits.perAddress);
  }

  /** Counts what is limited though it does not fail, such as letters somebody asks for. @throws Refusal `tooManyTries` */
  async count({ address, account }: Omit<Try, 'isKnown'>): Promise<void> {
    await this.guard({ address, account, isKnown: false }, async () => undefined);
    await this.#pairs.penalty(`${address} ${account}`);
    await this.#accounts.penalty(account);
    await this.#addresses.penalty(address);
  }

  /**
   * Tries a password.
   * @param work throws the refusal of a password that is wrong
   * @throws Refusal `tooManyTries` without trying
   */
  async guard<T>({ address, account, isKnown }: Try, work: () => Promise<T>): Promise<T> {
    const pair = `${address} ${account}`;
    const underWay = this.#underWay.get(pair) ?? 0;
    const used = async (counter: RateLimiterMemory, key: string) =>
      (await counter.get(key))?.consumedPoints ?? 0;
    const isOver =
      (await used(this.#pairs, pair)) + underWay >= this.limits.perPair ||
      (await used(this.#addresses, address)) >= this.limits.perAddress ||
      (!isKnown && (await used(this.#accounts, account)) >= this.limits.perAccount);
    if (isOver) throw new Refusal('tooManyTries');
    this.#underWay.set(pair, underWay + 1);
    try {
      return await work();
    } catch (error) {
      if (error instanceof Refusal) {
        await this.#pairs.penalty(pair);
        await this.#accounts.penalty(account);
        await this.#addresses.penalty(address);
      }
      throw error;
    } finally {
      const left = (this.#underWay.get(pair) ?? 1) - 1;
      if (left > 0) this.#underWay.set(pair, left);
      else this.#underWay.delete(pair);
    }
  }
}

/** How many writes an account may send in a minute: far more than hands can, and than a phone keeps for when it has a signal. */
export const WRITES_PER_MINUTE = 600;

/** Limits how much one account writes. */
export class WriteAllowance {
  readonly #counter: RateLimiterMemory;

  constructor(perMinute: number) {
    this.#counter = new RateLimiterMemory({ points: perMinute, duration: MINUTE_S });
  }

  /** @throws Refusal `tooManyWrites` */
  async take(account: string): Promise<void> {
    try {
      await this.#counter.consume(account);
    } catch {
      throw new Refusal('tooManyWrites');
    }
  }
}
