import type { Logger } from 'pino';

/**
 * Does a piece of work now and again and again, never two at a time; what goes wrong is logged, and tried again in its turn.
 * @param everyMs from one beginning to the next
 * @returns what ends it, once what is under way is done
 */
export function repeat(work: () => Promise<unknown>, everyMs: number, logger: Logger): () => Promise<void> {
  let isUnderWay = false;
  let done = Promise.resolve();
  const begin = () => {
    if (isUnderWay) return;
    isUnderWay = true;
    done = work()
      .then(
        () => undefined,
        (error: unknown) => logger.error(error),
      )
      .finally(() => {
        isUnderWay = false;
      });
  };
  begin();
  const timer = setInterval(begin, everyMs);
  return () => {
    clearInterval(timer);
    return done;
  };
}
