import { expect } from 'chai';
import * as fc from 'fast-check';
import { range } from './catalogue';
import { jobFindings, loopBoils, sayFinding, serviceMargins } from './cautions';
import { asBuilt, defaultJob, type Job, parseJob, withValueAt } from './document';
import { waterCheck } from './families/harp/sections';
import {
  curveSlope,
  evaluateOpen,
  flowArgument,
  heaterSections,
  marksWorth,
  sectionOf,
  specificFlowFor,
  stillFigures,
  uncertainRows,
} from './figures';
import { given, wholeBands, wholeFigures } from './figures/whole.fixture';
import type { ManifoldModel } from './hydraulic';
import { nightConditions, openJob } from './job';
import { foundOf, handTestsOf, withFound, withMeasured, withoutFound } from './proving';
import { trials } from './quantity/trials.fixture';
import type { Section } from './readout';
import { type PlateModel, stagnationTemperature } from './thermal';
import { thicknessByWeight } from './thermal/handTests';

const harp = (): Job => defaultJob('harp');
const set = (job: Job, path: string, value: unknown): Job =>
  withValueAt(
    job,
    path.split('.').map((step) => (/^\d+$/.test(step) ? Number(step) : step)),
    value,
  );

/** Readouts of a heater that stands still. */
function stillSection(open: ReturnType<typeof openJob>) {
  const section = sectionOf(heaterSections(open, evaluateOpen(open), 0), 'still');
  return section?.kind === 'figures' ? section.readouts : [];
}

describe('job: what overheats', () => {
  it('asks every material of a panel, tightest first, at the heat of its own place', () => {
    const rows = serviceMargins(openJob(harp()));
    const figures = wholeFigures(harp());
    expect(rows.find(({ place }) => place === 'plate')?.sees).closeTo(figures.stagnationTemperature, 1e-6);
    const margins = rows.map(({ margin }) => margin);
    expect(margins).deep.equal([...margins].sort((a, b) => a - b));
    for (const { sees, high, limit, margin } of rows) {
      expect(high).at.least(sees);
      expect(margin).closeTo(limit - high, 1e-9);
    }
    expect(rows.find(({ place }) => place === 'side')?.sees).within(50, 100);
  });
  it('finds foam that melts and names the field that changes it, and a sensor and cable that are too weak', () => {
    const foam = set(harp(), 'heaters.panel-a.box.parameters.insulation', 'polyiso-50');
    const codes = jobFindings(openJob(foam)).filter(({ code }) => code === 'material-overheats');
    expect(codes).length(1);
    expect(codes[0]?.path).equal('heaters.panel-a.box.parameters.insulation');
    expect(jobFindings(openJob(harp()))).deep.equal([]);
    const weak = jobFindings(openJob(set(harp(), 'loop.hotSensor', undefined)));
    expect(weak.map(({ code, values }) => [code, values.name])).deep.equal([
      ['sensor-overheats', 'digital sensor'],
      ['sensor-overheats', 'PVC cable'],
    ]);
    expect(weak.map(({ fix }) => fix)).deep.equal([true, true]);
  });
  it('is hotter at the site’s own hottest hour', () => {
    const hot = { ...harp(), site: { ...harp().site, hottest: { air: 42, irradiance: 1080 } } };
    const plate = (job: Job) => serviceMargins(openJob(job)).find(({ place }) => place === 'plate')?.sees ?? 0;
    expect(plate(hot)).above(plate(harp()) + 12);
  });
  it('tells what soldered joints hold at the heat they see, and nothing where no table goes', () => {
    const joint = serviceMargins(openJob(harp())).find(({ place }) => place === 'joint');
    expect(joint?.sees).above(121);
    expect(joint?.joint?.holds).equal(undefined);
    const shade = { ...harp(), site: { ...harp().site, hottest: { air: 20, irradiance: 500 } } };
    const cooler = serviceMargins(openJob(shade)).filter(({ place }) => place === 'joint');
    const holds = (alloy: string) => cooler.find((one) => one.joint?.alloy === alloy)?.joint?.holds;
    for (const { high } of cooler) expect(high).below(121);
    // 6 to 14 bar of tin-lead, by the trade's table.
    expect(holds('tin-lead')).within(5.8e5, 14e5);
    expect(holds('tin-antimony')).above(holds('tin-lead') ?? 0);
  });
  it('judges by the upper edge of the band, which the draws of the band bear out', () => {
    const plate = serviceMargins(openJob(harp())).find(({ place }) => place === 'plate');
    const { stagnationTemperature: band } = wholeBands(harp(), {}, { samples: 2500, seed: 3 });
    expect(plate?.sees).closeTo(band.likely, 1e-6);
    // The skew of so many split spreads is left out: it comes out a tenth on the safe side.
    expect(((plate?.high ?? 0) - band.likely) / (band.high - band.likely)).within(0.98, 1.2);
  });
  it('tells tin-lead from tin-antimony: a selective plate that runs dry melts the one and not the other', () => {
    const hot = set(set(harp(), 'heaters.panel-a.parameters.paint', 'selective-paint'), 'site.hottest', {
      air: 40,
      irradiance: 1050,
    });
    const known = set(hot, 'heaters.panel-a.known', {
      emittance: { low: 0.1, likely: 0.15, high: 0.2, spread: 'normal', kind: 'measured' },
    });
    const melts = jobFindings(openJob(known)).filter(({ code }) => code === 'solder-melts');
    expect(melts.map(({ values }) => values.name)).deep.equal(['tin-lead joints']);
    expect(melts[0]?.values.high).within(183, 233);
    expect(jobFindings(openJob(harp())).map(({ code }) => code)).not.include('solder-melts');
  });
  it('pushes steam down a loop that is known, hotter under pressure, and says so in words', () => {
    const pipe = (name: string, pressurised = false) =>
      openJob(set(set(harp(), 'loop.pipe', name), 'loop.pressurised', pressurised));
    expect(serviceMargins(openJob(harp())).some(({ place }) => place === 'loop')).equal(false);
    const open = serviceMargins(pipe('pex')).find(({ place }) => place === 'loop');
    expect(open?.sees).within(98, 101);
    expect(loopBoils(pipe('pex', true))).closeTo(143.6, 0.5);
    const words = jobFindings(pipe('pvc')).map((finding) => sayFinding(finding, 'metric').detail);
    expect(words[0]).match(/back down the loop; PVC pipe stands 60\s°C/);
    expect(jobFindings(pipe('copper'))).deep.equal([]);
  });
});

