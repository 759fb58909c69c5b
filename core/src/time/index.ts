// Clocks of zones, and times as people write them.

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
