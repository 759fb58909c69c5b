import { expect } from 'chai';
import type { FrontDoor } from '../front-door';
import * as core from '.';

/** The compiler refuses this line when a name or a shape moves. */
const door: FrontDoor = core;

describe('the front door', () => {
  it('stands open under every name it keeps', () => {
    const names = [
      'sunPosition',
      'incidenceAngle',
      'clearSky',
      'splitGlobal',
      'tiltedIrradiance',
      'coverOptics',
      'topLoss',
      'finEfficiency',
      'efficiencyFactor',
      'heatRemovalFactor',
      'tubeFilm',
      'pressureDrop',
      'manifoldFlow',
      'planLengths',
      'planSheets',
      'defaultJob',
      'parseJob',
      'evaluateJob',
      'evaluateBands',
    ] as const satisfies readonly (keyof FrontDoor)[];
    for (const name of names) expect(door[name], name).a('function');
    expect(door.familyIds).include('harp');
  });
});
