/** How deep lists and objects may lie in each other in what a client sends: no shape of the contract comes near. */
const DEEPEST = 40;

const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN, CLOSE] = [...'"\\[]{}'].map((sign) =>
  sign.charCodeAt(0),
);

/**
 * Whether JSON text is nested deeper than what comes after it can walk. Reads the bytes once, without parsing them.
 * @param bytes UTF-8, or text whose char codes stand for it
 */
export function isTooDeep(bytes: Uint8Array | string): boolean {
  const at = typeof bytes === 'string' ? (i: number) => bytes.charCodeAt(i) : (i: number) => bytes[i];
  let depth = 0;
  let inText = false;
  for (let i = 0; i < bytes.length; i++) {
    const code = at(i);
    if (inText) {
      if (code === BACKSLASH) i += 1;
      else if (code === QUOTE) inText = false;
    } else if (code === QUOTE) inText = true;
    else if (code === OPEN || code === OPEN_LIST) {
      depth += 1;
      if (depth > DEEPEST) return true;
    } else if (code === CLOSE || code === CLOSE_LIST) depth -= 1;
  }
  return false;
}
