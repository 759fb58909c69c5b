import type { Dimension } from '@north-pane/core/draw';
import { expect } from 'chai';
import { renderToStaticMarkup } from 'react-dom/server';
import { DimensionMark } from './DimensionMark';
import type { Pull } from './Grip';
import type { Placing } from './ShapeMark';

const place: Placing = { x: (metres) => metres * 200, y: (metres) => 400 - metres * 200, scale: 200 };
const pull: Pull = { onBegin: () => {}, onValue: () => {}, onEnd: () => {} };
const along: Dimension = {
  id: 'riser',
  label: 'riser',
  from: { x: 0, y: 0 },
  to: { x: 1, y: 0 },
  offset: -0.1,
  value: 1,
  edit: { path: 'p', low: 0.2, high: 3, scale: 1, offset: 0, lowReason: 'short', highReason: 'long' },
};
const { edit, ...fixed } = along;
const drawn = (dimension: Dimension, more: { choose?: boolean; pull?: boolean; chosen?: boolean } = {}) =>
  renderToStaticMarkup(
    // biome-ignore lint/a11y/noSvgWithoutTitle: only a place for the mark that is read
    <svg>
      <DimensionMark
        dimension={dimension}
        place={place}
        habit="metric"
        chosen={more.chosen ?? false}
        {...(more.choose === false ? {} : { onChoose: () => {} })}
        {...(more.pull === false ? {} : { pull })}
      />
    </svg>,
  );

describe('web: a dimension on a drawing', () => {
  it('has a grip at its far end when it can be set, long enough to take hold of', () => {
    // The line stands a tenth of a metre below: 20 px under 400.
    expect(drawn(along)).match(/data-grip="riser"[^>]*><circle[^>]*cx="200"[^>]*cy="420"/);
    expect(drawn(along)).include('ew-resize');
    expect(drawn({ ...along, from: { x: 0, y: 1 }, to: { x: 0, y: 0 } })).include('ns-resize');
  });
  it('has none when it is only told, too short, or on a drawing that nobody pulls', () => {
    expect(drawn(fixed)).not.include('data-grip');
    expect(drawn({ ...along, to: { x: 0.1, y: 0 } })).not.include('data-grip');
    expect(drawn(along, { pull: false })).not.include('data-grip');
    expect(drawn(along, { choose: false })).not.include('data-grip');
  });
  it('is a button by its label when it can be set, for who has no mouse', () => {
    expect(drawn(along))
      .include('role="button"')
      .match(/aria-label="riser, \d[\d\s]*mm: set"/);
    expect(drawn(along, { chosen: true })).include('aria-pressed="true"');
    expect(drawn(fixed)).not.include('role="button"');
  });
  it('stands its number beside a line that is too short for it', () => {
    const at = (markup: string) => Number(/translate\(([\d.]+) /.exec(markup)?.[1]);
    expect(at(drawn(along))).equal(100);
    expect(at(drawn({ ...along, to: { x: 0.1, y: 0 } }))).above(20);
  });
});