describe('job: a panel that stands still', () => {
  const open = openJob(harp());
  const figures = evaluateOpen(open);
  it('warms in minutes, boils within the hour, and freezes above zero', () => {
    const still = stillFigures(open, figures, 0);
    expect(still.warmUp).within(120, 1200);
    expect(still.boils).within(900, 3600);
    expect(still.boilingPoint).within(99, 100);
    expect(still.belowAir).within(2, 8);
    expect(still.freezesAt).within(1, 7);
  });
  it('boils sooner and cooler on a hill', () => {
    const hill = openJob(set(harp(), 'site.elevation', 2500));
    const still = stillFigures(hill, evaluateOpen(hill), 0);
    expect(still.boilingPoint).below(92.5);
    expect(given(still.boils)).below(given(stillFigures(open, figures, 0).boils));
  });
  it('sees a colder sky by night than the air', () => {
    expect(nightConditions(harp(), 10).surroundings).within(-6, 4);
    expect(nightConditions(harp(), 10).irradiance).equal(0);
  });
  it('opens to its derivations, with numbers throughout', () => {
    for (const derivation of stillSection(open).map(({ derivation }) => given(derivation))) {
      expect(derivation.source).not.equal('');
      for (const { value, label } of derivation.inputs)
        expect(Number.isFinite(value), `${derivation.name} ${label}`).equal(true);
    }
  });
});

describe('job: how a panel shares its water', () => {
  const open = openJob(harp());
  const figures = evaluateOpen(open);
  const checkOf = (job: typeof open) => {
    const { design } = given(job.panels[0]);
    const work = given(evaluateOpen(job).perHeater[0]?.work);
    return waterCheck(design.thermal as PlateModel, design.hydraulic as ManifoldModel, {
      ...work,
      water: given(work.water),
    });
  };
  const check = checkOf(open);
  const headers = given(sectionOf(heaterSections(open, figures, 0), 'headers')) as Section & { kind: 'choices' };
  it('tells evenness beside the rule of thumb, and what unevenness costs', () => {
    const shares = figures.perHeater[0]?.branches ?? [];
    expect(check.unevenness).closeTo(Math.max(...shares) / Math.min(...shares), 1e-9);
    expect(check.areaRatio).within(0.1, 1);
    expect(check.spread).within(0.1, 15);
    expect(check.cost).within(0, 0.02);
  });
  it('offers headers of the same shop, the drawn one among them, as wide as advised', () => {
    expect(headers.choices.filter(({ chosen }) => chosen)).length(1);
    expect(headers.choices.filter(({ advised }) => advised)).length(1);
    const drawn = headers.choices.find(({ chosen }) => chosen);
    expect(drawn?.value.value).closeTo(check.unevenness, 1e-9);
    // Wider headers stand further down, and feed more evenly.
    const evenness = headers.choices.map(({ value }) => value.value);
    expect(evenness).deep.equal([...evenness].sort((a, b) => b - a));
    const widest = headers.choices[headers.choices.length - 1]?.set;
    expect(checkOf(openJob(set(harp(), `heaters.panel-a.${headers.path}`, widest))).unevenness).below(check.unevenness);
  });
  it('loses about its strip to a blocked riser, whose plate then stands hot', () => {
    const risers = figures.perHeater[0]?.branches.length ?? 1;
    expect(check.blocked.cost).within(0.8 / risers, 1.1 / risers);
    expect(check.blocked.plate).above((figures.perHeater[0]?.work?.state.places.plate ?? 0) + 40);
    // Never hotter than the same plate standing still in the same weather: about 95 °C, where a straight line from the
    // working point would put 113.
    const still = stagnationTemperature(given(open.panels[0]).design.thermal, figures.conditions);
    expect(check.blocked.plate).within(still - 8, still + 1e-6);
    expect(still).within(88, 102);
  });
});

