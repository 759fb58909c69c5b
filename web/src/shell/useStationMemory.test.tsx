import { cleanup, render } from '@testing-library/react';
import { expect } from 'chai';
import { useRef } from 'react';
import { forgetStations, useStationMemory } from './useStationMemory';

/** The scrolling part of a page with one station in it. */
function Page({ place }: { place: string }) {
  const main = useRef<HTMLElement>(null);
  useStationMemory(main, place);
  return (
    <main ref={main} tabIndex={-1}>
      <button type="button">{place}</button>
    </main>
  );
}

const main = () => document.querySelector('main') as HTMLElement;
/** Scrolls as a program or a scroll bar does: without a wheel, touch or key event. */
const scrolled = (to: number) => {
  main().scrollTop = to;
  main().dispatchEvent(new Event('scroll'));
};

describe('web: where a station was left', () => {
  beforeEach(forgetStations);
  afterEach(cleanup);

  it('is found again, though it was scrolled as soon as it was there', () => {
    const page = render(<Page place="job/cut" />);
    scrolled(700);
    page.rerender(<Page place="job/place" />);
    expect(main().scrollTop).equal(0);
    page.rerender(<Page place="job/cut" />);
    expect(main().scrollTop).equal(700);
  });
  it('is its own of each station and job', () => {
    const page = render(<Page place="a/cut" />);
    scrolled(300);
    page.rerender(<Page place="b/cut" />);
    expect(main().scrollTop).equal(0);
    scrolled(120);
    page.rerender(<Page place="a/cut" />);
    expect(main().scrollTop).equal(300);
    // It was come back to, and scrolled on by hand.
    main().dispatchEvent(new Event('wheel'));
    scrolled(450);
    page.rerender(<Page place="b/cut" />);
    expect(main().scrollTop).equal(120);
    page.rerender(<Page place="a/cut" />);
    expect(main().scrollTop).equal(450);
  });
  it('is followed while the station grows, and what it grows by is not taken for scrolling', async () => {
    const page = render(<Page place="a/cut" />);
    scrolled(300);
    page.rerender(<Page place="a/size" />);
    page.rerender(<Page place="a/cut" />);
    // Something drawn late pushes it to its top: it goes back to where it was left.
    scrolled(0);
    main().append(document.createElement('p'));
    await new Promise((resolve) => setTimeout(resolve));
    expect(main().scrollTop).equal(300);
  });
});
