import type { RowKind } from '@unity-acre/contract';

/** What changed in a garden, and by whose hand. */
interface Touch {
  kinds: readonly RowKind[];
  /** the client that made the change, which knows of it already; null where nobody's did */
  client: string | null;
}

type Listener = (touch: Touch) => void;

/** Those who want to know when something of a garden changed. */
class Listeners {
  readonly #byGarden = new Map<string, Set<Listener>>();

  /** @returns how to stop listening */
  listen(gardenId: string, listener: Listener): () => void {
    const own = this.#byGarden.get(gardenId) ?? new Set();
    this.#byGarden.set(gardenId, own.add(listener));
    return () => {
      own.delete(listener);
      if (own.size === 0) this.#byGarden.delete(gardenId);
    };
  }

  tell(gardenId: string, touch: Touch): void {
    for (const listener of this.#byGarden.get(gardenId) ?? []) listener(touch);
  }
}

export const listeners = new Listeners();