describe('job: what a mark of the tape is worth', () => {
  it('only names dimensions that gain, each by a mark inside its limits, best first', () => {
    const open = openJob(harp());
    const heat = evaluateOpen(open).perHeater[0]?.usefulHeat ?? 0;
    const rows = marksWorth(open, 0, 'metric', { low: heat * 0.9, likely: heat, high: heat * 1.05 });
    expect(rows.length).above(0);
    for (const row of rows) {
      expect(Math.abs(row.next - row.value)).within(0.0009, 0.0011);
      expect(row.perMark).above(0);
      expect(row.inAll).at.least(row.perMark);
      expect(row.worth).equal(row.inAll > heat * 0.075);
    }
    const gains = rows.map(({ perMark }) => perMark);
    expect(gains).deep.equal([...gains].sort((a, b) => b - a));
    // Under a band of nothing everything is worth it.
    for (const row of marksWorth(open, 0, 'metric', { low: heat, likely: heat, high: heat }))
      expect(row.worth).equal(true);
  });
  it('is true: the job changed by that mark gives that much more', () => {
    const job = harp();
    const open = openJob(job);
    const before = evaluateOpen(open).perHeater[0]?.usefulHeat ?? 0;
    const row = marksWorth(open, 0, 'metric', { low: 0, likely: 1, high: 2 }).find(({ id }) => id === 'air-gap');
    if (!row) throw new Error('the air gap gains nothing here');
    const after = wholeFigures(set(job, 'heaters.panel-a.parameters.airGap', row.next)).perHeater[0]?.usefulHeat ?? 0;
    expect(after - before).closeTo(row.perMark, 1e-6);
  });
});

describe('job: two bands', () => {
  it('put the home-made one lower and wider, and both hold their likely', () => {
    const well = wholeBands(harp());
    const home = wholeBands(harp(), {}, { workmanship: 'home-made' });
    for (const figure of ['gain', 'usefulHeat', 'efficiency'] as const) {
      expect(home[figure].likely).below(well[figure].likely);
      expect(home[figure].low).below(well[figure].low);
      expect(home[figure].high - home[figure].low).above(well[figure].high - well[figure].low);
      expect(home[figure].likely).within(home[figure].low, home[figure].high);
    }
    expect(well.gain.likely).closeTo(wholeFigures(harp()).gain, 1e-9);
  });
  it('are the same for the same seed', () => {
    const options = { samples: 40, seed: 5, workmanship: 'home-made' } as const;
    expect(wholeBands(harp(), {}, options)).deep.equal(wholeBands(harp(), {}, options));
  });
  it('narrow where the builder knows better', () => {
    const known = { bond: { low: 90, likely: 100, high: 110, spread: 'log-normal', kind: 'measured' } };
    // Over enough draws that the ends of a band stand still.
    const width = (job: Job) => {
      const { gain } = wholeBands(job, {}, { samples: 2000, workmanship: 'home-made' });
      return gain.high - gain.low;
    };
    expect(width(set(harp(), 'heaters.panel-a.known', known)) / width(harp())).within(0.7, 0.98);
  });
});

