import '../dom.fixture';
import { expect } from 'chai';
import { beginWork } from './busy';

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
