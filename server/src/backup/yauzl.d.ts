import type { Readable } from 'node:stream';

/* What version 3 has and the published types, which are of version 2, lack. */
declare module 'yauzl' {
  interface ZipFile {
    eachEntry(): AsyncIterable<import('yauzl').Entry>;
    openReadStreamPromise(entry: import('yauzl').Entry): Promise<Readable>;
  }
  export function openPromise(path: string, options: { lazyEntries: true }): Promise<import('yauzl').ZipFile>;
}
