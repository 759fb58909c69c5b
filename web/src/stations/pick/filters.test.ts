import { defaultJob } from '@north-pane/core/document';
import { compareKinds, type KindCase } from '@north-pane/core/picking';
import { expect } from 'chai';
import { toolsAtHand } from '../../state/have';
import { filterIds, filterWords, leftOut, leftOutBy, pickSchema, sortValue } from './filters';

const job = defaultJob('harp');
const kinds = compareKinds(job).filter((one): one is KindCase => 'job' in one);
const of = (family: string): KindCase => {
  const found = kinds.find((one) => one.family === family);
  if (!found) throw new Error(`no ${family}`);
  return found;
};
const nothing = new Set<string>();

describe('web: kinds left out on Pick', () => {
  it('without a torch: what is soldered, and nothing else', () => {
    const out = kinds.filter((one) => leftOutBy('no-torch', one, nothing)).map(({ family }) => family);
    expect(out).include.members(['harp', 'serpentine', 'heat-pipe', 'trough']);
    expect(out).not.include.members(['lattice', 'spiral', 'roof-tube']);
  });
  it('with tools at hand: all of them or none, and says which are missing, three and how many more', () => {
    const harp = of('harp');
    expect(leftOutBy('own-tools', harp, nothing)).match(/^you lack .+, .+, .+ and \d+ more$/);
    const some = new Set<string>(harp.tools.slice(1));
    expect(leftOutBy('own-tools', harp, some)).equal(`you lack ${harp.tools[0]}`);
    expect(leftOutBy('own-tools', harp, new Set<string>(harp.tools))).equal(undefined);
  });
  it('to be drunk, through frost, from what is there', () => {
    expect(leftOutBy('drunk', of('trickle'), nothing)).match(/^never drunk: /);
    expect(leftOutBy('drunk', of('harp'), nothing)).equal(undefined);
    expect(leftOutBy('frost', of('spiral'), nothing)).equal('holds its water in frost');
    expect(leftOutBy('frost', { ...of('spiral'), frost: { ...of('spiral').frost, nights: 0.2 } }, nothing)).equal(
      undefined,
    );
    expect(leftOutBy('on-hand', of('harp'), nothing)).match(/takes nothing/);
    expect(leftOutBy('on-hand', { ...of('harp'), shed: ['3 of a tube'] }, nothing)).equal(undefined);
  });
  it('for every reason that holds, and none where nothing is asked', () => {
    expect(leftOut([], of('trickle'), nothing)).deep.equal([]);
    expect(leftOut(['drunk', 'on-hand', 'frost'], of('trickle'), nothing)).length(2);
    expect(Object.keys(filterWords)).deep.equal([...filterIds]);
  });
  it('are remembered by a schema that refuses what no build has known', () => {
    expect(pickSchema.safeParse({ filters: ['frost'], chosen: 'harp' }).success).equal(true);
    expect(pickSchema.safeParse({ filters: ['moon'] }).success).equal(false);
  });
});

describe('web: the line-up of Pick', () => {
  it('reads tools from what the builder has, and no lines of the buy list', () => {
    const shop = { ...job.shop, have: { 'tool/drill': true as const, 'panel-a/pane': true as const } };
    expect([...toolsAtHand({ shop })]).deep.equal(['drill']);
    expect([...toolsAtHand(job)]).deep.equal([]);
  });
  it('sorts what has no price behind all that has', () => {
    const { cost: _, ...rest } = of('harp');
    expect(sortValue.cost({ ...rest, cost: undefined })).above(Math.max(...kinds.map(({ cost }) => cost ?? 0)));
    expect(sortValue.year(of('harp'))).equal(of('harp').year.likely);
  });
});
