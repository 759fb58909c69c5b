import { expect } from 'chai';
import { defaultJob, type Job, parseJob, pathSteps, withValueAt } from '../document';
import { openJob } from '../job';
import { broadMonths, monthsOnPane, sumOver, syntheticYear } from '../sky';
import { jobAround, jobMonths, jobSky, jobStanding, jobStudy, siteDerivations, skySourceOf } from './place';

const job = defaultJob('harp');
const set = (path: string, value: unknown, from: Job = job): Job => withValueAt(from, pathSteps(path), value);
const year = (of: Job, sky = jobSky(of.site)) =>
  sumOver(monthsOnPane(sky, jobAround(openJob(of), sky), jobStanding(of)), [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);

describe('job: the place', () => {
  const months = broadMonths('continental', 45, 100);
  it('takes climate, mains, front row, roof, needle and months, and refuses what cannot be', () => {
    const full = [
      ['site.climate', { kind: 'months', months }],
      ['site.mains', { coldest: 5, warmest: 16 }],
      ['site.standing.front', { spacing: 3, rise: 0 }],
      ['site.standing.roof', { tilt: 22, aim: 200 }],
      ['site.declination', -12],
      ['need.months', [5, 6, 7]],
    ] as const;
    const whole = full.reduce((document, [path, value]) => set(path, value, document), job);
    expect(parseJob(JSON.parse(JSON.stringify(whole)))).deep.equal({ ok: true, job: whole });
    const wrong: [path: string, value: unknown, at: string, words: RegExp][] = [
      ['site.climate', { kind: 'broad', type: 'lunar' }, 'site.climate.type', /must be one of/],
      [
        'site.climate',
        { kind: 'months', months: { ...months, air: [1, 2] } },
        'site.climate.months.air',
        /twelve months/,
      ],
      ['site.mains', { coldest: 20, warmest: 6 }, 'site.mains.coldest', /not above the warmest/],
      ['site.mains', { coldest: 5, warmest: 60 }, 'site.mains.warmest', /0\s°C .* to 40\s°C/],
      ['site.standing.front', { spacing: 0, rise: 0 }, 'site.standing.front.spacing', /0.2 to 50 m/],
      ['site.standing.roof', { tilt: 95, aim: 0 }, 'site.standing.roof.tilt', /0° to 90°/],
      ['site.declination', 200, 'site.declination', /−180 to 180/],
      ['need.months', [13], 'need.months.0', /12/],
    ];
    for (const [path, value, at, words] of wrong) {
      const parsed = parseJob(set(path, value));
      if (parsed.ok) throw new Error(`${path} was taken`);
      expect(parsed.errors[0]?.path).equal(at);
      expect(parsed.errors[0]?.message).match(words);
    }
  });
  it('takes the weather from what the site says, and says how far that can be trusted', () => {
    expect(jobMonths(job.site)).deep.equal(broadMonths('maritime', 45, 100));
    expect(skySourceOf(job.site, false).words).match(/guessed from the latitude/);
    const chosen = set('site.climate', { kind: 'broad', type: 'continental' }).site;
    expect(jobMonths(chosen)).deep.equal(months);
    expect(skySourceOf(chosen, false).words).not.match(/guessed/);
    const file = set('site.climate', { kind: 'file', weather: 3, name: 'mast', months }).site;
    expect(skySourceOf(file, true).kind).equal('file');
    expect(skySourceOf(file, false).words).match(/“mast” is not at hand/);
    expect(skySourceOf(file, false).error).above(skySourceOf(file, true).error);
  });
  it('reads the series of a file when it is at hand, and stands in for it when it is not', () => {
    const file = set('site.climate', { kind: 'file', weather: 3, name: 'mast', months });
    const series = syntheticYear(broadMonths('desert', 45, 100), file.site, 5);
    expect(year(file, jobSky(file.site, series))).above(year(file) * 1.2);
    // A series without a file in the document is not this site's.
    expect(year(job, jobSky(job.site, series))).equal(year(job));
  });
  it('loses sun to a skyline and to a row in front as wide as its panels', () => {
    const hill = set('site.horizon', [
      { azimuth: 120, elevation: 20 },
      { azimuth: 240, elevation: 20 },
    ]);
    expect(year(hill)).below(year(job) * 0.9);
    const shaded = (count: number) =>
      year(set('heaters.panel-a.count', count, set('site.standing.front', { spacing: 1.6, rise: 0 })));
    expect(shaded(1)).below(year(job));
    expect(shaded(6)).below(shaded(1));
    const turned = set('heaters.panel-a.turned', true, set('site.standing.front', { spacing: 1.6, rise: 0 }));
    expect(year(turned)).not.equal(shaded(1));
  });
  it('studies the standing with the months that matter and the roof that is there', () => {
    const study = jobStudy(
      openJob(set('need.months', [11, 12, 1], set('site.standing.roof', { tilt: 10, aim: 90 }))),
      jobSky(job.site),
    );
    expect(study.best.chosen).deep.equal(study.best.winter);
    expect(study.schools.map(({ id }) => id)).include('roof');
  });
  it('makes mains, night sky and wind with their derivations', () => {
    const { mains, sky, wind } = siteDerivations(job.site);
    expect(mains.values).length(12);
    expect(Math.max(...mains.values)).below(Math.max(...jobMonths(job.site).air) + 4);
    for (let month = 0; month < 12; month += 1) {
      const air = jobMonths(job.site).air[month] ?? 0;
      expect(air - (sky.clear[month] ?? 0)).within(10, 25);
      expect(air - (sky.overcast[month] ?? 0)).within(0, 6);
    }
    expect(wind.low < wind.likely && wind.likely < wind.high).equal(true);
    for (const { derivation } of [mains, sky, wind]) {
      expect(derivation.source.length).above(10);
      expect(derivation.inputs.every(({ value }) => Number.isFinite(value))).equal(true);
    }
    const measured = siteDerivations(set('site.mains', { coldest: 6, warmest: 19 }).site).mains;
    expect(Math.min(...measured.values)).closeTo(6, 0.5);
    expect(measured.derivation.source).match(/measured by you/);
  });
});
