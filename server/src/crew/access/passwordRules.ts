import { dictionary } from '@zxcvbn-ts/language-common';
import { invalid } from '../../http/refusal.ts';

/** Passwords that are tried first, from a list that ships. Source: the common passwords of @zxcvbn-ts/language-common. */
const common = new Set(dictionary['passwords-common'].map(String));
/** What people put behind a common word to make it longer. */
const TAIL = /[\d!?.*#$@_-]+$/;

/** A password as guessing programs see it: in small letters, without what is put behind. */
const bare = (password: string): string => password.toLowerCase().replace(TAIL, '');

const isRepeated = (password: string): boolean =>
  [1, 2, 3, 4].some((length) => password.slice(0, length).repeat(200).startsWith(password));

/**
 * Refuses a new password that is guessed first: a common one, with digits behind it too, one sign over and over, or one's own
 * address.
 * @param field the field it was typed in
 * @throws Refusal
 */
export function checkPassword(password: string, email: string, field: string): void {
  const small = password.toLowerCase();
  const own = [email, ...email.split('@')].filter((part) => part.length > 3);
  if (own.some((part) => small === part || bare(password) === part)) throw invalid(field, 'ownAddress');
  if (common.has(small) || common.has(bare(password)) || isRepeated(small))
    throw invalid(field, 'commonPassword');
}
