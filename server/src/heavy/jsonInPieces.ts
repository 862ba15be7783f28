import { breathe } from './breathe.ts';

/** Items written at a stretch. */
const PIECE = 10;

/**
 * JSON of a list, or of an object that holds lists, as `JSON.stringify` writes it, but piece by piece: others have their turn in
 * between.
 */
export async function jsonInPieces(value: unknown): Promise<string> {
  if (Array.isArray(value)) return listInPieces(value);
  if (typeof value !== 'object' || value === null || 'toJSON' in value) return JSON.stringify(value);
  const parts: string[] = [];
  for (const [key, one] of Object.entries(value)) {
    if (one !== undefined) parts.push(`${JSON.stringify(key)}:${await jsonInPieces(one)}`);
  }
  return `{${parts.join(',')}}`;
}

async function listInPieces(list: readonly unknown[]): Promise<string> {
  const parts: string[] = [];
  for (let i = 0; i < list.length; i += PIECE) {
    parts.push(JSON.stringify(list.slice(i, i + PIECE)).slice(1, -1));
    await breathe();
  }
  return `[${parts.join(',')}]`;
}
