import { expect } from 'chai';
import { beginJob, defaultJob, familyIds, heatersOf, type Job, parseJob, setFields } from '../document';
import { tankVolume, usualTank } from '../families';
import { evaluateJob } from '../figures';
import {
  frostYear,
  needByHour,
  nightMinima,
  storeDays,
  volumeByHour,
  weatherDay,
  withHour,
  yearInsolation,
} from '../forecasting';
import { openJob } from '../job';
import { sayWords } from '../quantity';
import { jobMonths } from '../site';
import { syntheticYear } from '../sky';
import {
  bestKinds,
  compareDesignRules,
  compareKinds,
  frostAnswer,
  hereWeather,
  type KindCase,
  kindCase,
  pickKind,
  reasonsOf,
  savedBy,
  screenDay,
  storeLoss,
  yearsToPay,
} from '.';

const somewhere = { latitude: 52.3, longitude: -1.9 };
function begin(
  change: { need?: Partial<Job['need']>; shop?: Partial<Job['shop']>; where?: typeof somewhere } = {},
): Job {
  const job = beginJob('harp', { units: 'metric', name: 'Pick', where: change.where ?? somewhere });
  const parsed = parseJob({ ...job, need: { ...job.need, ...change.need }, shop: { ...job.shop, ...change.shop } });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return parsed.job;
}
const cases = (job: Job): KindCase[] =>
  compareKinds(job).map((one) => {
    if ('trouble' in one) throw new Error(`${one.family}: ${one.trouble}`);
    return one;
  });
const of = (all: readonly KindCase[], family: string): KindCase => {
  const found = all.find((one) => one.family === family);
  if (!found) throw new Error(`no ${family}`);
  return found;
};
const plain = cases(begin());

describe('picking: every kind in one place', () => {
  it('works out all of them, each a job that can be opened and priced', () => {
    expect(plain.map(({ family }) => family)).deep.equal(familyIds);
    for (const { job, cost, hours, name } of plain) {
      expect(parseJob(job).ok, name).equal(true);
      expect(cost, name).above(50);
      expect(hours.low < hours.likely && hours.likely < hours.high, name).equal(true);
      expect(hours.likely, name).within(3, 60);
    }
  });
  it('never gives more than the need takes, nor more than the sun brings', () => {
    for (const { year, needed, name } of plain) {
      expect(year.likely, name).within(0, needed);
      expect(year.low <= year.likely && year.likely <= year.high, name).equal(true);
    }
    const sun = yearInsolation(hereWeather(begin()).year);
    // Round tubes take more than falls on their breadth.
    for (const { year, aperture, name, family } of plain)
      expect(year.likely / (sun * aperture), name).below(family === 'roof-tube' ? 1 : 0.6);
  });
  it('needs no more heat than water takes: 150 L from 9 to 45 °C is 6.3 kWh a day, some 2 200 kWh a year', () => {
    expect((plain[0]?.needed ?? 0) / 3.6e6).within(1900, 2500);
  });
  it('leaves out the months with frost where a kind holds its water, and none where it runs empty', () => {
    const spiral = of(plain, 'spiral');
    expect(spiral.frost).include({ answer: 'holds', stands: false });
    expect(spiral.winter).equal(0);
    expect(spiral.frost.months).above(5);
    expect(of(plain, 'harp').frost).include({ answer: 'empties', stands: true, months: 0 });
    expect(of(plain, 'serpentine').frost.answer).equal('glycol');
    // Where it never freezes, all work all year.
    const warm = cases(begin({ where: { latitude: 10, longitude: 0 } }));
    for (const { frost, name } of warm) expect(frost.months, name).equal(0);
    expect(of(warm, 'spiral').winter).above(0);
  });
  it('is drawn for the need: more water, more heaters and a larger store', () => {
    const large = of(cases(begin({ need: { volumePerDay: 0.45 } })), 'harp');
    expect(large.count).equal(3);
    expect(large.aperture).closeTo(3 * of(plain, 'harp').aperture, 1e-6);
    expect(Object.values(large.job.stores)[0]?.volume).at.least(0.45);
    expect(large.year.likely).within(2 * of(plain, 'harp').year.likely, 3.2 * of(plain, 'harp').year.likely);
  });
  it('gives less a day the hotter the water that is wanted', () => {
    const [warm, hot] = [35, 60].map((target) => of(cases(begin({ need: { target } })), 'harp'));
    expect(hot?.share).below(warm?.share ?? 0);
  });
  it('names the one that gives most and the one that gives most for its money', () => {
    const best = bestKinds(plain);
    for (const { year, cost } of plain) {
      expect(year.likely).at.most(best?.heat.year.likely ?? 0);
      expect(year.likely / (cost ?? 1)).at.most((best?.money.year.likely ?? 0) / (best?.money.cost ?? 1) + 1e-9);
    }
    expect(bestKinds([])).equal(undefined);
  });
});

