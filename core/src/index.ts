// The front door of core: everything that is computed, and the words for it. No interface, no network, no files.
export { bore, entries, entry, entryName, findEntry } from './catalogue';
export type { CatalogueKind, FieldMeta, Range } from './catalogue';
export type { Finding, Severity, Wording } from './care';
export { dimensionLine, direction, extent, writeSvg } from './draw';
export type { Dimension, Drawing, Edit, Extent, Label, Layer, Point, Shape, SvgOptions } from './draw';
export { families, standardChoice } from './families';
export type { Chosen, Family, FamilyId, Field, PanelDesign, PanelDocument, View, WaterDescription } from './families';
export { manifoldFlow, pressureDrop } from './flow';
export {
  coverOptics,
  efficiencyFactor,
  efficiencyLine,
  finEfficiency,
  fluidState,
  heatRemovalFactor,
  massFlowOf,
  normals,
  stagnationTemperature,
  topLoss,
  tubeFilm,
  volumeFlow,
} from './heat';
export type { CollectorDescription, CollectorState, HeatConditions } from './heat';
export * from './job';
export { panelsState, totalAperture } from './loop';
export * from './proof';
export * from './quantity';
export { planLengths, planSheets, writeCsv } from './shop';
export type { Bar, BuyLine, LengthPlan, MaterialPlan, OnHand, Part, Purchase, SheetPlan, ShopPlan, Sold } from './shop';
export {
  clearSky,
  clearSkyTemperature,
  incidenceAngle,
  noonSun,
  solarNoon,
  splitGlobal,
  sunPath,
  sunPosition,
  tiltedIrradiance,
} from './sky';
export type { PathPoint, SunPosition } from './sky';
