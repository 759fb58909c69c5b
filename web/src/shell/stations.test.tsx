import { defaultJob, familyIds } from '@north-pane/core/document';
import { expect } from 'chai';
import { consoleErrors, leaveStation, openStation, pageText, type StationId, screen } from './station.fixture';
import { stations } from './stations';

/** Stations that show much the same of every kind take two of them: one that water flows through, and one that is its own store. */
const fewer: Partial<Record<string, readonly string[]>> = {
  place: ['harp'],
  pick: ['harp'],
  forecast: ['harp', 'batch-box'],
  prove: ['harp', 'batch-box'],
};

describe('web: every station draws every kind of heater', () => {
  after(leaveStation);
  const broken = /\bNaN\b|undefined|\[object|Infinity|⟦|⟧/;
  for (const { id } of stations)
    for (const [place, family] of familyIds.entries()) {
      if (fewer[id]?.includes(family) === false) continue;
      // Each kind in one tape here, and in the other at the next station.
      const units = (place + id.length) % 2 === 0 ? 'metric' : 'imperial';
      it(`${id}: ${family}, ${units}`, async () => {
        const errors = await consoleErrors(() => openStation(id as StationId, defaultJob(family, { units })));
        expect(screen.queryByText(/cannot be worked out|comes to no end/)).equal(null);
        expect(pageText()).not.match(broken);
        expect(pageText().length).above(200);
        expect(errors.filter((words) => !/act\(/.test(words))).deep.equal([]);
      });
    }
});
