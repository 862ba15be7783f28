import type { Response } from 'express';

/** An open stream of events, and the sign-in it was opened with. */
export interface Stream {
  response: Response;
  tokenHash: string;
  /** who listens, in the garden they listen to */
  personId: string;
}

const streams = new Set<Stream>();

/** Keeps a stream until its connection closes. */
export function keepStream(stream: Stream): void {
  streams.add(stream);
  stream.response.on('close', () => streams.delete(stream));
}

/** Ends the streams that are chosen: whoever opened them has been signed out. */
export function endStreamsOf(isChosen: (stream: Stream) => boolean): void {
  for (const stream of streams) if (isChosen(stream)) stream.response.end();
}

/** Ends all streams, so that the program can stop. */
export const endStreams = (): void => endStreamsOf(() => true);
