import { expect } from 'chai';
import { builtOnce } from './builtOnce';
import type { Workmanship } from './contract';
import { annulus, annulusAir, annulusExchange, cylinderLoss, cylinderToAir, openCylinder } from './cylinder';
import { fittedOnce } from './fittedOnce';
import { fluidDensity, fluidState } from './fluids';
import { sleevedOptics, wallTables } from './heatPipe/sleeve';
import { hemisphereDirections, hemisphereMean } from './hemisphere';
import type { FlowThrough, Reference } from './laboratory';
import { topBalance, topLoss } from './losses';
import { coverOptics, faceOptics, sheetsFor, sheetTransmittance } from './optics';
import { fourthPower, stefan } from './radiation';
import { followedRoot, risingRoot } from './root';

describe('thermal: a description built once', () => {
  const made: string[] = [];
  const built = builtOnce((deviates, workmanship: Workmanship) => {
    const name = `${workmanship} ${JSON.stringify(deviates)}`;
    made.push(name);
    return { name };
  });
  beforeEach(() => made.splice(0));

  it('is the same one for the likely values of each workmanship, however they are asked for', () => {
    const likely = built();
    expect(built({})).equal(likely);
    expect(built({}, 'well made')).equal(likely);
    expect(built(undefined, 'home-made')).not.equal(likely);
    expect(built().name).equal('well made {}');
  });
  it('is made once for deviates in a row, and anew for others and for another workmanship', () => {
    const one = { bond: 1 };
    const other = { bond: -1 };
    expect(built(one)).equal(built(one));
    expect(made).length(1);
    expect(built(other).name).equal('well made {"bond":-1}');
    expect(built(one, 'home-made').name).equal('home-made {"bond":1}');
    // Alike is not the same: nobody looks into them.
    expect(built({ bond: 1 }, 'home-made').name).equal('home-made {"bond":1}');
    expect(made).length(4);
  });
});

describe('thermal: a fit made once', () => {
  it('for each tilt, flow and fluid', () => {
    let fits = 0;
    const fit = fittedOnce((reference: Reference) => {
      fits += 1;
      return { kind: 'flow-through', reference } as FlowThrough;
    });
    const first = fit({ tilt: 45, specificFlow: 0.02 });
    expect(fit({ tilt: 45, specificFlow: 0.02, fluid: 'water' })).equal(first);
    expect(fits).equal(1);
    for (const other of [
      { tilt: 40, specificFlow: 0.02 },
      { tilt: 45, specificFlow: 0.01 },
      { tilt: 45, specificFlow: 0.02, fluid: { glycol: 0.3 } },
      { tilt: 45, specificFlow: 0.02, fluid: { glycol: 0.4 } },
    ])
      expect(fit(other).reference).deep.equal(other);
    expect(fits).equal(5);
  });
});

describe('thermal: a root that is followed', () => {
  // A surface that loses by its fourth power and gives the rest to water: it moves little as the water warms.
  const surface = (water: number) => (at: number) => 4e-8 * (at + 273.15) ** 4 + 60 * (at - water) - 700;

  it('is the one that is found anew, wherever it has been before', () => {
    let water = 10;
    const followed = followedRoot((at) => surface(water)(at));
    for (const next of [10, 10.2, 10.4, 30, 29.9, 80, -20, -19.9]) {
      water = next;
      expect(followed(water - 50, water + 400, 1e-7), `${next}`).closeTo(
        risingRoot(surface(water), water - 50, water + 400, 1e-10),
        1e-8,
      );
    }
  });
  it('asks less often for a root that is near the last one', () => {
    let [asked, water] = [0, 10];
    const followed = followedRoot((at) => {
      asked += 1;
      return surface(water)(at);
    });
    followed(-40, 410, 1e-7);
    const first = asked;
    asked = 0;
    for (let step = 0; step < 100; step += 1) {
      water += 0.1;
      followed(-40, 450, 1e-7);
    }
    expect(asked / 100).below(first / 2);
  });
  it('says when its bounds hold none', () => {
    const followed = followedRoot((at) => at - 5);
    expect(followed(0, 10, 1e-9)).closeTo(5, 1e-9);
    expect(() => followed(6, 10, 1e-9)).throw(/risingRoot/);
  });
});

