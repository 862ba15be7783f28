/** A code and the limit behind its colon. */
export function splitCode(message: string): { code: string; limit?: string } {
  const [code = message, ...limit] = message.split(':');
  return limit.length > 0 ? { code, limit: limit.join(':') } : { code };
}
