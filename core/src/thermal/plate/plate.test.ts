import { expect } from 'chai';
import * as fc from 'fast-check';
import { evenly } from '../../quantity';
import {
  efficiencyFactor,
  type FieldQuery,
  finEfficiency,
  finProfile,
  fluidState,
  heatRemovalFactor,
  plateAtWork,
  plateField,
  plateMap,
  plateModel,
  serpentineRemoval,
  steppedFin,
  tubeFilm,
} from '..';
import { solveBanded } from './banded';
import { fairDay, glazedPanel, plainPlate } from './collector.fixture';
import { plateOf, settledByRounds, solvedAtOnce } from './field';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('heat: a plate in steps', () => {
  it('is D&B 6.5.12 where all steps are alike (derived)', () => {
    fc.assert(
      fc.property(any(0.005, 1), any(0.5, 25), any(0.01, 0.1), any(0.1, 0.9), (conductance, loss, width, cut) => {
        const plain = finEfficiency({
          conductance,
          lossCoefficient: loss,
          pitch: 2 * width + 0.015,
          tubeDiameter: 0.015,
        });
        const steps = [
          { width: width * cut, conductance },
          { width: width * (1 - cut), conductance },
        ];
        expect(steppedFin(steps, loss)).closeTo(plain, 1e-9);
      }),
    );
  });
  it('lies between the plate all thin and the plate all thick, thick near the tube the better way round', () => {
    const [thin, thick] = [
      { width: 0.03, conductance: 0.05 },
      { width: 0.03, conductance: 0.15 },
    ];
    const at = (steps: (typeof thin)[]) => steppedFin(steps, 8);
    expect(at([thick, thin])).within(at([thin, thin]), at([thick, thick]));
    expect(at([thick, thin])).above(at([thin, thick]));
    expect(steppedFin([], 8)).equal(1);
    expect(steppedFin([thin], 0)).equal(1);
  });
  it('falls from the tube to the outer end and has there 1 / cosh(m x) of its excess (derived)', () => {
    const steps = [{ width: 0.06, conductance: 0.077 }];
    const profile = finProfile(steps, 7, 13);
    expect(profile[0]).closeTo(1, 1e-12);
    expect(profile[12]).closeTo(1 / Math.cosh(Math.sqrt(7 / 0.077) * 0.06), 1e-12);
    for (let index = 1; index < 13; index += 1) expect(profile[index]).below(profile[index - 1] as number);
  });
  it('has a profile whose mean is the fin efficiency, steps or not (derived)', () => {
    const steps = [
      { width: 0.02, conductance: 0.2 },
      { width: 0.04, conductance: 0.06 },
    ];
    const profile = finProfile(steps, 9, 6001);
    const mean = profile.reduce((sum, one) => sum + one, 0) / profile.length;
    expect(mean).closeTo(steppedFin(steps, 9), 1e-3);
    expect(finProfile([], 9, 5)).deep.equal([1, 1, 1, 1, 1]);
  });
});

describe('heat: how a tube sits on its plate (recalled: D&B figure 6.5.4, three geometries)', () => {
  const query = {
    lossCoefficient: 8,
    pitch: 0.15,
    outerDiameter: 0.01,
    innerDiameter: 0.01,
    finEfficiency: 0.937,
    bondConductance: 10,
    filmCoefficient: 300,
  };
  const film = 1 / (Math.PI * 0.01 * 300);
  it('under the plate: W U/(π d h) + W U/C + W/(D + (W − D)F), inverted', () => {
    const byHand = 1 / (0.15 * 8 * film + (0.15 * 8) / 10 + 0.15 / (0.01 + 0.14 * 0.937));
    expect(efficiencyFactor(query)).closeTo(byHand, 1e-12);
  });
  it('over the plate: W U/(π d h) + 1/(D/W + 1/(W U/C + W/((W − D)F))), inverted', () => {
    const byHand = 1 / (0.15 * 8 * film + 1 / (0.01 / 0.15 + 1 / ((0.15 * 8) / 10 + 0.15 / (0.14 * 0.937))));
    expect(efficiencyFactor({ ...query, mount: 'over' })).closeTo(byHand, 1e-12);
  });
  it('in the plate: no bond at all, whatever was said of it', () => {
    const perfect = efficiencyFactor({ ...query, bondConductance: Number.POSITIVE_INFINITY });
    expect(efficiencyFactor({ ...query, mount: 'in' })).closeTo(perfect, 1e-12);
    expect(perfect).above(efficiencyFactor({ ...query, mount: 'over' }));
    expect(efficiencyFactor({ ...query, mount: 'over' })).above(efficiencyFactor(query));
  });
});

