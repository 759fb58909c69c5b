import { defaultJob, type Job } from '@north-pane/core';

/** Gannet Reach sailing shed, made up: showers after races, two harps of the builder's own size on a north-facing roof. */
export function gannetReach(): Job {
  const job = defaultJob('harp', { units: 'metric' });
  const panel = job.panels[0];
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
      standing: { aim: 12, tilts: [{ name: 'roof frame', tilt: 41 }] },
      horizon: [
        { azimuth: 60, elevation: 8 },
        { azimuth: 90, elevation: 11 },
        { azimuth: 300, elevation: 5 },
      ],
    },
    need: { kind: 'showers', volumePerDay: 0.18, target: 42, drinking: false, frost: true },
    panels: [
      {
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
    ],
    stores: [{ id: 'tank-a', kind: 'tank', volume: 0.25 }],
    loop: { kind: 'drain-back', connection: 'parallel', specificFlow: 0.02, pressurised: false },
  };
}
