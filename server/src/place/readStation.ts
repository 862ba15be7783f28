import { Readable } from 'node:stream';
import {
  climateOfRecord,
  type StationFileError as FileError,
  StationFileError,
  type StationFileFault,
  StationReader,
  type StationRecord,
  type StationReport,
  type StationUnits,
} from '@unity-acre/core/place';
import { CsvError, parse } from 'csv-parse';
import { invalid, type Refusal } from '../http/refusal.ts';
import { storedRecord } from './climate.ts';

/** Longer than any line of a station's file, bytes: what goes on without an end is none. */
const LONGEST_LINE = 20_000;

/** Reads a station's file as it arrives, row by row. @throws Refusal naming the line and what is wrong there */
async function readStation(
  stream: AsyncIterable<Buffer>,
  units: StationUnits | null,
): Promise<{ record: StationRecord; report: StationReport }> {
  const reader = new StationReader(units);
  const parser = parse({
    bom: true,
    delimiter: [',', ';', '\t'],
    info: true,
    relax_column_count: true,
    relax_quotes: true,
    max_record_size: LONGEST_LINE,
  });
  const feed = (async () => {
    for await (const chunk of stream)
      if (!parser.write(chunk)) await new Promise((go) => parser.once('drain', go));
    parser.end();
  })();
  // The parser's own error is the one to tell.
  feed.catch((error: unknown) => parser.destroy(error as Error));
  let line = 1;
  try {
    for await (const { record, info } of parser as AsyncIterable<{
      record: string[];
      info: { lines: number };
    }>) {
      line = info.lines;
      reader.row(record, line);
    }
    return reader.finish();
  } catch (error) {
    parser.destroy();
    if (error instanceof StationFileError) throw refused(error);
    if (error instanceof CsvError)
      throw invalid('file', `stationNotCsv:${(error as CsvError & { lines?: number }).lines ?? line}`);
    throw error;
  }
}

function refused({ fault }: FileError): Refusal {
  const limit: { [Code in StationFileFault['code']]: string | number | null } = {
    empty: null,
    notCsv: null,
    columnsMissing: null,
    severalStations: null,
    mixedUnits: null,
    rainUnits: null,
    tooManyRows: null,
    tooFewYears: null,
  };
  if ('line' in fault) limit[fault.code] = fault.line;
  if ('columns' in fault) limit[fault.code] = fault.columns;
  if ('mm' in fault) limit[fault.code] = fault.mm;
  if ('years' in fault) limit[fault.code] = fault.years;
  const code = `station${fault.code[0]!.toUpperCase()}${fault.code.slice(1)}`;
  return invalid('file', limit[fault.code] === null ? code : `${code}:${limit[fault.code]}`);
}

/** Days enough but no three years whole: gaps lie in every one of them. */
function reduced(record: StationRecord, latitude: number, longitude: number) {
  try {
    return climateOfRecord(record, latitude, longitude);
  } catch (error) {
    if (error instanceof RangeError) throw invalid('file', 'stationTooFewYears:0');
    throw error;
  }
}

interface StationTask {
  bytes: Uint8Array;
  /** null where the file is to tell */
  units: StationUnits | null;
  latitude: number;
  longitude: number;
}

/** Reads a station's file whole: what is stored of it, and what was found. @throws Refusal naming the line and what is wrong there */
export async function readStationFile({ bytes, units, latitude, longitude }: StationTask) {
  const { record, report } = await readStation(Readable.from(piecesOf(bytes)), units);
  return { stored: storedRecord(record), climate: reduced(record, latitude, longitude), report };
}

const PIECE_BYTES = 65_536;

function* piecesOf(bytes: Uint8Array): Generator<Buffer> {
  for (let i = 0; i < bytes.length; i += PIECE_BYTES) yield Buffer.from(bytes.subarray(i, i + PIECE_BYTES));
}
