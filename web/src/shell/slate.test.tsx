import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import { record, useJob } from '../state/job';
import { useView } from '../state/view';
import { Rail } from './Rail';
import { Slate } from './Slate';
import { button, leaveStation, openBeside, press, rest, textIn } from './station.fixture';

const slate = () => textIn(document.querySelector('header') ?? document.body);
/** The figures alone: what undo says of itself changes with it. */
const figures = () => [...document.querySelectorAll('header p')].map(textIn);
const change = async (path: string, value: unknown) => {
  expect(useJob.getState().change(path, value)).deep.equal({ ok: true });
  await rest();
};

describe('web: the slate', () => {
  after(leaveStation);

  it('shows the vital figures, and moves with a change of the design and back with undo', async () => {
    const user = await openBeside(<Slate />);
    const before = slate();
    const first = figures();
    expect(before).match(/m²/).and.match(/°C/);
    await change('heaters.panel-a.parameters.riserCount', 9);
    expect(slate()).not.equal(before);
    await press(user, /^Undo/);
    expect(useJob.getState().document?.heaters['panel-a']?.parameters.riserCount).equal(12);
    expect(figures()).deep.equal(first);
  });
  it('says what undo would take back, and has nothing to take back at first', async () => {
    await openBeside(<Slate />);
    expect((button(/^Undo/) as HTMLButtonElement).disabled || button(/^Undo/).getAttribute('aria-disabled')).not.equal(
      null,
    );
    await change('heaters.panel-a.parameters.riserCount', 11);
    const undo = button(/^Undo/);
    expect(
      `${undo.title} ${undo.getAttribute('aria-label')} ${undo.getAttribute('aria-description')} ${slate()}`,
    ).match(/Risers/);
  });
  it('reads in the other tape', async () => {
    await openBeside(<Slate />);
    useView.getState().flipHabit('metric');
    await rest();
    expect(slate()).match(/ft²/).and.match(/°F/);
  });
  it('leaves out what a job has not: a store that stands still has no flow to gain at', async () => {
    await openBeside(<Slate />, defaultJob('batch-box', { units: 'metric' }));
    expect(slate()).not.match(/NaN|undefined|Infinity/);
    expect(slate()).match(/°C/);
  });
  it('counts what clashes and what is a caution', async () => {
    await openBeside(<Slate />);
    const counts = () => /problems[^0-9]*([\d, ]+)/.exec(slate())?.[1]?.trim();
    const before = counts();
    await change('heaters.panel-a.parameters.riserCount', 14);
    expect(counts()).not.equal(before);
  });
});

describe('web: the rail', () => {
  after(leaveStation);
  const link = (name: RegExp) => {
    const found = [...document.querySelectorAll('a')].find((one) =>
      name.test(one.getAttribute('aria-label') ?? textIn(one)),
    );
    if (!found) throw new Error(`no link ${name}`);
    return found;
  };

  it('has every station by its number, and says which one is open', async () => {
    await openBeside(<Rail current="cut" jobId="shed" />);
    for (const [number, name] of [
      [1, 'Place'],
      [2, 'Pick'],
      [3, 'Size'],
      [4, 'Cut'],
      [5, 'Build'],
      [7, 'Forecast'],
      [8, 'Prove'],
    ])
      expect(link(new RegExp(`${number} ${name}`)).getAttribute('href')).equal(
        `/jobs/shed/${String(name).toLowerCase()}`,
      );
    expect(link(/4 Cut/).getAttribute('aria-current')).equal('page');
    expect(link(/3 Size/).getAttribute('aria-current')).equal(null);
  });
  it('counts what there is to look at on Size, as the design changes', async () => {
    await openBeside(<Rail current="size" jobId="shed" />);
    const words = () => link(/3 Size/).getAttribute('aria-label') ?? textIn(link(/3 Size/));
    const before = words();
    await change('heaters.panel-a.parameters.riserCount', 14);
    expect(words()).match(/\d+ to look at/);
    expect(words()).not.equal(before);
  });
  it('tells a station that was begun from one that was not', async () => {
    await openBeside(<Rail current="size" jobId="shed" />);
    const words = () => link(/5 Build/).getAttribute('aria-label') ?? '';
    const before = words() + link(/5 Build/).innerHTML;
    record([{ kind: 'step', step: 'panel-a/step/cut', done: true }]);
    await rest();
    expect(words() + link(/5 Build/).innerHTML).not.equal(before);
  });
});
