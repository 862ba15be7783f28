import { type AnswerOf, CHANGE_HEADER, type Problem, table } from '@unity-acre/contract';
import { Refused } from '../kit/ask.ts';

/** What an upload comes to. */
export interface Upload {
  data: AnswerOf<'importStation'>;
  change: string | null;
}

/**
 * Sends a station's file and tells how much of it has gone; fetch cannot tell that.
 * @param stop ends it on the way
 * @throws Refused
 */
export function uploadStation(
  gardenId: string,
  file: File,
  query: { units: string; name: string },
  tell: (share: number) => void,
  stop: AbortSignal,
): Promise<Upload> {
  const { method, path } = table.importStation;
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open(method, `${path.replace(':gardenId', gardenId)}?${new URLSearchParams(query)}`);
    request.setRequestHeader('content-type', 'text/csv');
    request.upload.onprogress = ({ loaded, total }) => tell(total > 0 ? loaded / total : 0);
    request.onerror = () => reject(new Refused({ code: 'unreachable' }));
    request.onabort = () => reject(new Refused({ code: 'unreachable' }));
    request.onload = () => {
      let answer: unknown;
      try {
        answer = JSON.parse(request.responseText);
      } catch {
        reject(new Refused({ code: 'unreachable' }));
        return;
      }
      if (request.status >= 400) reject(new Refused(answer as Problem));
      else
        resolve({
          data: answer as AnswerOf<'importStation'>,
          change: request.getResponseHeader(CHANGE_HEADER),
        });
    };
    stop.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}
