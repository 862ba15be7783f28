import { STATION_FILE_BYTES } from '@unity-acre/contract/place';
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
import { v7 as newId } from 'uuid';
import { type Handlers, prepared } from '../http/handle.ts';
import { invalid, type Refusal } from '../http/refusal.ts';
import { takeStream } from '../http/upload.ts';
import { storedRecord } from './climate.ts';
import { gardens, stationRecords } from './entity.ts';
import { gardenView } from './view.ts';

/** Longer than any line of a station's file, bytes: what goes on without an end is none. */
const LONGEST_LINE = 20_000;
const MEGABYTE = 1_000_000;

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
    tooManyRows: null,
    tooFewYears: null,
  };
  if ('line' in fault) limit[fault.code] = fault.line;
  if ('columns' in fault) limit[fault.code] = fault.columns;
  if ('years' in fault) limit[fault.code] = fault.years;
  const code = `station${fault.code[0]!.toUpperCase()}${fault.code.slice(1)}`;
  return invalid('file', limit[fault.code] === null ? code : `${code}:${limit[fault.code]}`);
}

export const stationRoutes: Pick<Handlers, 'importStation' | 'removeStation'> = {
  importStation: prepared(
    ({ request, query }) => {
      const stream = takeStream(request, STATION_FILE_BYTES, () =>
        invalid('file', `stationTooLarge:${STATION_FILE_BYTES / MEGABYTE}`),
      );
      return readStation(stream, query.units === 'tell' ? null : query.units);
    },
    async ({ query, member: { garden }, change, store }, { record, report }) => {
      const row = {
        id: newId(),
        gardenId: garden.id,
        name: query.name,
        importedAt: new Date(store.clock.now()).toISOString(),
        ...storedRecord(record),
        gaps: report.gaps,
        climate: reduced(record, garden.latitude, garden.longitude),
      };
      return change('station.imported', query.name, async (writing) => {
        await writing.manager.insert(stationRecords, row);
        const saved = await writing.set(gardens, garden, { recordId: row.id });
        return { report, garden: await gardenView(writing.manager, saved, store.clock) };
      });
    },
  ),

  removeStation: ({ member: { garden }, change, store }) =>
    change('station.removed', '', async (writing) => {
      const saved =
        garden.recordId === null ? garden : await writing.set(gardens, garden, { recordId: null });
      return gardenView(writing.manager, saved, store.clock);
    }),
};

/** Days enough but no three years whole: gaps lie in every one of them. */
function reduced(record: StationRecord, latitude: number, longitude: number) {
  try {
    return climateOfRecord(record, latitude, longitude);
  } catch (error) {
    if (error instanceof RangeError) throw invalid('file', 'stationTooFewYears:0');
    throw error;
  }
}