describe('heat: warm water stirs itself in slow tubes', () => {
  const film = (massFlow: number, stirring?: { heatPerLength: number; tilt: number }) =>
    tubeFilm({
      massFlow,
      innerDiameter: 0.0136,
      length: 2,
      temperature: 50,
      fluid: 'water',
      ...(stirring ? { stirring: { wallConductance: 385 * 0.0007, ...stirring } } : {}),
    }).coefficient;
  it('by Morcos and Bergles (1975), worked by hand for 50 W/m in a level tube', () => {
    const { density, viscosity, conductivity, heatCapacity } = fluidState('water', 50);
    const prandtl = (viscosity * heatCapacity) / conductivity;
    const h = film(0.004, { heatPerLength: 50, tilt: 0 });
    const nusselt = (h * 0.0136) / conductivity;
    const forced = (film(0.004) * 0.0136) / conductivity;
    // Water at 50 °C grows by 4.6e-4 a kelvin.
    const excess = 50 / (Math.PI * 0.0136 * h);
    const grashof = (9.80665 * 4.58e-4 * excess * 0.0136 ** 3) / (viscosity / density) ** 2;
    const wall = (h * 0.0136 ** 2) / (385 * 0.0007);
    const own = 0.055 * ((grashof * prandtl ** 1.35) / Math.max(2, wall) ** 0.25) ** 0.4;
    expect(grashof * prandtl).within(3e4, 1e6);
    expect(nusselt).closeTo(Math.hypot(forced, own), 0.05);
  });
  it('adds by a third and more to slow hot risers, less in steep ones, nothing upright or when turbulent', () => {
    expect(film(0.003, { heatPerLength: 60, tilt: 40 }) / film(0.003)).within(1.3, 2.5);
    expect(film(0.003, { heatPerLength: 60, tilt: 70 })).below(film(0.003, { heatPerLength: 60, tilt: 20 }));
    expect(film(0.003, { heatPerLength: 60, tilt: 90 })).closeTo(film(0.003), 1e-6);
    expect(film(0.1, { heatPerLength: 60, tilt: 0 })).equal(film(0.1));
    expect(film(0.003, { heatPerLength: -20, tilt: 0 })).equal(film(0.003));
  });
  it('carries less with glycol', () => {
    const glycol = tubeFilm({
      massFlow: 0.05,
      innerDiameter: 0.0136,
      length: 2,
      temperature: 40,
      fluid: { glycol: 0.4 },
    });
    const water = tubeFilm({ massFlow: 0.05, innerDiameter: 0.0136, length: 2, temperature: 40, fluid: 'water' });
    expect(glycol.coefficient).below(water.coefficient / 2);
  });
});