describe('picking: a day of one mixed store, held against others', () => {
  it('is what the layered run of Forecast gives for a box of tanks, to a fifth', () => {
    const job = pickKind(begin({ where: { latitude: 36.6, longitude: -105.8 } }), 'batch-box').job;
    const open = openJob(job);
    const here = hereWeather(job);
    for (const month of [5, 8]) {
      const weather = weatherDay(job, { month, kind: 'average' });
      const mains = here.mains[month] ?? 0;
      const screened = screenDay(open, weather, mains);
      const layered = storeDays(open, 0, month).average;
      const heat = layered.readouts.find(({ id }) => id === 'heat')?.values[0] ?? Number.NaN;
      const count = heatersOf(job)[0]?.count ?? 1;
      // The run counts what is drawn hotter than wanted; the screening mixes it down.
      expect(screened.given / (heat * count), `${month}`).within(0.75, 1.1);
    }
  });
  it('gives less than the panel would gather with water as cold as the mains, and by midsummer most of the need', () => {
    const job = begin();
    const open = openJob(job);
    const here = hereWeather(job);
    const { weather, month } = here.summer;
    const mains = here.mains[month] ?? 0;
    const one = screenDay(open, weather, mains);
    // All that the panel could gather with water as cold as the mains, the whole day.
    let most = 0;
    for (let second = 1800; second < 86_400; second += 3600) {
      const boundary = weather.at(second);
      if (boundary.irradiance < 40) continue;
      for (const { thermal, count } of open.groups)
        most +=
          3600 * count * thermal.state({ ...boundary, inlet: mains, massFlow: 0.02 * thermal.apertureArea }).usefulHeat;
    }
    expect(one.given).below(most);
    // Midsummer: nearly all that the need takes.
    expect(one.given).within(0.8 * one.needed, one.needed);
    expect(one.hottest).above(one.coldest);
  });
  it('loses what class C does: 150 L, 78 W at 45 K', () => {
    expect(storeLoss(0.15) * 45).closeTo(16.66 + 8.33 * 150 ** 0.4, 1e-9);
    expect(storeLoss(0.15) * 45).within(76, 80);
  });
});