describe('job: hand tests laid over the design as built', () => {
  const open = openJob(harp());
  const bench = { painted: true, backOpen: false };
  const foundBy = (id: string, rows: Record<string, number>[], lies = bench) => {
    const { input, test } = given(handTestsOf(open, 0).find((one) => one.test.id === id));
    const found = test.settle(rows, lies);
    return found && { input, ...found };
  };
  const bond = foundBy('bond', [{ tube: 58, plate: 54, room: 20 }]);
  it('change what was built and not what is drawn', () => {
    if (!bond) throw new Error('no bond');
    expect(bond.value.likely).within(5, 12);
    const { path, value } = withFound(harp(), 'panel-a', bond, 'bond test');
    const job = withValueAt(harp(), path, value);
    expect(parseJob(job).ok).equal(true);
    expect(wholeFigures(job).gain).equal(wholeFigures(harp()).gain);
    expect(wholeFigures(asBuilt(job)).gain).below(wholeFigures(harp()).gain);
  });
  it('asks how the panel lay: bare metal gives away less, an open back more, and the bond with them', () => {
    const found = (painted: boolean, backOpen: boolean) =>
      given(foundBy('bond', [{ tube: 58, plate: 54, room: 20 }], { painted, backOpen })).value.likely;
    // By hand: 5 W/m²K of air above and 5.8 of black radiation; a bare face 0.9; an under face 2.4 of air and 0.9.
    expect(found(false, false) / found(true, false)).within(0.5, 0.62);
    expect(found(true, true) / found(true, false)).within(1.2, 1.45);
  });
  it('stand together, the newest of a kind in the place of the old', () => {
    const pane = foundBy('pane', [{ bare: 0.4, behind: 0.34 }]);
    if (!bond || !pane) throw new Error('no value');
    const laid = (job: Job, { path, value }: { path: string[]; value: unknown }) => withValueAt(job, path, value);
    let job = laid(harp(), withFound(harp(), 'panel-a', bond, 'bond test'));
    job = laid(job, withFound(job, 'panel-a', pane, 'pane test'));
    const known = '/heaters/panel-a/known';
    expect(Object.keys(job.asBuilt)).deep.equal([known]);
    expect(job.asBuilt[known]?.source).equal('bond test; pane test');
    const again = { ...bond, value: range(20, 25, 30, 'measured', 'log-normal') };
    job = laid(job, withFound(job, 'panel-a', again, 'bond test again'));
    expect(job.asBuilt[known]?.value).deep.equal({ bond: again.value, transmittance: pane.value });
    expect(asBuilt(job).heaters['panel-a']?.known?.bond?.likely).equal(25);
  });
  it('turn a weight into a share of the drawn thickness', () => {
    const row = { mass: 0.4, length: 0.5, width: 0.4 };
    const found = foundBy('plate', [row]);
    expect(thicknessByWeight({ ...row, density: 8940, resolution: 0.001 })?.likely).closeTo(0.4 / (8940 * 0.2), 1e-12);
    expect(found?.value.likely).closeTo(0.4 / (8940 * 0.2) / 0.0003, 1e-9);
    expect(found?.words).equal('0.22 mm thick, drawn 0.30 mm');
    expect(foundBy('plate', [{ ...row, length: 0 }])).equal(undefined);
  });
  it('are those of the heater: a wetted sheet has no bond to test, a bare one no pane', () => {
    const tests = (job: Job) => handTestsOf(openJob(job), 0).map(({ test }) => test.id);
    expect(tests(harp())).deep.equal(['bond', 'pane', 'plate']);
    expect(tests(set(defaultJob('lattice'), 'heaters.panel-a.parameters.cover', 'none'))).deep.equal([]);
    for (const { test } of handTestsOf(open, 0)) {
      expect(test.how).match(/\.$/);
      expect(test.settle([], bench), test.id).equal(undefined);
    }
  });
  it('are refused where they make no job, with the reason', () => {
    const broken = { ...harp(), asBuilt: { '/heaters/panel-a/known': { value: { bond: 3 }, source: 'x' } } };
    const parsed = parseJob(broken);
    expect(parsed.ok).equal(false);
    if (!parsed.ok) expect(parsed.errors[0]).include({ path: 'asBuilt' });
    const nowhere = { ...harp(), asBuilt: { '/name/known/bond': { value: 1, source: 'x' } } };
    const lost = parseJob(nowhere);
    if (!lost.ok) expect(lost.errors[0]?.message).match(/laid over the design it makes no job/);
    expect(lost.ok).equal(false);
    for (const bad of [
      { low: 5, likely: 4, high: 6 },
      { low: 0, likely: 4, high: 6 },
    ]) {
      const known = { bond: { ...bad, spread: 'normal', kind: 'measured' } };
      expect(parseJob(set(harp(), 'heaters.panel-a.known', known)).ok).equal(false);
    }
  });
});