describe('heat: the plate part by part along the water', () => {
  const query: FieldQuery & { lossCoefficient: number } = {
    runLength: 1.9,
    width: 0.1,
    tubeDiameter: 0.015,
    steps: [{ width: 0.0425, conductance: 0.1 }],
    whole: true,
    lossCoefficient: 6,
    resistance: 1 / 40 + 1 / (Math.PI * 0.0136 * 400),
    path: 'parallel',
    carried: new Array<number>(8).fill(15),
    inlet: 20,
    still: 140,
  };
  const hottel = (carried: number, area: number) => {
    const fin = steppedFin(query.steps, 6);
    const factor = 1 / 6 / (0.1 * (1 / (6 * (0.015 + 0.085 * fin)) + query.resistance));
    return heatRemovalFactor({
      massFlow: carried,
      heatCapacity: 1,
      area,
      lossCoefficient: 6,
      efficiencyFactor: factor,
    });
  };
  it('is Hottel, Whillier and Bliss where all runs are alike, one sheet or strips (derived)', () => {
    for (const whole of [true, false]) {
      const { heat } = plateField({ ...query, whole });
      const area = 8 * 1.9 * 0.1;
      expect(heat / (area * 6 * 120)).closeTo(hottel(120, area), 1e-5);
    }
  });
  it('agrees with the panel’s own state within 1 % of the gain, over the whole field', () => {
    fc.assert(
      fc.property(any(300, 1100), any(0, 35), any(5, 70), any(0.01, 0.15), (irradiance, air, inlet, massFlow) => {
        const conditions = { ...fairDay, irradiance, air, surroundings: air - 10, inlet, massFlow };
        const model = plateModel(glazedPanel());
        const state = model.state(conditions);
        const field = plateAtWork(model, conditions, state);
        const { gain = Number.NaN } = state;
        expect(field.outlet - inlet).closeTo(gain, 0.01 * Math.abs(gain) + 1e-6);
      }),
      { numRuns: 60 },
    );
  });
  it('keeps its energy: what the plate does not lose is in the water', () => {
    const map = plateField({ ...query, parts: 60 });
    const fin = steppedFin(query.steps, 6);
    // Each strip gathers U (D + (W − D) F)(still − foot) along its length.
    const gathered = map.tube.reduce(
      (sum, line) => sum + line.reduce((run, foot) => run + ((140 - foot) * 6 * (0.015 + 0.085 * fin) * 1.9) / 60, 0),
      0,
    );
    expect(gathered / map.heat).closeTo(1, 1e-3);
  });
  it('takes less from a serpentine on one sheet than from a straight tube: neighbours warm each other back', () => {
    const carried = new Array<number>(8).fill(60);
    const bent = serpentineRemoval({ ...query, carried });
    const straight = hottel(60, 8 * 1.9 * 0.1);
    expect(bent).below(straight);
    expect(bent / straight).within(0.9, 0.9999);
    // Strips that do not touch are a straight tube, bent or not.
    expect(serpentineRemoval({ ...query, carried, whole: false })).closeTo(straight, 1e-6);
    expect(serpentineRemoval({ ...query, carried: [60] })).closeTo(hottel(60, 1.9 * 0.1), 1e-6);
  });
  it('loses the strip of a blocked riser, not all of it on one sheet', () => {
    const blocked = (whole: boolean) => {
      const carried = [...query.carried];
      carried[3] = 0;
      return plateField({ ...query, carried, whole });
    };
    const free = plateField(query).heat;
    expect(blocked(false).heat / plateField({ ...query, whole: false }).heat).closeTo(7 / 8, 1e-9);
    expect(blocked(true).heat / free).within(7 / 8, 1);
    expect(blocked(false).tube[3]?.[0]).closeTo(140, 1e-6);
    expect(blocked(true).tube[3]?.[0]).within((blocked(true).tube[2]?.[0] ?? 0) + 5, 139);
  });
  it('gives a slow riser hotter water, and the map a plate hotter between tubes than on them', () => {
    const shares = [0.05, 0.15, 0.2, 0.2, 0.2, 0.2];
    const panel = glazedPanel({ tube: { ...glazedPanel().tube, count: 6 }, plate: plainPlate(0.1, 0.17) });
    const model = plateModel(panel);
    const state = model.state(fairDay);
    const field = plateAtWork(model, fairDay, state, shares);
    const ends = field.water.map((line) => line[line.length - 1] as number);
    expect(ends[0]).above((ends[1] as number) + 5);
    expect(ends[1]).above(ends[2] as number);
    const strip = field.plate[2] as number[][];
    expect(strip[0]?.[8]).above(strip[2]?.[8] as number);
    expect(strip[0]?.[8]).closeTo(strip[4]?.[8] as number, 1e-9);
    expect(strip[2]?.[15]).above(strip[2]?.[0] as number);
    expect(plateMap({ ...query, carried: [15] }, plateField({ ...query, carried: [15] }), 3)[0]).length(3);
  });
  it('runs back and forth in a serpentine: the second run is warmest where the first one is not', () => {
    const { water, tube } = plateField({ ...query, path: 'serpentine', carried: [30, 30], whole: false });
    expect(water[1]?.[0]).above(water[0]?.[15] as number);
    expect(tube[1]?.[15]).below(tube[1]?.[0] as number);
  });
  it('is the same by rounds and at one stroke, however close the tubes, whichever way the water goes', () => {
    let slow = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        any(0.016, 0.2),
        any(0.2, 60),
        any(0.01, 2),
        fc.constantFrom('parallel', 'serpentine'),
        fc.boolean(),
        (runs, width, flow, conductance, path, blocked) => {
          const carried = Array.from({ length: runs }, (_, run) =>
            blocked && path === 'parallel' && run === 1 ? 0 : flow,
          );
          const steps = [{ width: Math.max(0, width - 0.015) / 2, conductance }];
          const still = carried.map((_, run) => 140 - 3 * run);
          const plate = plateOf({ ...query, width, steps, carried, path, still, parts: 6 });
          // A round that moves little is far from the end where tubes stand close: these go on until hardly anything moves.
          // Where much water cools a thin plate, what a foot is worked out of is rounded off by more than that.
          const byRounds = settledByRounds(plate, 1_000_000, 1e-11) ?? settledByRounds(plate, 1_000_000, 1e-9);
          const atOnce = solvedAtOnce(plate);
          if (!settledByRounds(plate)) slow += 1;
          for (const [run, line] of atOnce.water.entries())
            for (const [part, water] of line.entries()) {
              expect(byRounds?.water[run]?.[part]).closeTo(water, 1e-5);
              expect(byRounds?.excess[run]?.[part]).closeTo(atOnce.excess[run]?.[part] as number, 1e-5);
            }
        },
      ),
      {
        numRuns: 150,
        examples: [[2, 0.12250370421158381, 59.99987373255711, 0.01000000000000003, 'serpentine', false]],
      },
    );
    expect(slow).above(10);
  });
  it('keeps its energy where tubes stand so close that rounds do not settle', () => {
    const close: FieldQuery = {
      ...query,
      width: 0.02,
      steps: [{ width: 0.0025, conductance: 0.08 }],
      path: 'serpentine',
    };
    const carried = new Array<number>(31).fill(10);
    const { strips, between, step, parts } = plateOf({ ...close, carried });
    const { heat, tube } = plateField({ ...close, carried });
    expect(settledByRounds(plateOf({ ...close, carried }))).equal(undefined);
    // What leaves through the strips' own loss, and no heat made or lost between neighbours.
    let gathered = 0;
    for (const [run, line] of tube.entries())
      for (const foot of line) {
        const neighbours = (run > 0 ? 1 : 0) + (run < strips.length - 1 ? 1 : 0);
        gathered += ((strips[run]?.own ?? 0) - neighbours * between) * (140 - foot) * step;
      }
    expect(parts * strips.length).equal(tube.flat().length);
    expect(heat / gathered).closeTo(1, 1e-6);
  });
});

