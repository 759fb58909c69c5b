import { sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck, lengthCheck } from '../kit/checks';
import { step } from '../kit/steps';
import { rowOf } from '../plate/layout';
import { flameBeware, plateSteps } from '../plate/steps';
import type { PlateBuild } from '../plateFamily';
import type { SerpentineLayout } from './layout';
import type { SerpentineParameters } from './parameters';
import { jointsOf } from './parts';

/** One soft tube bent to and fro. */
function bent(build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Step[] {
  const { id: prefix } = build;
  const { parameters, runs } = layout;
  return [
    step(prefix, 'bend', {
      name: 'Bend the coil',
      does: [
        `draw ${runs.length} runs a pitch of ${sized(parameters.pitch)} apart on a board, and the turns between them`,
        'unroll the coil flat, never pull it off sideways',
        `bend every turn round a former of ${sized(parameters.bendRadius)} radius with the spring in, and lay it on its line`,
      ],
      parts: [`${prefix}/coil`],
      needs: ['bending spring', 'round former'],
      checks: [
        { id: 'kinks', words: 'no kink: a ball of two thirds of the bore runs through' },
        {
          id: 'pitch',
          words: `run to run ${sized(parameters.pitch)} at both ends`,
          expects: { kind: 'length', value: parameters.pitch, within: 0.003 },
        },
      ],
      after: ['cut'],
    }),
  ];
}

/** Runs and turns soldered together, the dry fit first. */
function jointed(build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Step[] {
  const { id: prefix } = build;
  const { parameters, bend, runs } = layout;
  const joints = jointsOf(layout);
  const parts = [
    'run-first',
    ...(runs.length > 2 ? ['run'] : []),
    'run-last',
    ...(bend.stub === undefined ? [] : ['stub']),
  ].map((name) => `${prefix}/${name}`);
  const stub = bend.stub;
  return [
    step(prefix, 'dry-fit', {
      name: 'Dry fit one turn',
      does: [
        stub === undefined
          ? 'push one turn together dry and measure run to run'
          : `push two elbows onto a stub of ${sized(stub, true)} to their stops and measure run to run`,
        bend.calibrated
          ? 'it was measured before: measure again if the fittings come from another box'
          : 'type what you measured into the design: every stub is cut by it',
      ],
      parts,
      checks: [
        {
          id: 'turn-pitch',
          words: `run to run ${sized(parameters.pitch, true)}`,
          expects: { kind: 'length', value: parameters.pitch, within: 0.0005 },
        },
      ],
      after: ['cut'],
    }),
    step(prefix, 'lay-out', {
      name: 'Lay it all out dry',
      does: [
        `lay ${runs.length} runs on a flat board with all turns to their stops`,
        'clamp battens along the outer runs; number every joint',
      ],
      parts,
      checks: [
        lengthCheck(
          'flat',
          `it lies flat by itself: no end stands more than ${sized(0.003)} off the board, and every turn is square to its runs`,
          0,
          0.003,
        ),
      ],
      after: ['dry-fit'],
    }),
    step(prefix, 'solder-turns', {
      name: `Solder ${joints} joints`,
      does: [
        'turns first, on the bench; then the runs into them, from one end of the row to the other',
        'heat the fitting, feed the solder from the far side',
        'wash the flux off, inside too',
      ],
      parts,
      needs: ['torch', 'fitting brush', 'heat mat', 'gloves', 'eye protection'],
      checks: [countCheck('rings', `${joints} bright rings of solder, one round every socket, counted`, joints)],
      beware: flameBeware,
      after: ['lay-out'],
    }),
  ];
}

export function serpentineSteps(
  build: PlateBuild<SerpentineParameters>,
  layout: SerpentineLayout,
  mass: number,
): Step[] {
  const { tube, parameters, plateSpan } = layout;
  return plateSteps({
    build,
    layout,
    array: build.parameters.bend === 'soft-coil' ? bent(build, layout) : jointed(build, layout),
    plateParts: build.absorber.on(
      rowOf(build, { tube, count: parameters.runs, pitch: parameters.pitch, length: plateSpan.to - plateSpan.from }),
    ).parts,
    mass,
    carry: ['an array of many joints sags: carry it on a board until it lies in its box'],
  });
}
