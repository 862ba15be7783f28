import { type FieldError, fieldErrorOf, fieldErrors, type Role } from '@unity-acre/contract';
import {
  crewFacts,
  type PeopleField,
  type PeopleFileRead,
  type PersonInput,
  peopleFields,
  personInput,
} from '@unity-acre/contract/crew';
import { readNeutral } from '@unity-acre/contract/csv';
import { parse } from 'csv-parse/sync';
import { invalid } from '../../http/refusal.ts';

type Mapping = PeopleFileRead['mapping'];
type Row = Record<string, string>;

/** Words in a heading that tell a field, in the languages of the program. */
const telling: Record<PeopleField, RegExp> = {
  name: /^(full.?)?name$|nombre|who|volunteer/i,
  email: /e-?mail|correo/i,
  phone: /phone|mobile|tel/i,
  household: /household|family|familia|casa/i,
  role: /role|rol|papel/i,
  pledged: /pledge|hours|horas/i,
  minutesAway: /minutes|minutos|away/i,
  waitingSince: /wait|espera/i,
  language: /lang|idioma/i,
};

/** The column each field stands in, as the headings tell. */
const guessed = (columns: readonly string[]): Mapping =>
  Object.fromEntries(
    peopleFields.flatMap((field) => {
      const column = columns.find((one) => telling[field].test(one.trim()));
      return column === undefined ? [] : [[field, column]];
    }),
  );

/** Words for roles and languages as people write them, by the beginnings of those words. */
const roleWords: [RegExp, Role][] = [
  [/^(crew.?lead|lead|responsable|l[ií]der)/, 'crewLead'],
  [/^coord/, 'coordinator'],
  [/^(receiv|recept|pantry|despensa)/, 'receiver'],
  [/^(volunt|member|gardener|hortelan|miembro)/, 'volunteer'],
];
const languageWords: [RegExp, 'en' | 'es'][] = [
  [/^(en\b|eng|ingl)/, 'en'],
  [/^(es\b|esp|span|cast)/, 'es'],
];

/** What is meant by a word; the word itself where it is none of those known, which is then refused. */
const meant = <Value extends string>(text: string, known: readonly [RegExp, Value][]): string =>
  known.find(([words]) => words.test(text.trim().toLowerCase()))?.[1] ?? text;

/** Lines over the heading, such as a title, are no more than this. */
const MOST_ABOVE = 5;

/** The line that is the heading: the first of those at the top in which most fields are told. */
function headingIn(records: readonly { record: string[] }[]): number {
  const told = records
    .slice(0, MOST_ABOVE)
    .map(({ record }) =>
      record.filter((cell) => peopleFields.some((field) => telling[field].test(cell.trim()))),
    );
  const most = Math.max(0, ...told.map((cells) => cells.length));
  return most === 0 ? 0 : told.findIndex((cells) => cells.length === most);
}

/** The table of a file, with its heading; commas, semicolons and tabs are told apart. */
function tableOf(csv: string): { columns: string[]; rows: { line: number; cells: Row }[] } {
  try {
    const records = parse(csv, {
      bom: true,
      delimiter: [',', ';', '\t'],
      relax_column_count: true,
      skip_empty_lines: true,
      // A row of empty cells is no row: spreadsheets write many of them.
      skip_records_with_empty_values: true,
      trim: true,
      info: true,
    }) as unknown as { record: string[]; info: { lines: number } }[];
    const [heading, ...rest] = records.slice(headingIn(records));
    if (!heading || heading.record.length === 0) throw invalid('csv', 'notCsv');
    const columns = heading.record;
    return {
      columns,
      rows: rest.map(({ record, info }) => ({
        line: info.lines,
        cells: Object.fromEntries(columns.map((column, i) => [column, readNeutral(record[i] ?? '')])),
      })),
    };
  } catch {
    throw invalid('csv', 'notCsv');
  }
}

/** A person as a row has them. What cannot be read becomes an error of its field. */
function personOf(cells: Row, mapping: Mapping): { person: PersonInput | null; errors: FieldError[] } {
  const cell = (field: PeopleField) => (mapping[field] ? (cells[mapping[field]!] ?? '') : '');
  const number = (field: PeopleField, times = 1) =>
    cell(field) === '' ? null : Math.round(Number(cell(field).replace(',', '.')) * times);
  const parsed = personInput.safeParse({
    ...crewFacts.parse({}),
    name: cell('name'),
    email: cell('email') === '' ? null : cell('email'),
    role: cell('role') === '' ? 'volunteer' : meant(cell('role'), roleWords),
    household: cell('household'),
    headcount: 1,
    waitingSince: cell('waitingSince') === '' ? null : cell('waitingSince'),
    phone: cell('phone'),
    pledged: number('pledged', 60),
    minutesAway: number('minutesAway'),
    language: cell('language') === '' ? 'en' : meant(cell('language'), languageWords),
  });
  return parsed.success
    ? { person: parsed.data, errors: [] }
    : { person: null, errors: fieldErrors(parsed.error) };
}

/** People read of one file. */
const MOST_ROWS = 1000;

interface PeopleFileTask {
  csv: string;
  /** null where the columns are to be guessed */
  mapping: Mapping | null;
  here: readonly { name: string; email: string | null }[];
}

/** Reads a file of people: who is new, who is here already, and what is broken, line by line. */
export function readPeople({ csv, mapping: chosen, here }: PeopleFileTask): {
  read: PeopleFileRead;
  fresh: PersonInput[];
} {
  const { columns, rows } = tableOf(csv);
  if (rows.length > MOST_ROWS) throw invalid('csv', `tooManyRows:${MOST_ROWS}`);
  const mapping = chosen ?? guessed(columns);
  const known = new Set(here.flatMap(({ name, email }) => [name.toLowerCase(), email ?? name.toLowerCase()]));
  const mails = new Set<string>();
  const fresh: PersonInput[] = [];
  const read = rows.map(({ line, cells }): PeopleFileRead['rows'][number] => {
    const { person, errors } = personOf(cells, mapping);
    const name = mapping.name ? (cells[mapping.name] ?? '') : '';
    if (!person) return { line, name, stands: 'broken', errors };
    // Somebody of the same name or mail is not added twice, so that a file may be read again.
    if (known.has(person.name.toLowerCase()) || (person.email && known.has(person.email)))
      return { line, name, stands: 'known', errors: [] };
    if (person.email && mails.has(person.email)) {
      return { line, name, stands: 'broken', errors: [fieldErrorOf('email', 'sameTwice')] };
    }
    if (person.email) mails.add(person.email);
    known.add(person.name.toLowerCase());
    fresh.push(person);
    return { line, name, stands: 'new', errors: [] };
  });
  return { read: { columns, mapping, rows: read, added: 0 }, fresh };
}