describe('picking: nights of frost', () => {
  const nights = (site: Job['site'], freezing?: number) => frostYear(nightMinima(site), freezing).nights;
  const site = (latitude: number, longitude: number) => begin({ where: { latitude, longitude } }).site;

  it('are counted by the coldest hour from noon to noon, as a slow count by the hour finds them', () => {
    const place = site(52, -2);
    const slow = [1, 2].map((seed) => {
      const { length, columns } = syntheticYear(jobMonths(place), place, seed);
      const cold = new Set<number>();
      // The series begins at midnight of the longitude: noon is twelve hours on, to the hour.
      for (let hour = 0; hour < length; hour += 1)
        if ((columns.air?.[hour] ?? 99) < 0) cold.add(Math.floor((hour - 12) / 24));
      return cold.size;
    });
    expect(nights(place)).closeTo(((slow[0] ?? 0) + (slow[1] ?? 0)) / 2, 2);
  });
  it('are none near the equator, and most of winter far north', () => {
    expect(nights(site(5, 0))).equal(0);
    expect(nights(site(62, 25))).above(120);
  });
  it('are the more, the warmer the air is at which it freezes', () => {
    const counts = [-5, 0, 2, 4.5].map((freezing) => nights(site(52, -2), freezing));
    for (const [index, count] of counts.entries()) if (index > 0) expect(count).above(counts[index - 1] ?? 0);
  });
  it('are those of each kind: a bare hose under a clear sky freezes in air above 0 °C, on more nights than a drained harp', () => {
    const [hose, harp] = [of(plain, 'spiral'), of(plain, 'harp')];
    expect(hose.frost.freezes).within(3, 7);
    expect(harp.frost.freezes).equal(0);
    expect(hose.frost.nights).above(1.5 * harp.frost.nights);
    for (const one of plain) expect(one.frost.freezes, one.family).at.least(0);
  });
  it('are answered by glycol before anything else', () => {
    const job = begin();
    expect(frostAnswer(openJob({ ...job, loop: { ...job.loop, kind: 'pumped-coil', glycol: 0.4 } })).answer).equal(
      'glycol',
    );
    expect(frostAnswer(openJob({ ...job, loop: { ...job.loop, kind: 'pumped-direct' } })).answer).equal('holds');
  });
});

