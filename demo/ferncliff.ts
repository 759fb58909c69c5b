import { beginJob, type Job } from '@north-pane/core/document';

/**
 * Ferncliff propagation bench, made up: warm water under trays of seedlings from late winter on; a bolted panel that lifts its water by itself to a
 * coil in a raised barrel.
 */
export function ferncliff(): Job {
  const where = { latitude: 52.3, longitude: -1.9, zone: 'Europe/London' };
  const job = beginJob('lattice', { units: 'metric', name: 'Ferncliff propagation bench', currency: '£', where });
  const panel = job.heaters['panel-a'];
  if (!panel) throw new Error('a job begins with a heater');
  // Bottom heat by night, and in the grey of the morning: litres in each hour.
  const hours = [6, 6, 6, 6, 6, 6, 5, 4, 2, 0, 0, 0, 0, 0, 0, 0, 0, 2, 4, 5, 6, 6, 6, 6];
  return {
    ...job,
    site: {
      ...job.site,
      elevation: 155,
      standing: {
        aim: 186,
        tilts: { 'tilt-a': { order: 0, name: 'against the potting shed', tilt: 55, months: [2, 3, 4, 5, 9, 10] } },
      },
      // A yew hedge in the east, the neighbour's roof in the south-west.
      horizon: [
        { azimuth: 70, elevation: 12 },
        { azimuth: 105, elevation: 9 },
        { azimuth: 150, elevation: 3 },
        { azimuth: 215, elevation: 8 },
        { azimuth: 240, elevation: 14 },
        { azimuth: 270, elevation: 6 },
      ],
      climate: { kind: 'broad', type: 'maritime' },
    },
    need: {
      kind: 'growing',
      volumePerDay: hours.reduce((sum, litres) => sum + litres, 0) / 1000,
      target: 28,
      drinking: false,
      frost: true,
      months: [2, 3, 4, 5],
      hours,
      heats: { by: 'electricity', price: 0.28 },
    },
    heaters: {
      'panel-a': {
        ...panel,
        parameters: { ...panel.parameters, length: 1.9, width: 0.9, boltPitch: 0.06, head: 1.5 },
      },
    },
    stores: { 'barrel-a': { kind: 'barrel', volume: 0.2 } },
    loop: {
      ...job.loop,
      kind: 'thermosiphon',
      glycol: 0.35,
      coil: true,
      check: true,
      mixing: false,
      cutout: false,
      expansion: true,
      relief: true,
    },
    shop: {
      ...job.shop,
      things: {
        'thing-1': { kind: 'pane', width: 0.9, height: 1.6, count: 1 },
        'thing-2': { kind: 'bottles', diameter: 0.088, height: 0.19, count: 64 },
        'thing-3': { kind: 'hose', item: 'pe-25x2.3', length: 60 },
      },
    },
  };
}
