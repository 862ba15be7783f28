import { Refusal } from '../http/refusal.ts';

type Violation = 'unique' | 'foreignKey';

/** SQLite's extended result codes, and PostgreSQL's SQLSTATE. */
const codes: Record<string, Violation> = {
  SQLITE_CONSTRAINT_UNIQUE: 'unique',
  SQLITE_CONSTRAINT_PRIMARYKEY: 'unique',
  SQLITE_CONSTRAINT_FOREIGNKEY: 'foreignKey',
  '23505': 'unique',
  '23503': 'foreignKey',
};

/** Which rule of the database a statement broke, in any dialect; null where it failed for another reason. */
export function violationOf(error: unknown): Violation | null {
  const { code, driverError } = (error ?? {}) as { code?: unknown; driverError?: { code?: unknown } };
  return codes[String(driverError?.code ?? code)] ?? null;
}

/**
 * The refusal of a write that broke a rule the database holds. Handlers refuse with better words what they foresee; this is
 * for what somebody else did at the same time.
 */
export function refusalOfViolation(error: unknown): Refusal | null {
  const violation = violationOf(error);
  if (violation === null) return null;
  return new Refusal(violation === 'unique' ? 'taken' : 'inUse');
}