describe('picking: what is on hand', () => {
  const shop: Partial<Job['shop']> = {
    things: {
      'thing-1': { kind: 'pane', width: 0.76, height: 1.18, count: 1 },
      'thing-2': { kind: 'hose', item: 'pe-25x2.3', length: 60 },
      'thing-3': { kind: 'bottles', diameter: 0.088, height: 0.19, count: 64 },
      'thing-4': { kind: 'tank', diameter: 0.36, length: 0.98, count: 2 },
    },
  };
  const job = begin({ shop, where: { latitude: 40, longitude: 0 } });
  const salvaged = cases(job);
  it('is what a panel is drawn round: the pane is its cover, as large as it is', () => {
    const harp = of(salvaged, 'harp');
    expect(harp.taken.map(({ id }) => id)).deep.equal(['thing-1']);
    const glazing = heatersOf(harp.job)[0]?.glazing?.parameters;
    expect([glazing?.length, glazing?.width]).deep.equal([1.18, 0.76]);
    expect(harp.clashes).equal(0);
    // One pane, one panel, whatever the need.
    expect(harp.count).equal(1);
  });
  it('is bought no more: the panel costs less by its pane', () => {
    const harp = of(salvaged, 'harp');
    const { have: _, ...rest } = harp.job.shop;
    const bought = evaluateJob({ ...harp.job, shop: rest }).cost ?? 0;
    expect(bought - (harp.cost ?? 0)).closeTo(1.18 * 0.76 * (job.shop.prices['pane/tempered-4'] ?? Number.NaN), 1.5);
  });
  it('winds the hose that there is, and sleeves as many pipes as there are bottles', () => {
    const spiral = of(salvaged, 'spiral');
    expect(spiral.taken[0]?.id).equal('thing-2');
    const hose = openJob(spiral.job).panels[0]?.design.purchases.find(({ id }) => id.endsWith('/hose'));
    expect(hose?.quantity).within(45, 60);
    const pipes = of(salvaged, 'heat-pipe');
    expect(heatersOf(pipes.job)[0]?.parameters).include({ tubes: 10, bottleDiameter: 0.088 });
  });
  it('puts old tanks into a box', () => {
    const box = of(salvaged, 'batch-box');
    expect(box.taken.map(({ id }) => id)).include('thing-4');
    expect(heatersOf(box.job)[0]?.parameters).include({ tankKind: 'used', tankDiameter: 0.36, tankLength: 0.98 });
  });
  it('puts a tank of which only the volume is known under a pane, lying or leaning, and says at which tilt where it does not go', () => {
    const tank = { kind: 'tank', ...usualTank(0.15), count: 1 } as const;
    expect(tankVolume(tank)).closeTo(0.15, 0.002);
    const things = { 'thing-1': { kind: 'pane', width: 1.8, height: 0.8, count: 1 } as const, 'thing-2': tank };
    const tilted = (tilt: number) => {
      const job = begin({ shop: { things } });
      return setFields(job, [{ path: ['site', 'standing', 'tilts'], value: [{ tilt }] }]).document;
    };
    const flat = pickKind(tilted(35), 'batch-box');
    expect(flat.taken.map(({ id }) => id)).deep.equal(['thing-1', 'thing-2']);
    expect(flat.left).deep.equal([]);
    expect(heatersOf(flat.job)[0]?.parameters).include({ paneLength: 1.8, paneWidth: 0.8, stand: 'upright', tanks: 1 });
    const steep = pickKind(tilted(50), 'batch-box');
    expect(steep.taken.map(({ id }) => id)).deep.equal(['thing-2']);
    expect(steep.left.map(({ id, fitsAt }) => [id, fitsAt])).deep.equal([['thing-1', 40]]);
    const reasons = reasonsOf(tilted(50), of(cases(tilted(50)), 'batch-box'), 'metric').against.join(' ');
    expect(reasons).match(/Does not use a pane .*1\.8.*: the tanks .*With the pane at 40° or flatter it goes/);
  });
  it('says of every thing on hand that a kind does not use it, or takes it', () => {
    for (const one of salvaged) {
      const named = [...one.taken, ...one.left].map(({ id }) => id).sort();
      expect(named, one.name).deep.equal(['thing-1', 'thing-2', 'thing-3', 'thing-4']);
      const { against } = reasonsOf(job, one, 'metric');
      expect(against.filter((words) => words.startsWith('Does not use')).length, one.name).equal(one.left.length);
    }
  });
  it('says so where hose on hand makes a smaller coil than the usual one, and not where it makes as large a one', () => {
    const wound = (length: number) => {
      const owned = begin({ shop: { things: { 'thing-1': { kind: 'hose', item: 'pe-25x2.3', length } } } });
      return of(cases(owned), 'spiral').taken[0]?.words ?? '';
    };
    expect(wound(30)).match(/smaller coil than the usual one of .*buy .* more/);
    expect(wound(400)).not.match(/smaller/);
  });
  it('leaves a kind as it was where nothing fits it: a sliver of glass', () => {
    const sliver = begin({ shop: { things: { 'thing-1': { kind: 'pane', width: 0.1, height: 0.2, count: 1 } } } });
    for (const one of cases(sliver)) expect(one.taken, one.name).deep.equal([]);
  });
  it('takes tube out of the shed in the place of one as wide', () => {
    const shed = begin({ shop: { onHand: { 'shed-1': { item: 'en-1057-15x1', count: 12, length: 2 } } } });
    expect(heatersOf(pickKind(shed, 'harp').job)[0]?.parameters.riserTube).equal('en-1057-15x1');
    expect(heatersOf(pickKind(begin(), 'harp').job)[0]?.parameters.riserTube).equal('en-1057-15x0.7');
    const sheets = begin({ shop: { onHand: { 'shed-1': { item: 'steel-1', count: 2, width: 1, height: 2 } } } });
    expect(heatersOf(pickKind(sheets, 'lattice').job)[0]?.parameters.sheet).equal('steel-1');
    // And says so, with what is left to buy.
    const harp = of(cases(shed), 'harp');
    expect(harp.shed.join()).match(/^\d+ of 15 × 1 copper/);
    expect(reasonsOf(shed, harp, 'metric').for.join(' ')).match(/out of the shed.*lines are left to buy/);
    expect(harp.cost).below(of(plain, 'harp').cost ?? 0);
  });
});

