import { expect } from 'chai';
import * as fc from 'fast-check';
import { fluidState } from '../thermal';
import { frictionFactor, manifoldFlow, pressureDrop } from '.';

const tube = { innerDiameter: 0.0136, length: 2, roughness: 1.5e-6, temperature: 20, fluid: 'water' as const };

describe('flow: friction', () => {
  it('is Hagen and Poiseuille when laminar (derived: 128 μ L V / π d⁴)', () => {
    const { viscosity, density } = fluidState('water', 20);
    const massFlow = 0.004;
    const exact = (128 * viscosity * 2 * (massFlow / density)) / (Math.PI * 0.0136 ** 4);
    expect(pressureDrop({ ...tube, massFlow })).closeTo(exact, exact * 1e-9);
  });
  const moody: [reynolds: number, roughness: number, factor: number][] = [
    [1e4, 0, 0.0309],
    [1e5, 0, 0.018],
    [1e5, 0.001, 0.0222],
    [1e6, 0.0001, 0.0134],
  ];
  for (const [re, roughness, factor] of moody)
    it(`reads ${factor} off Moody's chart at ${re}, ${roughness} (recalled)`, () =>
      expect(frictionFactor(re, roughness)).closeTo(factor, 0.0003));
  it('has no step between the regimes, follows the sign of the flow, and counts fittings', () => {
    expect(frictionFactor(2301, 0) / frictionFactor(2299, 0)).closeTo(1, 0.01);
    expect(frictionFactor(4001, 0) / frictionFactor(3999, 0)).closeTo(1, 0.01);
    expect(pressureDrop({ ...tube, massFlow: -0.1 })).equal(-pressureDrop({ ...tube, massFlow: 0.1 }));
    expect(pressureDrop({ ...tube, massFlow: 0.1, minorLoss: 5 })).above(pressureDrop({ ...tube, massFlow: 0.1 }));
    expect(pressureDrop({ ...tube, massFlow: 0 })).equal(0);
  });
});

describe('flow: headers and risers', () => {
  const panel = {
    risers: 10,
    riserLength: 1.886,
    riserBore: 0.0136,
    headerBore: 0.0262,
    pitch: 0.104,
    massFlow: 0.043,
    temperature: 30,
  };
  it('shares all the water, and evenly under wide headers', () => {
    for (const connection of ['diagonal', 'same-side'] as const) {
      const { fractions, pressureDrop: drop } = manifoldFlow({ ...panel, headerBore: 0.2, connection });
      expect(fractions.reduce((sum, share) => sum + share, 0)).closeTo(1, 1e-8);
      for (const share of fractions) expect(share).closeTo(0.1, 1e-4);
      // One riser of ten, with its two ends.
      const one = pressureDrop({ ...tube, length: 1.886, massFlow: 0.0043, temperature: 30, minorLoss: 1.5 });
      expect(drop).closeTo(one, one * 0.01);
    }
  });
  it('is the riser alone when there is one', () => {
    const { fractions, pressureDrop: drop } = manifoldFlow({
      ...panel,
      risers: 1,
      massFlow: 0.0043,
      connection: 'diagonal',
    });
    expect(fractions).deep.equal([1]);
    const one = pressureDrop({ ...tube, length: 1.886, massFlow: 0.0043, temperature: 30, minorLoss: 1.5 });
    expect(drop).closeTo(one, one * 1e-6);
  });
  it('starves the far risers of a thin same-side header', () => {
    const { fractions } = manifoldFlow({ ...panel, headerBore: 0.0136, massFlow: 0.08, connection: 'same-side' });
    expect(fractions[0]).above(fractions[9] ?? 0);
  });
  it('is the same seen from either end when diagonal and friction rules (derived: laminar, no inertia)', () => {
    // A thick liquid: inertia vanishes and the network is linear, so the flows mirror.
    const oil = { density: 900, viscosity: 50, conductivity: 0.14, heatCapacity: 2000 };
    const { fractions } = manifoldFlow({ ...panel, headerBore: 0.02, connection: 'diagonal', fluid: oil });
    fractions.forEach((share, index) => {
      expect(share).closeTo(fractions[9 - index] ?? 0, 1e-4);
    });
  });
  it('evens out in the sun, where the slow riser is lifted most', () => {
    const spread = (shares: number[]) => Math.max(...shares) / Math.min(...shares);
    const cold = manifoldFlow({ ...panel, connection: 'diagonal' });
    const sunlit = manifoldFlow({ ...panel, connection: 'diagonal', warming: { heat: 110, rise: 1.3 } });
    expect(spread(sunlit.fractions)).below(spread(cold.fractions));
    expect(sunlit.pressureDrop).below(cold.pressureDrop);
    expect(sunlit.fractions.reduce((sum, share) => sum + share, 0)).closeTo(1, 1e-8);
  });
  it('solves the whole range, 1 to 60 risers, slow and fast', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        fc.constantFrom('diagonal' as const, 'same-side' as const),
        (risers, massFlow, connection) => {
          const { fractions, pressureDrop: drop } = manifoldFlow({ ...panel, risers, massFlow, connection });
          expect(fractions.reduce((sum, share) => sum + share, 0)).closeTo(1, 1e-6);
          expect(Number.isFinite(drop)).equal(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});
