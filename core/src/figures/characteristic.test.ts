import { expect } from 'chai';
import { defaultJob, familyIds, heatersOf, mainTilt } from '../document';
import { heatersFrom } from '../document/heaters.fixture';
import { openJob } from '../job';
import { characteristicTables, heaterCharacteristic, referenceOf } from './characteristic';

describe('figures: a characteristic as a laboratory prints it', () => {
  it('is taken at the tilt, the fluid and the flow that the heater has in its job', () => {
    const job = defaultJob('harp');
    const [panel] = heatersOf(job);
    if (!panel) throw new Error('no panel');
    const at = (connection: 'parallel' | 'series') =>
      referenceOf(
        openJob({
          ...job,
          heaters: heatersFrom([panel, { ...panel, id: 'panel-b' }]),
          loop: { ...job.loop, connection, specificFlow: 0.03, glycol: 0.4 },
        }),
        1,
      );
    expect(at('parallel')).deep.include({ fluid: { glycol: 0.4 } });
    expect(at('parallel').specificFlow).closeTo(0.03, 1e-9);
    // In series all of the flow for one panel's area goes through each.
    expect(at('series').specificFlow).closeTo(0.03, 1e-9);
    expect(at('parallel').tilt).equal(mainTilt(job.site).tilt);
  });
  for (const id of familyIds)
    it(`prints every number of a ${id}, none broken, with what it is worth`, () => {
      const tables = characteristicTables(heaterCharacteristic(openJob(defaultJob(id)), 0));
      const words = JSON.stringify(tables);
      expect(words).not.match(/NaN|Infinity|undefined|e-\d/);
      const [coefficients, modifiers, corrections] = tables;
      if (coefficients?.kind !== 'table' || modifiers?.kind !== 'table' || corrections?.kind !== 'table')
        throw new Error('no tables');
      expect(coefficients.rows.map(([symbol]) => symbol)).deep.equal([
        'η0,b',
        'Kd',
        'a1',
        'a2',
        'a3',
        'a4',
        'a5',
        'a6',
        'a7',
        'a8',
      ]);
      for (const { columns, rows } of [coefficients, modifiers, corrections])
        for (const row of rows) expect(row.length).equal(columns.length);
      expect(corrections.note).match(/within 0\.\d % of useful heat .* no laboratory has measured this heater\.$/);
    });
});