describe('thermal: what is prepared for a boundary', () => {
  const covers = [{ emittance: 0.88, gap: 0.025 }];
  const conditions = {
    ambientTemperature: 10,
    skyTemperature: 0,
    windCoefficient: 12,
    tilt: 45,
    plateEmittance: 0.95,
    covers,
  };

  it('a top asked at many temperatures says what each alone says, in any order', () => {
    for (const query of [
      conditions,
      { ...conditions, covers: [...covers, ...covers] },
      { ...conditions, covers: [] },
      { ...conditions, wet: 0.6 },
      {
        ...conditions,
        covers: [
          { emittance: 0.6, gap: 0.02, longWave: 0.3 },
          { emittance: 0.88, gap: 0.02 },
        ],
      },
    ]) {
      const top = topBalance(query);
      // A wet plate is held below the boiling point.
      for (const plate of 'wet' in query ? [60, 20, 9.998, 60] : [80, 20, 120, 9.998, 20, 60, 80]) {
        const alone = topLoss({ ...query, plateTemperature: plate });
        expect(top.flux(plate)).equal(alone.flux);
        expect(top.innerFaces(plate)).deep.equal(alone.innerTemperatures);
        expect(top.loss(plate)).deep.equal(alone);
      }
    }
  });
  it('a pane stands where what comes to it leaves it: gap and plate against sky and wind', () => {
    const { flux, coverTemperatures } = topBalance(conditions).loss(70);
    const [pane = 0] = coverTemperatures;
    const leaves = 12 * (pane - 10) + 0.88 * stefan * (fourthPower(pane) - fourthPower(0));
    expect(flux).closeTo(leaves, 0.01);
  });
  it('a cylinder in the open loses by its own draught in still air, and more the more it blows', () => {
    const at = (wind: number) => openCylinder({ diameter: 0.1, air: 10, surroundings: 5, wind, emittance: 0.9 });
    expect(cylinderToAir(at(0), 10)).closeTo(0, 1e-9);
    expect(cylinderToAir(at(0), 40)).above(0);
    expect(cylinderLoss(at(2), 40)).above(cylinderLoss(at(0.5), 40));
    // Long wave alone at the air's own temperature: half of it sees 5 °C.
    expect(cylinderLoss(at(1), 10)).closeTo(
      Math.PI * 0.1 * 0.9 * stefan * ((fourthPower(10) - fourthPower(5)) / 2),
      1e-9,
    );
  });
  it('an annulus conducts when nothing stirs, exchanges as parallel plates when it is thin', () => {
    const thin = annulus(0.1, 0.102);
    expect(annulusAir(thin, 20, 20)).closeTo((2 * Math.PI * 0.0257) / Math.log(1.02), 0.03);
    // Two faces alike: 1 / (2/ε − 1) on the mean of their rounds, within the gap's share.
    expect(annulusExchange(thin, 0.9, 0.9) / (Math.PI * 0.1)).closeTo(1 / (2 / 0.9 - 1), 0.02);
    expect(annulusAir(annulus(0.04, 0.1), 90, 20)).above(annulusAir(annulus(0.04, 0.1), 25, 20));
  });
  it('density alone is that of the whole state', () => {
    for (const fluid of ['water', { glycol: 0.4 }] as const)
      for (const at of [-30, 0, 4, 55, 100, 140]) expect(fluidDensity(fluid, at)).equal(fluidState(fluid, at).density);
  });
});

describe('thermal: optics from tables', () => {
  it('a sheet by its faces and depth passes what the tracing of a stack says', () => {
    for (const transmittance of [0.7, 0.86, 0.9]) {
      const [sheet] = sheetsFor({ index: 1.526, sheets: 1, transmittance });
      if (!sheet) throw new Error('no sheet');
      for (const incidence of [0, 20, 45, 60, 75, 85, 89.9]) {
        const face = faceOptics(1.526, Math.cos((incidence * Math.PI) / 180));
        expect(sheetTransmittance(face, sheet.extinction), `${incidence}°`).closeTo(
          coverOptics({ covers: [sheet], incidence }).transmittance,
          1e-9,
        );
      }
      expect(sheetTransmittance(faceOptics(1.526, 0), sheet.extinction)).equal(0);
    }
  });
  it('a wall is a table of it, square on at its end', () => {
    const table = wallTables(1.575)(0.05);
    expect(table[0]).equal(0);
    const straight = ((1.575 - 1) / (1.575 + 1)) ** 2;
    const pass = Math.exp(-0.05);
    expect(table[table.length - 1]).closeTo((pass * (1 - straight) ** 2) / (1 - (straight * pass) ** 2), 1e-12);
  });
  it('directions of diffuse light have equal shares: their mean cosine is 2/3 of one', () => {
    const directions = hemisphereDirections({ rings: 40, ways: 8 });
    expect(directions).length(320);
    const cosine = (transversal: number, longitudinal: number) => {
      const tangent = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
      return 1 / Math.hypot(1, tangent(transversal), tangent(longitudinal));
    };
    expect(hemisphereMean(cosine, { rings: 40, ways: 8 })).closeTo(2 / 3, 0.002);
  });
  it('strips of a beam serve every paint and wall: kept is in proportion to what the paint takes up', () => {
    const optics = sleevedOptics({ diameter: 0.015, strip: 0.07, pitch: 0.1, sleeve: 0.088 });
    const wall = wallTables(1.575)(0.02);
    const duller = wallTables(1.575)(0.2);
    for (const [transversal, longitudinal] of [
      [0, 0],
      [35, 50],
      [60, 0],
    ] as const) {
      const whole = optics.beam(1, wall, transversal, longitudinal);
      expect(optics.beam(0.9, wall, transversal, longitudinal)).closeTo(0.9 * whole, 1e-12);
      expect(optics.beam(1, duller, transversal, longitudinal)).below(whole);
      expect(optics.beam(1, undefined, transversal, longitudinal)).above(whole);
    }
    expect(optics.diffuse(0.5, wall)).closeTo(0.5 * optics.diffuse(1, wall), 1e-12);
  });
});
