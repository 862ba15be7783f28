/** Those who want to know when something of a garden changed. */
class Listeners {
  readonly #byGarden = new Map<string, Set<() => void>>();

  /** @returns how to stop listening */
  listen(gardenId: string, listener: () => void): () => void {
    const own = this.#byGarden.get(gardenId) ?? new Set();
    this.#byGarden.set(gardenId, own.add(listener));
    return () => {
      own.delete(listener);
      if (own.size === 0) this.#byGarden.delete(gardenId);
    };
  }

  tell(gardenId: string): void {
    for (const listener of this.#byGarden.get(gardenId) ?? []) listener();
  }
}

export const listeners = new Listeners();
