import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  coilFriction,
  coilOnset,
  evenEnough,
  fittingLoss,
  fittings,
  frictionFactor,
  headersCompared,
  type ManifoldQuery,
  manifoldFlow,
  narrowestEven,
  unevenness,
} from '.';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('flow: unevenness', () => {
  it('is most over least, whatever the order, and finite where a riser stands still', () => {
    expect(unevenness([0.2, 0.5, 0.3])).closeTo(2.5, 1e-12);
    expect(unevenness([0.25, 0.25, 0.25, 0.25])).equal(1);
    expect(unevenness([0.5, 0, 0.5])).within(1e8, 1e9);
  });
});

describe('flow: fittings (recalled: Hooper’s two-K method, 1981)', () => {
  it('worked by hand: an elbow of one inch at Re 1 000 is 800/1 000 + 0.4 × 2', () => {
    expect(fittingLoss({ fitting: 'elbow-90', reynolds: 1000, bore: 0.0254 })).closeTo(1.6, 1e-12);
    expect(fittingLoss({ fitting: 'tee-branch', reynolds: 5000, bore: 0.0127 })).closeTo(0.1 + 0.7 * 3, 1e-12);
    expect(fittingLoss({ fitting: 'exit', reynolds: 100, bore: 0.02 })).equal(1);
    expect(fittingLoss({ fitting: 'entry', reynolds: 1600, bore: 0.02 })).closeTo(0.6, 1e-12);
  });
  it('costs more heads the slower and the narrower', () => {
    for (const fitting of Object.keys(fittings) as (keyof typeof fittings)[])
      fc.assert(
        fc.property(any(50, 50_000), any(0.006, 0.05), (reynolds, bore) => {
          const at = fittingLoss({ fitting, reynolds, bore });
          expect(fittingLoss({ fitting, reynolds: reynolds * 2, bore })).at.most(at);
          expect(fittingLoss({ fitting, reynolds, bore: bore * 2 })).at.most(at);
        }),
        { numRuns: 20 },
      );
  });
});

describe('flow: coils', () => {
  const coil = (reynolds: number, coilDiameter = 0.5) =>
    coilFriction({ reynolds, bore: 0.02, coilDiameter, relativeRoughness: 1e-4 });
  it('laminar by Mishra and Gupta (1979), worked by hand: Re 1 000, De 200, 1 + 0.033 × 2.301^4', () => {
    const dean = 1000 * Math.sqrt(0.02 / 0.5);
    expect(dean).closeTo(200, 1e-9);
    expect(coil(1000)).closeTo(0.064 * (1 + 0.033 * Math.log10(200) ** 4), 1e-12);
    expect(coil(1000) / 0.064).within(1.9, 1.95);
  });
  it('turbulent adds 0.03 √(bore / coil): 0.006 here', () => {
    expect(coil(20_000)).closeTo(frictionFactor(20_000, 1e-4) + 0.006, 1e-12);
  });
  it('turns turbulent later than a straight tube (Ito 1959: 20 000 × 0.04^0.32 = 7 140)', () => {
    expect(coilOnset(0.02, 0.5)).closeTo(7140, 10);
    expect(coilOnset(0.01, 1e9)).equal(2300);
  });
  it('is a straight tube when it is wound endlessly wide, and never costs less', () => {
    expect(coil(1000, Number.POSITIVE_INFINITY)).closeTo(0.064, 1e-12);
    expect(coil(1000, 1e7)).closeTo(0.064, 1e-3);
    fc.assert(
      fc.property(any(10, 2200), any(0.1, 3), (reynolds, diameter) => {
        expect(coil(reynolds, diameter)).at.least(frictionFactor(reynolds, 1e-4));
      }),
    );
  });
});

const panel: ManifoldQuery = {
  risers: 12,
  riserLength: 1.9,
  riserBore: 0.0136,
  headerBore: 0.0262,
  pitch: 0.09,
  massFlow: 0.04,
  temperature: 40,
  connection: 'diagonal',
};

describe('flow: headers', () => {
  it('grow more even with their bore, and the rule of thumb is said beside it', () => {
    const compared = headersCompared(panel, [0.0136, 0.0202, 0.0262, 0.0336]);
    for (let index = 1; index < compared.length; index += 1)
      expect(compared[index]?.unevenness).below(compared[index - 1]?.unevenness as number);
    expect(compared[2]?.areaRatio).closeTo(0.0262 ** 2 / (12 * 0.0136 ** 2), 1e-12);
  });
  it('are chosen as narrow as feeds evenly, or the widest when none does', () => {
    // In the sun: the lift of the warmer riser evens them out.
    const sunny = { ...panel, warming: { heat: 90, rise: 1.3 } };
    const compared = headersCompared(sunny, [0.0336, 0.0136, 0.0262, 0.0202]);
    const chosen = narrowestEven(compared);
    expect(chosen?.unevenness).at.most(evenEnough);
    const narrower = compared.filter(({ bore }) => bore < (chosen?.bore ?? 0));
    expect(narrower).not.deep.equal([]);
    for (const one of narrower) expect(one.unevenness).above(evenEnough);
    expect(narrowestEven(compared, 1)?.bore).equal(0.0336);
    expect(narrowestEven([])).equal(undefined);
  });
  it('pass the water of a blocked riser to the others', () => {
    for (const blocked of [0, 4, 11])
      for (const connection of ['diagonal', 'same-side'] as const) {
        const { fractions, pressureDrop } = manifoldFlow({ ...panel, connection, blocked });
        expect(fractions.reduce((sum, one) => sum + one, 0)).closeTo(1, 1e-9);
        expect(Math.abs(fractions[blocked] ?? 1)).below(1e-4);
        const open = manifoldFlow({ ...panel, connection });
        for (const [riser, share] of fractions.entries())
          if (riser !== blocked) expect(share).above(open.fractions[riser] as number);
        expect(pressureDrop).above(open.pressureDrop * 0.9);
      }
    const [one] = headersCompared({ ...panel, blocked: 3 }, [0.0262]);
    const open = one?.shares.filter((_, riser) => riser !== 3) ?? [];
    expect(one?.unevenness).closeTo(Math.max(...open) / Math.min(...open), 1e-9);
  });
  it('stay whole with a blocked riser in a hot panel too', () => {
    const { fractions } = manifoldFlow({ ...panel, blocked: 2, massFlow: 0.04, warming: { heat: 100, rise: 1.3 } });
    expect(fractions.reduce((sum, one) => sum + one, 0)).closeTo(1, 1e-9);
    expect(Math.abs(fractions[2] ?? 1)).below(0.01);
  });
});
