import { defaultJob, familyIds } from '@north-pane/core/document';
import { writeSvg } from '@north-pane/core/draw';
import { standardChoice } from '@north-pane/core/families';
import { openJob, sideOf } from '@north-pane/core/job';

/**
 * Every view of every kind as it is begun, and of what only some boxes have: looked at by eye once, and compared to the
 * letter ever after. A change of a drawing shows here before anybody builds from it.
 */
export function drawings(): Record<string, string> {
  const habit = 'metric' as const;
  const files: Record<string, string> = {};
  for (const family of familyIds) {
    const open = openJob(defaultJob(family));
    const design = open.panels[0]?.design;
    if (!design) continue;
    for (const [view, { draw }] of Object.entries(design.drawings))
      files[`drawings/${family}-${view}.svg`] = writeSvg(draw(), { habit });
  }
  const job = defaultJob('harp');
  const panel = job.heaters['panel-a'];
  if (!panel) return files;
  const bent = openJob({
    ...job,
    heaters: {
      'panel-a': {
        ...panel,
        box: standardChoice('box', 'folded-edge', habit),
        mount: { kind: 'hinged-frame', parameters: {} },
      },
    },
  });
  const edge = bent.panels[0]?.design.drawings.bent;
  if (edge) files['drawings/folded-edge-bent.svg'] = writeSvg(edge.draw(), { habit });
  files['drawings/hinged-frame-side.svg'] = writeSvg(sideOf(bent, 0), { habit });
  return files;
}
