import type { EntityManager } from 'typeorm';
import { Refusal } from '../http/refusal.ts';
import type { Gate } from './gate.ts';
import { refusalOfViolation } from './violations.ts';

/** What keeps a database from being written. `failing` is a fault that says nothing more of itself. */
export type Trouble = 'full' | 'readOnly' | 'damaged' | 'failing';
export type DatabaseState = 'ok' | Trouble;

/** The one connection that writes, as its dialect offers it. */
export interface WritingConnection {
  readonly manager: EntityManager;
  /** Begins a transaction in which nobody else writes. @throws where one is open already */
  begin(): void;
  /** @throws where there is nothing to commit, or it cannot be kept */
  commit(): void;
  rollBack(): void;
  /** Whether the database itself has a transaction open, whatever anybody else believes. */
  isInTransaction(): boolean;
  /** Closes the connection, whatever state it is in, and opens another. */
  reopen(): Promise<void>;
  /** Writes and reads a scratch row of its own, as a transaction. @throws where that cannot be done */
  probe(): void;
  /** What an error says of the database; null where it is about the statement alone. */
  troubleOf(error: unknown): Trouble | null;
}

const refusalFor: Record<Trouble, Refusal['problem']['code']> = {
  full: 'databaseFull',
  readOnly: 'databaseReadOnly',
  damaged: 'databaseDamaged',
  failing: 'notSaved',
};

/**
 * All writes of a database, one after another, each as one transaction of its own: what `run` gave back is on disk, and what
 * it threw left nothing. After a failed begin, commit or rollback the connection is not trusted any more: it is closed, and
 * the next write begins with a new one that has shown that it can write.
 */
export class Transactions {
  #trouble: Trouble | null = null;
  #isCondemned = false;

  constructor(
    private readonly connection: WritingConnection,
    private readonly gate: Gate,
  ) {}

  /** @throws Refusal where the database cannot be written or a row breaks a rule it holds; what `work` throws */
  run<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.gate.write(async () => {
      await this.#mend();
      this.#step(() => this.connection.begin());
      let result: T;
      try {
        result = await work(this.connection.manager);
      } catch (error) {
        this.#takeBack();
        const trouble = this.connection.troubleOf(error);
        if (trouble) throw this.#distrust(trouble);
        throw refusalOfViolation(error) ?? error;
      }
      // Where the database gave the transaction up by itself, this fails too.
      this.#step(() => this.connection.commit());
      return result;
    });
  }

  /** Asks the database whether it can be written, by writing. */
  state(): Promise<DatabaseState> {
    return this.gate.write(async () => {
      try {
        await this.#mend();
        this.#step(() => this.connection.probe());
        return 'ok';
      } catch {
        return this.#trouble ?? 'failing';
      }
    });
  }

  /** Refuses every write from now on: a check has found pages damaged, which a write that succeeds does not mend. */
  condemn(): void {
    this.#isCondemned = true;
  }

  /** @throws Refusal where the step fails; the connection is then not used again */
  #step(step: () => void): void {
    try {
      step();
    } catch (error) {
      throw this.#distrust(this.connection.troubleOf(error) ?? 'failing');
    }
  }

  #takeBack(): void {
    try {
      if (this.connection.isInTransaction()) this.connection.rollBack();
    } catch (error) {
      this.#distrust(this.connection.troubleOf(error) ?? 'failing');
    }
  }

  /** @returns the refusal of what was to be written */
  #distrust(trouble: Trouble): Refusal {
    this.#trouble = trouble;
    return new Refusal(refusalFor[trouble]);
  }

  /** After trouble: a new connection that can write, or a refusal. */
  async #mend(): Promise<void> {
    if (this.#isCondemned) {
      this.#trouble = 'damaged';
      throw new Refusal(refusalFor.damaged);
    }
    if (this.#trouble === null) return;
    try {
      await this.connection.reopen();
      this.connection.probe();
      this.#trouble = null;
    } catch (error) {
      const trouble = this.connection.troubleOf(error) ?? 'failing';
      this.#trouble = trouble;
      throw new Refusal(refusalFor[trouble]);
    }
  }
}
