import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import {
  choose,
  documentNow,
  field,
  find,
  leaveStation,
  openStation,
  pageText,
  region,
  rest,
  screen,
  textIn,
  type,
  unfold,
} from '../../shell/station.fixture';
import { useView } from '../../state/view';

describe('web: Forecast', () => {
  after(leaveStation);
  const gain = () => textIn(screen.getByTestId('forecast-gain'));

  it('follows sun and air, and refuses an air that is none', async () => {
    const user = await openStation('forecast');
    const before = gain();
    await type(user, field('Sun on the pane'), '1000');
    expect(gain()).not.equal(before);
    await type(user, field('Air'), '200');
    expect(textIn(screen.getByRole('alert'))).match(/Between −30\.0 °C and 50\.0 °C\./);
  });
  it('tells slow and hot against fast and efficient in numbers, and glycol takes some heat', async () => {
    const user = await openStation('forecast');
    const argument = textIn(region('Slow and hot against fast and efficient'));
    expect(argument).match(/hotter than now, and \d+ % less heat/);
    expect(argument).match(/3 times the flow for \d+ % more heat/);
    const told = () => /(\d[\d ,.]*) k?W of heat/.exec(pageText())?.[1] ?? pageText();
    const before = told();
    await type(user, field('Glycol in the loop, by mass, %'), '70');
    expect(textIn(screen.getByRole('alert'))).include('Glycol is 0 to 60 %');
    await type(user, field('Glycol in the loop, by mass, %'), '40');
    expect(documentNow().loop.glycol).closeTo(0.4, 1e-12);
    expect(told()).not.equal(before);
  });
  it('prints the characteristic of the heater with its residual', async () => {
    const user = await openStation('forecast');
    await unfold(user, 'As a laboratory prints it');
    expect(pageText()).match(/ISO 9806:2017/);
    expect(pageText()).match(/within 0\.\d % of useful heat/);
  });
  it('shows a store through its days: hottest falls from a clear day to a bad one, in either tape', async () => {
    await openStation('forecast', defaultJob('batch-box', { units: 'metric' }));
    const hottest = () =>
      [...find('tr', /^Hottest/).querySelectorAll('td')].map((one) => Number.parseFloat(textIn(one).replace('−', '-')));
    const [clear = 0, average = 0, bad = 0] = hottest().filter(Number.isFinite);
    expect([clear > average, average > bad]).deep.equal([true, true]);
    useView.getState().flipHabit('metric');
    await rest();
    expect(pageText()).include('°F');
    await choose('Month', '0');
    expect(hottest().filter(Number.isFinite).length).equal(3);
  });
});
