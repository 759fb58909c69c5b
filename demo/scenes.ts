import { drawings } from './drawings';
import { ferncliff } from './ferncliff';
import { gannetReach } from './gannetReach';
import { gannetReadings } from './gannetReadings';
import { juniperDraw } from './juniperDraw';
import { juniperReadings } from './juniperReadings';

/** Every file of the demo by its name in this folder; the same at every run. */
export function demoFiles(): Record<string, string> {
  const gannet = gannetReach();
  const juniper = juniperDraw();
  const shed = {
    job: gannet,
    built: { note: 'both panels on the roof', from: '2026-01-31T22:00:00Z' },
    readings: [
      {
        file: 'readings/gannet-reach.csv',
        source: 'shed logger',
        sensors: { thermometers: 'matched pair', flow: 'meter', sun: 'pyranometer' },
      },
    ],
  };
  const dairy = {
    job: juniper,
    built: { note: 'filled and tested, lid on', from: '2026-10-03T18:00:00Z' },
    readings: [
      {
        file: 'readings/juniper-draw.csv',
        source: 'notebook',
        sensors: { thermometers: 'two digital', flow: 'marked bucket', sun: 'own cell' },
      },
    ],
  };
  // Its loop lifts itself: nothing is forecast of it yet, and nothing measured.
  const bench = { job: ferncliff(), readings: [] };
  const written = (scene: unknown) => `${JSON.stringify(scene, null, 2)}\n`;
  return {
    'ferncliff.scene.json': written(bench),
    'gannet-reach.scene.json': written(shed),
    'juniper-draw.scene.json': written(dairy),
    'readings/gannet-reach.csv': gannetReadings(gannet, 20260209),
    'readings/juniper-draw.csv': juniperReadings(juniper, 20261005),
    ...drawings(),
  };
}
