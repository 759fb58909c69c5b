// Weather: series on an even grid, reading and mending files of it, years made up from monthly means, broad climates.
export { type Gaps, gapsOf } from './check';
export {
  type BroadClimateId,
  broadClimateIds,
  broadClimates,
  broadMonths,
  type Climate,
  climateMonths,
  climateSchema,
  likelyClimate,
} from './climates';
export { dailyExtraterrestrial, monthlyExtraterrestrial } from './extraterrestrial';
export {
  clocks,
  proposeWeather,
  stamps,
  type WeatherColumn,
  type WeatherMapping,
  type WeatherProposal,
  weatherColumns,
  weatherMappingSchema,
  weatherUnits,
} from './mapping';
export { type MonthlyClimate, monthlyMeans, monthlySchema } from './months';
export { columnWords, type ReadOptions, readWeather, type WeatherFile } from './read';
export type { Repairs } from './repair';
export {
  BrokenSeries,
  decodeSeries,
  encodeSeries,
  middleOf,
  type WeatherQuantity,
  type WeatherSeries,
  type WeatherSite,
  weatherQuantities,
} from './series';
export { syntheticYear } from './synthetic';
export { clockInWords, sayWeather, stampInWords } from './words';
