import { beginJob, type Job } from '@north-pane/core/document';

/** Gannet Reach sailing shed, made up: showers after races, two harps of the builder's own size on a north-facing roof. */
export function gannetReach(): Job {
  const where = { latitude: -40.9, longitude: 172.9, zone: 'Pacific/Auckland' };
  const job = beginJob('harp', { units: 'metric', name: 'Gannet Reach showers', where });
  const panel = job.heaters['panel-a'];
  if (!panel?.glazing || !panel.box) throw new Error('a harp has a pane and a box');
  return {
    ...job,
    name: 'Gannet Reach showers',
    site: {
      ...job.site,
      latitude: -40.9,
      longitude: 172.9,
      elevation: 4,
      zone: 'Pacific/Auckland',
      standing: { aim: 12, tilts: { 'tilt-a': { order: 0, name: 'roof frame', tilt: 41 } } },
      // Low hills across the inlet, higher ones behind the village in the west; the sea lies open in the north.
      horizon: [
        { azimuth: 10, elevation: 1 },
        { azimuth: 55, elevation: 6 },
        { azimuth: 85, elevation: 11 },
        { azimuth: 115, elevation: 7 },
        { azimuth: 200, elevation: 3 },
        { azimuth: 270, elevation: 9 },
        { azimuth: 295, elevation: 14 },
        { azimuth: 325, elevation: 4 },
      ],
      climate: { kind: 'broad', type: 'maritime' },
    },
    need: { kind: 'showers', volumePerDay: 0.18, target: 42, drinking: false, frost: true },
    heaters: {
      'panel-a': {
        ...panel,
        count: 2,
        parameters: {
          ...panel.parameters,
          riserCount: 10,
          pitch: 0.106,
          riserClear: 1.88,
          entry: 0.007,
          airGap: 0.025,
        },
        glazing: { ...panel.glazing, parameters: { ...panel.glazing.parameters, length: 2, width: 1.1 } },
      },
    },
    stores: { 'tank-a': { kind: 'tank', volume: 0.25 } },
    loop: {
      kind: 'drain-back',
      connection: 'parallel',
      specificFlow: 0.02,
      pressurised: false,
      mixing: true,
      coil: true,
      cutout: true,
    },
  };
}
