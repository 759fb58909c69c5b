import '../dom.fixture';
import { expect } from 'chai';
import { beginWork, whenIdle } from './busy';
import { printWhenReady } from './printing';
import { useView } from './view';

describe('busy: what is being worked out', () => {
  const root = document.documentElement;
  it('stands on the page while anything is, and goes with the last of it', () => {
    const first = beginWork();
    const second = beginWork();
    expect(root.dataset.busy).equal('2');
    first();
    expect(root.dataset.busy).equal('1');
    second();
    expect(root.dataset.busy).equal(undefined);
  });
  it('is ended once, however often that is said', () => {
    const first = beginWork();
    const second = beginWork();
    first();
    first();
    expect(root.dataset.busy).equal('1');
    second();
    expect(root.dataset.busy).equal(undefined);
  });
});

describe('busy: a page that is printed', () => {
  const pause = () => new Promise((resolve) => setTimeout(resolve, 80));
  it('is idle once the last work is done, and that which came of it', async () => {
    const first = beginWork();
    let idle = false;
    const waited = whenIdle().then(() => {
      idle = true;
    });
    await pause();
    first();
    const second = beginWork();
    await pause();
    expect(idle).equal(false);
    second();
    await waited;
    expect(idle).equal(true);
  });
  it('has every section open and all of it worked out, and is printed once', async () => {
    const printed: boolean[] = [];
    const own = window.print;
    window.print = () =>
      printed.push(useView.getState().printing && document.documentElement.dataset.busy === undefined);
    try {
      const work = beginWork();
      const [first, again] = [printWhenReady(), printWhenReady()];
      await again;
      expect(useView.getState().printing).equal(true);
      expect(printed).deep.equal([]);
      work();
      await first;
      expect(printed).deep.equal([true]);
      expect(useView.getState().printing).equal(false);
    } finally {
      window.print = own;
    }
  });
});
