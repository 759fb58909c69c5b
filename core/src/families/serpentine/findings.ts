import { type Finding, finding, type Words } from '../../care';
import { layingRoom, plateFindings, plateWords } from '../plate/findings';
import { downToMillimetre } from '../plate/fit';
import { rowOf } from '../plate/layout';
import type { PlateBuild } from '../plateFamily';
import type { SerpentineLayout } from './layout';
import type { SerpentineParameters } from './parameters';
import { jointsOf } from './parts';

/** Joints beyond which a bare array bends in its own play when it is carried. Judgement. */
const manyJoints = 24;

/** Everything that clashes in a serpentine as drawn, each where it is and with what mends it. */
export function serpentineFindings(build: PlateBuild<SerpentineParameters>, layout: SerpentineLayout): Finding[] {
  const { parameters, box, bend, tube, endGap, runs, straight, plateSpan } = layout;
  const { runs: count, pitch } = parameters;
  const at = (name: string) => `${build.path}.parameters.${name}`;
  const found: Finding[] = [];
  const turn = { x: straight.to, y: ((runs[0] ?? 0) + (runs[1] ?? 0)) / 2 };
  if (bend.fixedPitch !== undefined && Math.abs(pitch - bend.fixedPitch) > 0.0004)
    found.push(
      finding.clash(
        'pitch-is-fixed',
        at('pitch'),
        { pitch, fixed: bend.fixedPitch },
        { at: turn, fix: Math.round(bend.fixedPitch * 1e5) / 1e5 },
      ),
    );
  else if (pitch < bend.leastPitch - 1e-6)
    found.push(
      finding.clash(
        'turn-too-tight',
        at('pitch'),
        { pitch, least: bend.leastPitch },
        { at: turn, fix: Math.ceil(bend.leastPitch * 1000) / 1000 },
      ),
    );
  const wantsCoil = parameters.bend === 'soft-coil';
  if (wantsCoil !== (tube.temper === 'coil'))
    found.push(finding.clash(wantsCoil ? 'needs-soft-tube' : 'needs-hard-tube', at('tube'), { name: tube.name }));
  if (endGap < layingRoom - 1e-9) {
    const most = box.room.length - 2 * (bend.reach + layingRoom);
    found.push(
      finding.clash(
        'runs-too-long',
        at('runLength'),
        { run: parameters.runLength, inside: box.room.length, most: Math.max(0, most) },
        { at: { x: straight.to, y: box.outside.width / 2 }, ...(most >= 0.2 ? { fix: downToMillimetre(most) } : {}) },
      ),
    );
  }
  const plateWidth = (count - 1) * pitch + layout.finWidth;
  if (plateWidth > box.room.width - 2 * layingRoom + 1e-9) {
    const most = Math.floor((box.room.width - 2 * layingRoom - layout.finWidth) / pitch) + 1;
    found.push(
      finding.clash(
        'runs-too-wide',
        at('runs'),
        { plate: plateWidth, inside: box.room.width, count, most },
        { at: { x: box.outside.length / 2, y: box.outside.width - box.wall }, ...(most >= 2 ? { fix: most } : {}) },
      ),
    );
  }
  if (bend.joints > 0 && !bend.calibrated)
    found.push(finding.note('dry-fit-first', at('dryPitch'), { laying: bend.laying }));
  const joints = jointsOf(layout);
  if (joints > manyJoints) found.push(finding.note('array-racks', at('runs'), { joints }));
  const row = rowOf(build, { tube, count, pitch, length: plateSpan.to - plateSpan.from });
  return [...found, ...plateFindings(build, layout), ...build.absorber.on(row).findings];
}

export const serpentineWords: Record<string, Words> = {
  ...plateWords,
  'pitch-is-fixed': (values, say) => ({
    headline: 'the fitting sets the pitch',
    detail: `These turns stand ${say.length(values.number('fixed'))} apart, whatever is drawn; the drawing has ${say.length(values.number('pitch'))}.`,
    remedy: `Set the pitch to ${say.length(values.number('fixed'))}, or turn with two elbows and a stub.`,
  }),
  'turn-too-tight': (values, say) => ({
    headline: 'turn too tight',
    detail: `Runs ${say.length(values.number('pitch'))} apart cannot be joined: elbows meet, or the tube kinks, under ${say.length(values.number('least'))}.`,
    remedy: `Set the pitch to ${say.length(values.number('least'))} or more.`,
  }),
  'needs-soft-tube': (values) => ({
    headline: 'hard tube does not bend',
    detail: `${values.text('name')} is hard: it kinks.`,
    remedy: 'Take a soft tube from a coil, or another kind of turn.',
  }),
  'needs-hard-tube': (values) => ({
    headline: 'soft tube between fittings',
    detail: `${values.text('name')} comes in a coil: straight runs of it are never straight.`,
    remedy: 'Take a hard tube, or bend the coil in one piece.',
  }),
  'runs-too-long': (values, say) => ({
    headline: 'runs longer than the box',
    detail: `With the turns at both ends the runs do not go into the ${say.length(values.number('inside'))} between the end boards.`,
    remedy: `Shorten the runs to ${say.length(values.number('most'))}, or take a longer pane.`,
  }),
  'runs-too-wide': (values, say) => ({
    headline: 'plate wider than the box',
    detail: `${values.number('count')} runs with their plate take ${say.length(values.number('plate'))}; the box is ${say.length(values.number('inside'))} inside.`,
    remedy: `Take ${values.number('most')} runs, a closer pitch or a wider pane.`,
  }),
  'dry-fit-first': (values, say) => ({
    headline: 'dry-fit an elbow before cutting',
    detail: `The laying length, ${say.length(values.number('laying'))} from the middle of the bend to the stop, is the trade's usual one; yours differs by millimetres, and every stub with it.`,
    remedy: 'Put two elbows dry on a stub of known length, measure centre to centre, and type both.',
  }),
  'array-racks': (values) => ({
    headline: 'carry it on a board',
    detail: `${values.number('joints')} joints each give a little: the bare array folds when it is lifted by its ends.`,
    remedy: 'Solder it on a flat board and carry it on that board into the box.',
  }),
};
