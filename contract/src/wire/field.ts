import { isClockTime, isDay, isMonthDay } from '@unity-acre/core/calendar';
import { z } from 'zod';

/*
 * The messages of all schemas are codes, with a limit after a colon where there is one: `tooLong:120`. The words for
 * a code stand in fields.en.json and fields.es.json.
 */
z.config({
  customError: (issue) => {
    switch (issue.code) {
      case 'invalid_type':
        return issue.input === undefined || issue.input === null ? 'required' : 'wrongType';
      case 'too_small':
        if (issue.origin === 'string') return issue.minimum === 1 ? 'required' : `tooShort:${issue.minimum}`;
        if (issue.origin === 'array') return `tooFew:${issue.minimum}`;
        return issue.inclusive ? `atLeast:${issue.minimum}` : `above:${issue.minimum}`;
      case 'too_big':
        if (issue.origin === 'string') return `tooLong:${issue.maximum}`;
        if (issue.origin === 'array') return `tooMany:${issue.maximum}`;
        return `atMost:${issue.maximum}`;
      case 'invalid_value':
        return 'notOffered';
      case 'unrecognized_keys':
        return 'unknownField';
      case 'invalid_format':
        return issue.format === 'email' ? 'notAnEmail' : issue.format === 'uuid' ? 'notAnId' : 'wrongForm';
      default:
        return 'wrongType';
    }
  },
});

/** For a rule over several fields: it has nothing to say while one of them is wrong by itself. */
export const noIssueSoFar = (payload: { issues: unknown[] }): boolean => payload.issues.length === 0;

/** A sortable identifier made by the client. */
export const id = z.uuid({ version: 'v7' });
/* What ends a line or steers a printer, a terminal or a letter's head, or turns text around unseen. */
const CONTROLS = /[\p{Cc}\u2028\u2029\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]+/gu;
const CONTROLS_BUT_BREAKS = /(?:(?![\n\t])[\p{Cc}\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff])+/gu;

/** Text of one line, whatever was pasted into its field: it goes into letters' heads, calendars and lists. */
const oneLine = () => z.string().overwrite((text) => text.replace(CONTROLS, ' ').trim());

/** One line of text. */
export const line = (longest: number) => oneLine().min(1).max(longest);
/** One line of text that may be empty. */
export const words = (longest: number) => oneLine().max(longest);
/** Text of several lines that may be empty. */
export const prose = (longest: number) =>
  z
    .string()
    .overwrite((text) =>
      text
        .replace(/\r\n?|[\u2028\u2029]/g, '\n')
        .replace(CONTROLS_BUT_BREAKS, ' ')
        .trim(),
    )
    .max(longest);
export const day = z.string().refine(isDay, 'notADay').meta({ format: 'date' });
export const monthDay = z.string().refine(isMonthDay, 'notAMonthDay').meta({ pattern: '^\\d{2}-\\d{2}$' });
export const clockTime = z.string().refine(isClockTime, 'notATime').meta({ pattern: '^\\d{2}:\\d{2}$' });
export const year = z.coerce.number().int().min(1990).max(2200);
/** A length on the ground, metres. */
export const metres = z.number().min(-2000).max(2000);
/** A bed is between five centimetres and a kilometre: what is smaller is a slip, and takes for ever to fill. */
export const SMALLEST_M = 0.05;
export const LARGEST_M = 1000;
/** A size on the ground, metres. */
export const size = z.number().min(SMALLEST_M, 'tooNarrow').max(LARGEST_M, 'tooFar');
export const version = z.number().int().min(1).max(1e9);
