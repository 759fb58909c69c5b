import geomagnetism from 'geomagnetism';

/** How far a compass needle points from true north, and how much that can be trusted. */
export interface MagneticDeclination {
  /** Degrees, east positive. */
  declination: number;
  /** Degrees, one standard error of the model; iron nearby can do far more. */
  error: number;
  model: string;
  /** First and last day for which the model is made. */
  from: Date;
  until: Date;
  /** Whether the day asked for lies outside them. */
  outdated: boolean;
  /** Whether the needle lies too flat here to be used at all: the horizontal field is under 6 000 nT. */
  useless: boolean;
}

/** Days that the editions of the model in the package reach from and to. */
const firstDay = Date.UTC(2014, 11, 16);
const lastDay = Date.UTC(2029, 10, 13);
/** Degrees a year that the needle wanders beyond the model's dates: judgement, twice the usual. */
const driftPerYear = 0.2;

/**
 * Magnetic declination by the World Magnetic Model (NOAA and BGS; 2025 edition for 2025 to 2030). Error by its own error
 * model, sqrt(0.26² + (5417/H)²) degrees with the horizontal field H in nT; storms and iron are not in it.
 */
export function magneticDeclination(query: {
  at: Date;
  latitude: number;
  longitude: number;
  elevation?: number;
}): MagneticDeclination {
  // The package writes to the console when it is asked beyond its dates, so it is asked at the nearest of them.
  const asked = new Date(Math.min(lastDay, Math.max(firstDay, query.at.getTime())));
  const model = geomagnetism.model(asked);
  const held = Math.min(89.99, Math.max(-89.99, query.latitude));
  const yearsBeyond = Math.abs(query.at.getTime() - asked.getTime()) / (365.25 * 86_400_000);
  const { decl, h } = model.point([held, query.longitude, (query.elevation ?? 0) / 1000]);
  return {
    declination: decl,
    error: Math.hypot(0.26, 5417 / Math.max(100, h)) + driftPerYear * yearsBeyond,
    model: model.name,
    from: model.start_date,
    until: model.end_date,
    outdated: yearsBeyond > 0,
    useless: h < 6000,
  };
}

/** What a compass shows for a true direction, 0 to 360. */
export function compassBearing(aim: number, declination: number): number {
  return (((aim - declination) % 360) + 360) % 360;
}
