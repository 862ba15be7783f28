export {
  FEWEST_YEARS,
  gapsIn,
  lastOf,
  packRecord,
  placeIn,
  type StationRecord,
  unpackRecord,
} from './record.ts';
export {
  type SkipReason,
  StationFileError,
  type StationFileFault,
  StationReader,
  type StationReport,
  type StationUnits,
  skipReasons,
  stationUnits,
} from './stationReader.ts';
