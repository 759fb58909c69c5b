import { families } from '@north-pane/core/families';
import { act } from '@testing-library/react';
import { expect } from 'chai';
import { useJob } from '../state/job';
import { workerCalls } from '../workers/remote';
import { goTo, openPage } from './page.fixture';
import { consoleErrors, leaveStation, pageText, press, textIn } from './station.fixture';

const risers = () => useJob.getState().document?.heaters['panel-a']?.parameters.riserCount;

describe('web: a family that breaks', () => {
  const own = families.harp.open;
  afterEach(() => {
    Object.assign(families.harp, { open: own });
    leaveStation();
  });

  it('takes neither slate nor rail nor undo with it, says that it is no fault of the design, and is left by undo', async () => {
    const user = await openPage();
    // It breaks at eleven risers, as a fault of the program would.
    Object.assign(families.harp, {
      open: (...given: Parameters<typeof own>) => {
        if (given[0].parameters.riserCount === 11) (undefined as unknown as () => void)();
        return own(...given);
      },
    });
    await consoleErrors(async () => {
      await act(async () => {
        useJob.getState().change('heaters.panel-a.parameters.riserCount', 11);
      });
      expect(pageText()).match(/This station cannot be shown/);
      expect(pageText()).match(/fault here; your design is not the cause/);
      expect(pageText()).not.match(/is not a function|undefined/);
      expect(textIn(document.querySelector('header') as Element)).match(/no figures/);
      expect([...document.querySelectorAll('nav a')]).length(7);
      await goTo(user, /Build/);
      expect(pageText()).match(/This station cannot be shown/);
    });
    await press(user, /^Undo the last change/);
    expect(risers()).equal(12);
    expect(pageText()).not.match(/cannot be shown/);
    expect(textIn(document.querySelector('header') as Element)).match(/m²/);
  });
});

describe('web: a worker', () => {
  /** A worker that dies a set number of times, and then answers. */
  class Frail extends window.EventTarget {
    static made = 0;
    static deaths = 0;
    readonly dies = ++Frail.made <= Frail.deaths;
    postMessage({ id }: { id: string }) {
      const answer = new window.MessageEvent('message', { data: { id, type: 'RAW', value: 'done' } });
      queueMicrotask(() => this.dispatchEvent(this.dies ? new window.Event('error') : answer));
    }
    terminate() {}
    start() {}
  }
  const ask = (deaths: number) => {
    Frail.made = 0;
    Frail.deaths = deaths;
    const calls = workerCalls<{ work(): string }>(() => new Frail() as unknown as Worker);
    return calls.call((remote) => remote.work());
  };

  it('that dies over its work is begun again, once', async () => {
    expect(await ask(1)).equal('done');
    expect(Frail.made).equal(2);
  });
  it('that dies again says so, and what to do', async () => {
    const words = await ask(9).then(String, (error: Error) => error.message);
    expect(words).match(/does not run\. Load the page again/);
    expect(Frail.made).equal(2);
  });
});
