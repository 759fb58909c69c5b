import { defaultJob } from '@north-pane/core/document';
import { mounts } from '@north-pane/core/mounts';
import { expect } from 'chai';
import {
  choose,
  field,
  leaveStation,
  openStation,
  pageText,
  panelNow,
  redo,
  undo,
  unfold,
} from '../../shell/station.fixture';

const names = Object.values(mounts).map(({ name }) => name);
const stands = () => [...(field('Stands on') as HTMLSelectElement).options].map(({ text }) => text);
const open = async (family: string, change: (job: ReturnType<typeof defaultJob>) => ReturnType<typeof defaultJob>) => {
  const user = await openStation('size', change(defaultJob(family)), { shallow: true });
  await unfold(user, 'Made of');
  return user;
};
const asBegun = (job: ReturnType<typeof defaultJob>) => job;

describe('web: Size, what it stands on', () => {
  after(leaveStation);

  it('is any stand for a harp; chosen, it has sizes of its own, and it can be taken away', async () => {
    await open('harp', asBegun);
    expect(stands()).deep.equal(['not settled', ...names]);
    await choose('Stands on', 'ground-stand');
    expect(panelNow().mount).deep.include({ kind: 'ground-stand' });
    expect(panelNow().mount?.parameters).deep.equal(mounts['ground-stand'].standard('metric'));
    await choose('Stands on', '');
    expect(panelNow().mount).equal(undefined);
  });
  it('chosen by mistake goes with one undo, and comes back with a redo', async () => {
    await open('harp', asBegun);
    await choose('Stands on', 'ground-stand');
    await undo();
    expect(panelNow().mount).equal(undefined);
    expect(pageText()).not.match(/Somebody has changed this/);
    await redo();
    expect(panelNow().mount).deep.include({ kind: 'ground-stand' });
    expect(panelNow().mount?.parameters).deep.equal(mounts['ground-stand'].standard('metric'));
  });
  it('is none for a box of tanks, which stands by itself', async () => {
    await open('batch-box', asBegun);
    expect(stands()).deep.equal(['not settled']);
  });
  it('is a rack and nothing else for roof tubes', async () => {
    await open('roof-tube', asBegun);
    expect(stands()).deep.equal(['not settled', mounts['vehicle-rack'].name]);
  });
  it('of a heater that does not go on it is still there to be taken away, with the reason beside it', async () => {
    await open('batch-box', (job) => {
      const [[id, heater] = ['', undefined]] = Object.entries(job.heaters);
      if (!heater) throw new Error('no heater');
      const mount = { kind: 'ground-stand', parameters: mounts['ground-stand'].standard('metric') };
      return { ...job, heaters: { [id]: { ...heater, mount } } };
    });
    expect(stands()).deep.equal(['not settled', mounts['ground-stand'].name]);
    expect(pageText()).include('it does not go on that stand');
    expect(pageText()).match(/its pane leans by itself/);
    await choose('Stands on', '');
    expect(panelNow().mount).equal(undefined);
    expect(pageText()).not.include('it does not go on that stand');
  });
});
