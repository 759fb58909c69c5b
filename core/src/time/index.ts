// Clocks of zones, and times as people write them.

export {
  type DateOrder,
  dayMilliseconds,
  isZone,
  readTime,
  readWritten,
  standardOffset,
  wallTime,
  type ZoneClock,
  zoneClock,
  zoneDoubt,
} from './time';
