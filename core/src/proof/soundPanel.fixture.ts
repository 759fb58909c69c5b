import { type PlateDescription, plateModel, valueAt } from '../thermal';
import { glazedPanel } from '../thermal/plate/collector.fixture';
import { type Plant, type Reading, readingConditions, type Sensors, sensorErrors, skyShares } from '.';

/** What `clear` may mean. */
const word = { ...skyShares.clear, spread: 'normal', kind: 'judgement' } as const;
const stefan = 5.670374e-8;
const fourth = (celsius: number) => (celsius + 273.15) ** 4;

/**
 * A panel that does what was drawn, by a model that shares nothing with the predictor: parts along the water, each with plate, water,
 * pane and wool of their own temperature, stepped in time. Gap by Buchberg's correlation (1976), wind as McAdams' 5.7 + 3.8 v turned to
 * convection alone, optics by a b₀ modifier, the fin as a mean resistance. Its build and its instruments are drawn from the same spreads.
 *
 * Draws one panel and its instruments, and lets it run. With the sun in words it is a clear day, as clear as that word may mean. */
export function soundReadings(query: {
  plant: Plant;
  heat: PlateDescription;
  sensors: Sensors;
  normal: () => number;
  start: number;
  minutes: number;
  every: number;
  flow: number;
  air: number;
  wind: number;
  /** Share of the clear sun at a minute. */
  sun(minute: number): number;
  clear(time: number): { total: number; incidence: number };
  /** °C of the water that comes in at a minute; or m³ of a tank that it is drawn from and goes back to. */
  inlet: number;
  tank?: number;
}): Reading[] {
  const { plant, heat, sensors, normal, flow, air, wind } = query;
  const draw = {
    bond: valueAt(heat.bond, normal()),
    transmittance: valueAt(heat.covers[0]?.transmittance ?? heat.dirt, normal()),
    dirt: valueAt(heat.dirt, normal()),
    absorptance: valueAt(heat.absorptance, normal()),
    emittance: valueAt(heat.emittance, normal()),
    back: valueAt(heat.backFactor, normal()),
    edge: valueAt(heat.rimFactor, normal()),
    wind: valueAt({ low: 0.67, likely: 1, high: 1.55, spread: 'log-normal', kind: 'judgement' }, normal()),
    plate: valueAt({ low: 0.95, likely: 1, high: 1.05, spread: 'normal', kind: 'standard' }, normal()),
  };
  const errors = sensorErrors(sensors);
  const wrong = {
    difference: errors.difference * normal(),
    flow: 1 + errors.flow * normal(),
    sun: 1 + errors.sun * normal(),
  };
  const parts = 8;
  const area = heat.absorberArea / parts;
  const { tube, plate, covers } = heat;
  const half = (plate.width - tube.outerDiameter) / 2;
  const conductance = (plate.steps[0]?.conductance ?? 0.1) * draw.plate;
  // Mean of a fin over its foot under an even flux is L² / 3kδ; bond and film by the metre of tube.
  const film = 450;
  const toWater =
    1 / (half ** 2 / (3 * conductance) + plate.width / draw.bond + plate.width / (Math.PI * tube.innerDiameter * film));
  const thick =
    heat.back.layers.reduce((sum, layer) => sum + layer.thickness / layer.conductivity, 0) + 1 / heat.back.outside;
  const rimThick =
    heat.rim.layers.reduce((sum, layer) => sum + layer.thickness / layer.conductivity, 0) + 1 / 8 + 1 / 15;
  const rim = (draw.edge * heat.rim.area) / rimThick / heat.absorberArea;
  const capacityRate = flow * 996 * 4180;
  const gap = covers[0]?.gap ?? 0.025;
  const state = Array.from({ length: parts }, () => ({
    plate: query.inlet + 4,
    water: query.inlet + 2,
    pane: air + 6,
    wool: query.inlet + 2,
  }));
  let tank = query.inlet;
  const said = sensors.sun === 'words' ? valueAt(word, normal()) : undefined;
  let clear = query.clear(query.start);
  let irradiance = 0;
  let conditions: ReturnType<typeof readingConditions>;
  const step = 6;
  const readings: Reading[] = [];
  // A quarter of the dry capacity is the pane's, three tenths of which swing.
  const paneCapacity = (0.25 * heat.capacity.dry) / 0.3 / parts;
  const [plateCapacity, waterCapacity, woolCapacity] = [
    heat.capacity.dry * 0.75,
    heat.capacity.water,
    heat.capacity.box / 0.25,
  ].map((one) => one / parts) as [number, number, number];
  for (let second = -1800; second <= query.minutes * 60; second += step) {
    const minute = Math.max(0, second / 60);
    const time = query.start + second * 1000;
    const inlet = query.tank === undefined ? query.inlet : tank;
    if (second % 60 === 0) {
      clear = query.clear(query.start + minute * 60_000);
      irradiance = clear.total * (said ?? query.sun(minute));
      conditions = readingConditions(plant, { time, inlet, outlet: inlet, air, flow, irradiance, wind });
    }
    if (!conditions) throw new Error('no sun');
    const cos = Math.cos((clear.incidence * Math.PI) / 180);
    const modifier = conditions.beamShare * (1 - 0.1 * (1 / Math.max(0.3, cos) - 1)) + (1 - conditions.beamShare) * 0.9;
    const kept = draw.transmittance * draw.dirt * draw.absorptance * 1.012 * modifier * irradiance;
    const outer = Math.max(5, (8.6 * (wind * draw.wind) ** 0.6) / Math.sqrt(heat.grossArea) ** 0.4);
    let entering = inlet;
    for (const one of state) {
      const middle = (one.plate + one.pane) / 2 + 273.15;
      const rise = Math.max(0, one.plate - one.pane);
      const rayleigh =
        ((9.81 * rise * gap ** 3) / (middle * 1.85e-5 * 2.6e-5)) * Math.cos((plant.tilt * Math.PI) / 180);
      const nusselt =
        rayleigh < 1708 ? 1 : rayleigh < 5900 ? 1 + 1.446 * (1 - 1708 / rayleigh) : 0.229 * rayleigh ** 0.252;
      const across = ((nusselt * 0.0285) / gap) * (one.plate - one.pane);
      const radiated = (stefan * (fourth(one.plate) - fourth(one.pane))) / (1 / draw.emittance + 1 / 0.88 - 1);
      const toSky = 0.88 * stefan * (fourth(one.pane) - fourth(conditions.surroundings));
      const back = (2 * draw.back) / thick;
      const toWool = back * (one.plate - one.wool);
      const fromWool = back * (one.wool - air);
      const taken = toWater * (one.plate - one.water);
      const net = kept - across - radiated - toWool - rim * (one.plate - air) - taken;
      one.plate += (step * area * net) / plateCapacity;
      one.pane += (step * area * (across + radiated - outer * (one.pane - air) - toSky)) / paneCapacity;
      one.wool += (step * area * (toWool - fromWool)) / woolCapacity;
      const before = one.water;
      one.water += (step * (area * taken + capacityRate * (entering - one.water))) / waterCapacity;
      // What leaves is what its own balance let go: no heat is made between two parts.
      entering = before;
    }
    const outlet = entering;
    if (query.tank !== undefined && second > 0)
      tank += (step * capacityRate * (outlet - inlet)) / (query.tank * 996 * 4180);
    if (second >= 0 && second % (query.every * 60) === 0)
      readings.push({
        time,
        inlet: inlet + 0.03 * normal(),
        outlet: outlet + wrong.difference + 0.03 * normal(),
        air,
        flow: flow / wrong.flow,
        ...(said === undefined ? { irradiance: irradiance / wrong.sun } : { sky: 'clear' as const }),
        wind,
      });
  }
  return readings;
}

/** One glazed panel that looks at the summer noon from the reach. */
export const reachPlant: Plant = {
  groups: [{ thermal: plateModel(glazedPanel()), count: 1 }],
  connection: 'parallel',
  latitude: -40.9,
  longitude: 172.9,
  elevation: 4,
  tilt: 41,
  aim: 0,
  albedo: 0.2,
};
/** About solar noon on a summer's day there. */
export const reachNoon = Date.UTC(2026, 1, 9, 0, 40);
