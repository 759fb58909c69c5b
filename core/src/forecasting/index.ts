// What a job will do through a day: the weather of its place, and stores with their draws.

export { dailyDraws, needByHour, volumeByHour, withHour } from './dayNeed';
export { type FrostYear, frostMatters, frostYear, type NightMinima, nightMinima } from './frost';
export { poolCooling, poolNeed, poolTarget, poolVolumePerDay } from './pool';
export { type StoreDay, storeDays } from './storeDay';
export { type DayKind, dayKinds, type WeatherDay, weatherDay } from './weatherDay';
export { type HourOfYear, weatherYear, yearInsolation } from './weatherYear';