describe('picking: one kind taken', () => {
  it('brings the loop that it begins with, but not over one that was settled by hand', () => {
    expect(pickKind(begin(), 'trough').job.loop.kind).equal('pumped-direct');
    const own = begin();
    const settled = { ...own, loop: { ...own.loop, kind: 'thermosiphon' as const } };
    expect(pickKind(settled, 'trough').job.loop.kind).equal('thermosiphon');
    // A film does not rise by itself, and tanks in a box are fed by the mains.
    expect(pickKind(settled, 'trickle').job.loop.kind).equal('drain-back');
    expect(pickKind(settled, 'batch-box').job.loop.kind).equal('preheat');
    expect(pickKind(begin(), 'batch-box').job.stores).deep.equal({});
    expect(pickKind(pickKind(begin(), 'batch-box').job, 'harp').job.stores).not.deep.equal({});
  });
  it('keeps a store of a size that somebody set', () => {
    const own = begin();
    const set = { ...own, stores: { 'tank-a': { kind: 'barrel' as const, volume: 0.33 } } };
    expect(Object.values(pickKind(set, 'lattice').job.stores)[0]?.volume).equal(0.33);
  });
  it('leaves a panel of that kind as somebody has drawn it: two of them, with fewer risers', () => {
    const own = begin();
    const panel = own.heaters['panel-a'];
    if (!panel) throw new Error('a job begins with a heater');
    const drawn = {
      ...own,
      heaters: {
        'panel-a': { ...panel, count: 2, parameters: { ...panel.parameters, riserCount: 9, pitch: 0.1 } },
      },
    };
    expect(pickKind(drawn, 'harp')).deep.equal({ job: drawn, taken: [], left: [] });
    // Another kind is drawn for the need.
    expect(heatersOf(pickKind(drawn, 'lattice').job)[0]?.count).equal(1);
  });
  it('is the same job when it is taken twice', () => {
    for (const family of familyIds) {
      const once = pickKind(begin(), family).job;
      expect(pickKind(once, family).job, family).deep.equal(once);
    }
  });
});

describe('picking: a day by the hour', () => {
  it('comes to the whole day, by use and as drawn', () => {
    for (const kind of ['showers', 'washing', 'growing', 'pool', 'other'] as const)
      expect(
        needByHour({ kind }).reduce((sum, share) => sum + share, 0),
        kind,
      ).closeTo(1, 1e-12);
    const hours = new Array(24).fill(0);
    hours[6] = 30;
    hours[20] = 10;
    expect(needByHour({ kind: 'showers', hours })[6]).closeTo(0.75, 1e-12);
  });
  it('takes the day along when an hour is pulled: 150 L and 20 more are 170', () => {
    const need = { kind: 'washing' as const, volumePerDay: 0.15 };
    const at = volumeByHour(need)[12] ?? 0;
    const changes = withHour(need, 12, at + 0.02);
    expect(changes.find(({ path }) => path === 'need.volumePerDay')?.value).closeTo(0.17, 1e-9);
    const hours = changes.find(({ path }) => path === 'need.hours')?.value as number[];
    expect(hours.reduce((sum, one) => sum + one, 0)).closeTo(170, 1e-9);
  });
  it('is never emptied to nothing', () => {
    const hours = new Array(24).fill(0);
    hours[6] = 30;
    expect(withHour({ kind: 'other', hours, volumePerDay: 0.03 }, 6, 0)).deep.equal([]);
  });
  it('is refused by the document where it is no day', () => {
    const job = defaultJob('harp');
    for (const hours of [new Array(24).fill(0), new Array(23).fill(1), [...new Array(23).fill(1), -1]])
      expect(parseJob({ ...job, need: { ...job.need, hours } }).ok).equal(false);
  });
});