describe('job: slow and hot against fast and efficient', () => {
  const open = openJob(harp());
  const argument = flowArgument(open, {});
  const { specificFlow } = argument;
  const [slow, now, fast] = [given(argument.slow), given(argument.now), given(argument.fast)];
  it('gives up heat for warmth, in order', () => {
    expect(now.usefulHeat).closeTo(wholeFigures(harp()).usefulHeat, 1e-9);
    expect([slow.gain > now.gain, now.gain > fast.gain]).deep.equal([true, true]);
    expect([slow.usefulHeat < now.usefulHeat, now.usefulHeat < fast.usefulHeat]).deep.equal([true, true]);
    expect(slow.body).above(fast.body);
  });
  it('solves a typed flow back to the loop’s own figure', () => {
    const twice = specificFlowFor(2 * now.massFlow, { massFlow: now.massFlow, specificFlow });
    expect(twice).closeTo(2 * specificFlow, 1e-6);
    const again = wholeFigures(set(harp(), 'loop.specificFlow', twice));
    expect(again.massFlow).closeTo(2 * now.massFlow, 1e-4);
  });
  it('reads the slope of a curve in W/m²K: 0.7 to 0.5 over 32 K at 800 W/m² is 5', () => {
    const curve = [
      { rise: 0, efficiency: 0.7 },
      { rise: 32, efficiency: 0.5 },
    ];
    expect(curveSlope(curve, 800, 1)).closeTo(5, 1e-12);
    expect(curveSlope(curve, 800, 5)).equal(0);
    expect(curveSlope([], 800, 1)).equal(0);
  });
  it('names the shallow best of the gap under the pane beside the one drawn', () => {
    const gap = given(sectionOf(heaterSections(open, evaluateOpen(open), 0), 'gap')) as Section & { kind: 'choices' };
    const [best, drawn] = gap.choices;
    expect(drawn?.set).equal(0.025);
    expect(best?.set).within(0.008, 0.02);
    expect(best?.value.value).below(drawn?.value.value ?? 0);
  });
});

describe('job: spreads as they are shown', () => {
  it('are one row an input, the builder’s own marked', () => {
    const known = { bond: { low: 3, likely: 4, high: 5, spread: 'log-normal', kind: 'measured' } };
    const rows = uncertainRows(openJob(set(harp(), 'heaters.panel-a.known', known)), 0);
    expect(rows.filter(({ own }) => own).map(({ input }) => input)).deep.equal(['bond']);
    for (const { name } of rows) expect(name).not.equal('');
  });
  it('come off again one by one, and fit no panel that is gone', () => {
    const bond = { input: 'bond' as const, value: range(4, 5, 6, 'measured') };
    const pane = { input: 'transmittance' as const, value: range(0.8, 0.82, 0.84, 'measured') };
    const laid = (job: Job, { path, value }: { path: string[]; value: unknown }) => withValueAt(job, path, value);
    let job = laid(harp(), withFound(harp(), 'panel-a', bond, 'bond test'));
    job = laid(job, withFound(job, 'panel-a', pane, 'pane test'));
    expect(Object.keys(foundOf(job, 'panel-a')?.values ?? {})).deep.equal(['bond', 'transmittance']);
    job = laid(job, withoutFound(job, 'panel-a', 'bond'));
    expect(Object.keys(foundOf(job, 'panel-a')?.values ?? {})).deep.equal(['transmittance']);
    expect(laid(job, withoutFound(job, 'panel-a', 'transmittance')).asBuilt).deep.equal({});
    const stray = { ...job.asBuilt, '/heaters/panel-z/known': { value: {}, source: 'x' } };
    expect(withMeasured(harp(), stray).asBuilt).deep.equal(job.asBuilt);
  });
});

describe('job: a panel in the cold', () => {
  it('settles at faint flows of water near freezing, where warming makes it heavier', () => {
    const open = openJob(defaultJob('harp'));
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: -30, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 1e-4, max: 0.01, noNaN: true }),
        (inlet, air, irradiance, massFlow) => {
          const [panel] = evaluateOpen(open, { inlet, air, irradiance, massFlow, wind: 4 }).perHeater;
          const shares = panel?.branches ?? [];
          expect(shares.reduce((sum, share) => sum + share, 0)).closeTo(1, 1e-9);
        },
      ),
      { numRuns: trials(120, 400) },
    );
    // One that did not settle while such water was let hold its riser back.
    const once = { irradiance: 92.91126603260636, air: -0.6582765793427825, inlet: 0, massFlow: 0.002013643923215568 };
    expect(evaluateOpen(open, { ...once, wind: 5.658964429050684 }).gain).within(0, 20);
  });
});
