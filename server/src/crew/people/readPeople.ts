import { type FieldError, fieldErrorOf, fieldErrors } from '@unity-acre/contract';
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

/** The table of a file, with its heading; commas, semicolons and tabs are told apart. */
function tableOf(csv: string): { columns: string[]; rows: { line: number; cells: Row }[] } {
  try {
    const records = parse(csv, {
      bom: true,
      delimiter: [',', ';', '\t'],
      relax_column_count: true,
      skip_empty_lines: true,
      trim: true,
      info: true,
    }) as unknown as { record: string[]; info: { lines: number } }[];
    const [heading, ...rest] = records;
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
    role: cell('role') === '' ? 'volunteer' : cell('role'),
    household: cell('household'),
    headcount: 1,
    waitingSince: cell('waitingSince') === '' ? null : cell('waitingSince'),
    phone: cell('phone'),
    pledged: number('pledged', 60),
    minutesAway: number('minutesAway'),
    language: cell('language') === '' ? 'en' : cell('language').toLowerCase().slice(0, 2),
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
