import { drawings } from './drawings';
import { gannetReach } from './gannetReach';
import { gannetReadings } from './gannetReadings';

/** Every file of the demo by its name in this folder; the same at every run. */
export function demoFiles(): Record<string, string> {
  const job = gannetReach();
  const scene = {
    job,
    built: { note: 'both panels on the roof', from: '2026-01-31T22:00:00Z' },
    readings: [
      {
        file: 'readings/gannet-reach.csv',
        source: 'shed logger',
        sensors: { thermometers: 'matched pair', flow: 'meter', sun: 'pyranometer' },
      },
    ],
  };
  return {
    'gannet-reach.scene.json': `${JSON.stringify(scene, null, 2)}\n`,
    'readings/gannet-reach.csv': gannetReadings(job, 20260209),
    ...drawings(),
  };
}
