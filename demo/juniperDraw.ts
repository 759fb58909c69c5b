import { beginJob, type Job } from '@north-pane/core/document';

const inch = 0.0254;

/** Juniper Draw goat dairy, made up: wash-down water through two tanks behind glass on its way to the heater that stands; hard frosts at 2 000 m. */
export function juniperDraw(): Job {
  const where = { latitude: 36.6, longitude: -105.8, zone: 'America/Denver' };
  const job = beginJob('batch-box', { units: 'imperial', name: 'Juniper Draw wash-down', where });
  const panel = job.heaters['panel-a'];
  if (!panel) throw new Error('a job begins with a heater');
  return {
    ...job,
    site: {
      ...job.site,
      elevation: 2000,
      standing: { aim: 180, tilts: { 'tilt-a': { order: 0, name: 'south of the milking shed', tilt: 45 } } },
      // A ridge in the east, the shed's gable in the west.
      horizon: [
        { azimuth: 80, elevation: 8 },
        { azimuth: 110, elevation: 5 },
        { azimuth: 180, elevation: 2 },
        { azimuth: 265, elevation: 12 },
        { azimuth: 290, elevation: 3 },
      ],
      climate: { kind: 'broad', type: 'highland' },
    },
    need: { kind: 'washing', volumePerDay: 0.2, target: 60, drinking: false, frost: true },
    heaters: {
      'panel-a': {
        ...panel,
        parameters: {
          ...panel.parameters,
          paneLength: 51 * inch,
          paneWidth: 47 * inch,
          tankKind: 'used',
          tankDiameter: 15 * inch,
          tankLength: 38 * inch,
          airGap: 2 * inch,
          around: 2 * inch,
          lid: 'low',
          lidAngle: 105,
        },
      },
    },
    stores: {},
    loop: { ...job.loop, mixing: true },
  };
}
