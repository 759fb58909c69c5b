export {
  type DateOrder,
  dayMilliseconds,
  isZone,
  readWritten,
  standardOffset,
  wallTime,
  type ZoneClock,
  zoneClock,
  zoneDoubt,
} from './time';