describe('picking: reasons and money', () => {
  it('say frost, drink and danger in sentences of the numbers', () => {
    const job = begin();
    const said = (family: string) => reasonsOf(job, of(plain, family), 'metric');
    expect(said('harp').for.join(' ')).match(/freezes \d+ nights a year here; it runs empty/);
    expect(said('spiral').against.join(' ')).match(
      /holds its water and freezes when the air is below .{1,40}, \d+ nights a year here/,
    );
    expect(said('lattice').against.join(' ')).include('Never for drinking');
    expect(said('heat-pipe').against.join(' ')).include('Stop:');
    expect(said('trough').against.join(' ')).include('eyes and burns');
    for (const { family } of plain)
      for (const habit of ['metric', 'imperial'] as const)
        for (const words of Object.values(reasonsOf(job, of(plain, family), habit)).flat())
          expect(sayWords(words, habit), family).not.match(/NaN|undefined|Infinity|⟦|⟧/);
  });
  it('say that nothing boils only where no place of it does, at the altitude, and never of a heat pipe', () => {
    const boilsNot = (job: Job, family: string) =>
      reasonsOf(job, kindCase(job, family, hereWeather(job)), 'metric')
        .for.join(' ')
        .includes('nothing in it boils');
    const high = (elevation: number): Job => {
      const job = begin();
      return { ...job, site: { ...job.site, elevation, hottest: { air: 50, irradiance: 1050 } } };
    };
    // A bare hose in air of 50 °C comes to some 90 °C: under the 100 of sea level, over the 83 of 5 000 m.
    const { hottest } = kindCase(high(0), 'spiral', hereWeather(high(0)));
    expect(hottest).within(85, 99);
    expect(boilsNot(high(0), 'spiral')).equal(true);
    expect(boilsNot(high(5000), 'spiral')).equal(false);
    // Its manifold stays far below 100 °C, and its own charge boils all day.
    expect(of(plain, 'heat-pipe').hottest).below(95);
    expect(boilsNot(begin(), 'heat-pipe')).equal(false);
  });
  it('pays by what heats the water now: 98 kWh of heat are 100 of electricity', () => {
    const need = { ...begin().need, heats: { by: 'electricity' as const, price: 0.3 } };
    expect(savedBy({ need }, 98 * 3.6e6)).closeTo(30, 1e-9);
    expect(yearsToPay({ need }, { cost: 300, year: { low: 0, likely: 98 * 3.6e6, high: 0 } })).closeTo(10, 1e-9);
    expect(savedBy({ need: begin().need }, 1e9)).equal(undefined);
  });
});

describe('picking: the arguments of builders', () => {
  it('are settled by number, each side with its heat, area and money', () => {
    const schools = compareDesignRules(begin());
    expect(schools.map(({ id }) => id)).deep.equal(['glazed', 'copper', 'salvaged', 'behind-glass']);
    for (const { sides, verdict, title } of schools) {
      for (const { year, aperture } of sides) {
        expect(year, title).at.least(0);
        expect(aperture, title).above(0.3);
      }
      expect(sayWords(verdict, 'imperial'), title).not.match(/NaN|undefined|⟦/);
    }
    // In a cold place glass brings more from the same panel.
    const [glazed] = schools;
    expect(glazed?.sides[0].year).above(1.2 * (glazed?.sides[1].year ?? 0));
    expect(glazed?.verdict).include('under glass comes first');
  });
  it('calls a tie a tie: old tanks give what new ones do', () => {
    const salvaged = compareDesignRules(begin({ where: { latitude: 10, longitude: 0 } })).find(
      ({ id }) => id === 'salvaged',
    );
    expect(salvaged?.verdict).include('nothing between them');
    expect(salvaged?.verdict).include('old tanks comes first');
  });
});

describe('picking: a kind that cannot be worked out', () => {
  it('is told by its name, and the others stand', () => {
    const job = begin();
    const here = hereWeather(job);
    expect(() => kindCase(job, 'kettle', here)).throw();
    expect(compareKinds(job).filter((one) => 'trouble' in one)).deep.equal([]);
  });
});
