import { type LengthUnit, parseLength, parseNumber } from '@unity-acre/core/units';

/** Reads what people typed; what cannot be read becomes an error of its field. */
export class Reading {
  readonly errors: Record<string, string> = {};

  number(field: string, text: string): number {
    return this.#kept(field, 'notANumber', text, parseNumber(text));
  }

  length(field: string, text: string, bare: LengthUnit): number {
    return this.#kept(field, 'notALength', text, parseLength(text, bare));
  }

  #kept(field: string, code: string, text: string, value: number | null): number {
    if (value === null) this.errors[field] = text.trim() === '' ? 'required' : code;
    return value ?? Number.NaN;
  }
}
