import { expect } from 'chai';
import * as fc from 'fast-check';
import { fluidState } from '../thermal';
import { copperRoughness, manifoldFlow, pressureDrop } from '.';

interface Panel {
  risers: number;
  riserLength: number;
  riserBore: number;
  headerBore: number;
  pitch: number;
  massFlow: number;
  temperature: number;
  connection: 'diagonal' | 'same-side';
}

/** The slow obvious way: pressures along both headers from the flows, each riser's flow moved a little toward them. */
function byRelaxation(panel: Panel): number[] {
  const { risers: count, massFlow: total, temperature } = panel;
  const { density } = fluidState('water', temperature);
  const inertia = 1 / (density * ((Math.PI / 4) * panel.headerBore ** 2) ** 2);
  const tube = (innerDiameter: number, length: number, minorLoss: number) => (massFlow: number) =>
    pressureDrop({
      massFlow,
      innerDiameter,
      length,
      roughness: copperRoughness,
      temperature,
      fluid: 'water',
      minorLoss,
    });
  const riser = tube(panel.riserBore, panel.riserLength, 1.5);
  const header = tube(panel.headerBore, panel.pitch, 0);
  const flows = new Array<number>(count).fill(total / count);
  for (let pass = 0; pass < 60_000; pass += 1) {
    const across = [riser(flows[0] ?? 0)];
    let sum = 0;
    for (let index = 0; index + 1 < count; index += 1) {
      const before = sum;
      sum += flows[index] ?? 0;
      const feedBefore = total - before;
      const feed = total - sum;
      const feedDrop = header(feed) - 0.5 * inertia * (feedBefore ** 2 - feed ** 2);
      const [gatherBefore, gather] = panel.connection === 'diagonal' ? [before, sum] : [feedBefore, feed];
      const gatherDrop = header(gather) + inertia * Math.abs(gather ** 2 - gatherBefore ** 2);
      across.push((across[index] ?? 0) - feedDrop + (panel.connection === 'diagonal' ? gatherDrop : -gatherDrop));
    }
    // One number is free: the level of them all, set so that the flows add up.
    const conductance = flows.map((flow) => flow / riser(flow));
    const wish = flows.map((_, index) => (across[index] ?? 0) * (conductance[index] ?? 0));
    const level = (total - wish.reduce((a, b) => a + b, 0)) / conductance.reduce((a, b) => a + b, 0);
    let moved = 0;
    flows.forEach((flow, index) => {
      const next = ((across[index] ?? 0) + level) * (conductance[index] ?? 0);
      moved = Math.max(moved, Math.abs(next - flow) / total);
      flows[index] = flow + 0.02 * (next - flow);
    });
    if (moved < 1e-9) break;
  }
  return flows.map((flow) => flow / total);
}

describe('flow: the manifold against the slow obvious way', () => {
  const base: Panel = {
    risers: 8,
    riserLength: 1.9,
    riserBore: 0.0136,
    headerBore: 0.0262,
    pitch: 0.1,
    massFlow: 0.04,
    temperature: 30,
    connection: 'diagonal',
  };
  const panels: [what: string, change: Partial<Panel>][] = [
    ['wide headers, diagonal', {}],
    ['wide headers, same side', { connection: 'same-side' }],
    ['thin headers, diagonal', { headerBore: 0.02 }],
    ['thin headers, same side', { headerBore: 0.02, connection: 'same-side' }],
    ['thin risers', { riserBore: 0.008 }],
    ['few risers', { risers: 3 }],
    ['slow', { massFlow: 0.01 }],
  ];
  for (const [what, change] of panels)
    it(what, () => {
      const panel = { ...base, ...change };
      const slow = byRelaxation(panel);
      manifoldFlow(panel).fractions.forEach((share, index) => {
        expect(share, `riser ${index}`).closeTo(slow[index] ?? 0, 2e-5);
      });
    }).timeout(20_000);
  it('evens out as risers get thinner, and as headers get wider', () => {
    const spread = (change: Partial<Panel>) => {
      const { fractions } = manifoldFlow({ ...base, ...change });
      return Math.max(...fractions) / Math.min(...fractions);
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 20 }),
        fc.double({ min: 0.005, max: 0.05, noNaN: true }),
        (risers, massFlow) => {
          expect(spread({ risers, massFlow, riserBore: 0.006 })).at.most(
            spread({ risers, massFlow, riserBore: 0.0136 }) + 1e-9,
          );
          expect(spread({ risers, massFlow, headerBore: 0.04 })).at.most(spread({ risers, massFlow }) + 1e-9);
        },
      ),
      { numRuns: 30 },
    );
  });
  it('refuses a panel without risers', () => {
    expect(() => manifoldFlow({ ...base, risers: 0 })).throw(RangeError);
    expect(manifoldFlow({ ...base, massFlow: 0 })).deep.equal({
      fractions: new Array(8).fill(1 / 8),
      pressureDrop: 0,
      buoyancyHead: 0,
    });
  });
  it('tells friction and lift apart: friction is what cold water takes, near enough, and never below zero', () => {
    const cold = manifoldFlow(base);
    const warm = manifoldFlow({ ...base, warming: { heat: 90, rise: 1.2 } });
    expect(cold.buoyancyHead).equal(0);
    expect(warm.buoyancyHead).above(5);
    expect(warm.pressureDrop / cold.pressureDrop).within(0.8, 1.2);
    // By hand: half of the warming of a riser, 90 W into an eighth of the flow, lifts by Δρ g over 1.2 m of rise.
    const warming = 90 / ((base.massFlow / 8) * 4180);
    const { density } = fluidState('water', base.temperature);
    const perKelvin = density - fluidState('water', base.temperature + 1).density;
    expect(warm.buoyancyHead / ((perKelvin * 9.80665 * 1.2 * warming) / 2)).within(0.9, 1.15);
  });
  it('settles for every header that its risers fit into, whatever the flow and the sun, and asks something of the pump', () => {
    const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        any(0.006, 0.04),
        any(0.2, 1),
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('diagonal', 'same-side'),
        any(0.0005, 0.2),
        any(0, 120),
        (headerBore, share, risers, connection, massFlow, heat) => {
          const { fractions, pressureDrop, buoyancyHead } = manifoldFlow({
            ...base,
            headerBore,
            riserBore: headerBore * share,
            risers,
            connection: connection as 'diagonal',
            massFlow,
            warming: { heat, rise: 1.2 },
          });
          expect(fractions.reduce((sum, one) => sum + one, 0)).closeTo(1, 1e-9);
          expect(pressureDrop).above(0);
          expect(buoyancyHead).at.least(0);
        },
      ),
      { numRuns: 300 },
    );
  });
});
