import type { Answered, Upload } from './ask.ts';
import { Refused } from './refused.ts';

/**
 * Sends a file and tells how much of it has gone, which fetch cannot tell.
 * @throws Refused
 */
export function sendFile(
  method: string,
  address: string,
  headers: Record<string, string>,
  { content, onProgress, signal }: Upload,
): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const fail = () => reject(new Refused({ code: 'unreachable' }));
    request.open(method, address);
    for (const [name, value] of Object.entries(headers)) request.setRequestHeader(name, value);
    request.upload.onprogress = ({ loaded, total }) => onProgress?.(total > 0 ? loaded / total : 0);
    request.onerror = fail;
    request.onabort = () => reject(new Refused({ code: signal?.aborted ? 'stopped' : 'unreachable' }));
    request.onload = () => {
      try {
        resolve({
          isOk: request.status < 400,
          answer: JSON.parse(request.responseText),
          header: (name) => request.getResponseHeader(name),
        });
      } catch {
        fail();
      }
    };
    signal?.addEventListener('abort', () => request.abort());
    request.send(content);
  });
}
