import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import {
  button,
  field,
  leaveStation,
  openStation,
  pageText,
  press,
  region,
  rest,
  screen,
  shopOf,
  textIn,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';
import { useView } from '../../state/view';

describe('web: Build', () => {
  after(leaveStation);
  const card = () => textIn(screen.getByRole('article'));

  it('notes money and hours with what for, refuses what is no number, and takes one back', async () => {
    const user = await openStation('build');
    const notes = () => region('Money and hours');
    await press(user, 'Note it', notes());
    expect(textIn(notes())).include('Say what for.');
    await user.type(field('What for', notes()), 'tube from the yard');
    await user.type(field('Money, $', notes()), 'a lot');
    await press(user, 'Note it', notes());
    expect(textIn(notes())).include('Money and hours are numbers.');
    await user.clear(field('Money, $', notes()));
    await user.type(field('Money, $', notes()), '84.50');
    await user.type(field('Hours', notes()), '1.5');
    await press(user, 'Note it', notes());
    expect(textIn(notes())).match(/84\.50, 1\.5 h/);
    expect([shopOf().spent.length, shopOf().worked.length]).deep.equal([1, 1]);
    await press(user, /^Take back: tube from the yard/, notes());
    expect(shopOf().spent.length + shopOf().worked.length).equal(1);
  });
  it('goes from step to step by ticks, which the log keeps', async () => {
    const user = await openStation('build');
    expect(card()).include('Mark and cut');
    await press(user, 'Done, next step');
    expect(card()).include('Drill the headers');
    expect(shopOf().steps).deep.equal({ 'panel-a/step/cut': true });
    expect(pageText()).include('1 of 13 done');
    await user.click(button('Done: Mark and cut'));
    await rest();
    expect(shopOf().steps['panel-a/step/cut']).not.equal(true);
    expect(card()).include('Mark and cut');
  });
  it('says of a step that is looked at ahead what it waits for, and what is dangerous in it', async () => {
    const user = await openStation('build');
    await press(user, 'Solder the second header');
    expect(card()).include('Not yet done before it: ').and.include('solder the first header');
    await press(user, /^Test the array before it is closed in/);
    expect(card()).include('Water and not air');
  });
  it('writes checks in the marks of the tape that is read', async () => {
    const user = await openStation('build');
    await press(user, /^Build the box/);
    expect(card()).match(/both diagonals are 2 315 mm/);
    useView.getState().flipHabit('metric');
    await rest();
    expect(card()).match(/both diagonals are 7′/);
  });
  it('asks for dangers that stop the work before anything else, until somebody answers for them in writing', async () => {
    const user = await openStation('build', defaultJob('heat-pipe', { units: 'metric' }));
    await press(user, /^I take responsibility/);
    expect(pageText()).include('Write what you do about it');
    expect(shopOf().acknowledged).deep.equal({});
    await user.type(field(/^In writing/), 'Boiled out open, in the yard.');
    await press(user, /^I take responsibility/);
    const [[key, answer] = []] = Object.entries(shopOf().acknowledged);
    expect(key).equal('sealed-wet-tube heaters.panel-a.parameters.caps');
    expect(answer).include({ words: 'Boiled out open, in the yard.' });
    expect(answer?.measure).a('number');
    expect(() => button(/^I take responsibility/)).throw('no');
  });
  it('asks again when a danger has grown since it was answered for, with what was written then', async () => {
    const job = defaultJob('harp');
    const user = await openStation('build', { ...job, loop: { ...job.loop, kind: 'pumped-direct', cutout: false } });
    expect(pageText()).match(/hot plate|plate .* hot/i);
    await user.type(field(/^In writing/), 'A cut-out comes.');
    await press(user, /^I take responsibility/);
    expect(() => button(/^I take responsibility/)).throw('no');
    useJob.getState().change('site.hottest', { irradiance: 1200, air: 45 });
    await rest();
    expect(pageText()).match(/“A cut-out comes.”\. It is worse now.*answer for it again/);
    await user.type(field(/^In writing/), 'It is fitted. R. Example');
    await press(user, /^I take responsibility/);
    expect(() => button(/^I take responsibility/)).throw('no');
    useJob.getState().undo();
    await rest();
    // What holds for the worse holds for the milder.
    expect(() => button(/^I take responsibility/)).throw('no');
  });
  it('shows what another hand ticks, and undo of an edit leaves ticks alone', async () => {
    const user = await openStation('build');
    await press(user, 'Done, next step');
    useJob.getState().change('heaters.panel-a.parameters.riserCount', 11);
    useJob.getState().undo();
    await rest();
    expect(shopOf().steps['panel-a/step/cut']).equal(true);
  });
  it('has every step in full for paper, each once', async () => {
    await openStation('build');
    const paper = screen.getByTestId('paper-steps');
    const names = [...paper.querySelectorAll('h2')].map((one) => (one.textContent ?? '').replace(/^[☐☑]\s*/, ''));
    const run = [...document.querySelectorAll('ol [aria-current], ol button')].length;
    expect(run).above(5);
    expect(new Set(names).size).equal(names.length);
    const card = document.querySelector('article[tabindex="-1"]')?.getAttribute('aria-label') ?? '';
    expect(names).not.include(card);
    expect(names.length).above(5);
    expect(textIn(paper)).include('Good when:').and.include('At hand:');
  });
});