describe('heat: banded systems', () => {
  it('solves what was multiplied out by hand', () => {
    // 2x + y = 4, x + 3y + z = 10, y + 4z = 14: x = 1, y = 2, z = 3.
    const rows = Float64Array.from([0, 2, 1, 1, 3, 1, 1, 4, 0]);
    const values = Float64Array.from([4, 10, 14]);
    expect(Array.from(solveBanded({ size: 3, half: 1, rows, values }))).deep.equal([1, 2, 3]);
  });
  it('gives back the unknowns of random dominant systems', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 6 }), fc.integer(), (size, half, seed) => {
        const next = evenly(seed);
        const wide = 2 * half + 1;
        const rows = new Float64Array(size * wide);
        const unknowns = Float64Array.from({ length: size }, () => next() * 10 - 5);
        const values = new Float64Array(size);
        for (let row = 0; row < size; row += 1)
          for (let column = Math.max(0, row - half); column <= Math.min(size - 1, row + half); column += 1) {
            const coefficient = row === column ? wide + 1 : next() * 2 - 1;
            rows[row * wide + half + column - row] = coefficient;
            values[row] = (values[row] ?? 0) + coefficient * (unknowns[column] ?? 0);
          }
        const found = solveBanded({ size, half, rows, values });
        for (const [index, unknown] of unknowns.entries()) expect(found[index]).closeTo(unknown, 1e-9);
      }),
    );
  });
});
