import { families } from '..';
import type { HarpParameters } from './parameters';

/** The standard metric harp with some parameters changed, opened. */
export function withParameters(
  change: Partial<HarpParameters>,
  others: { box?: Record<string, unknown>; glazing?: Record<string, unknown> } = {},
) {
  const panel = { id: 'panel-a', ...families.harp.standard('metric') };
  const changed = (name: 'box' | 'glazing') => {
    const chosen = panel[name];
    if (!chosen) throw new Error(`no ${name}`);
    return { ...chosen, parameters: { ...chosen.parameters, ...others[name] } };
  };
  return families.harp.open(
    { ...panel, parameters: { ...panel.parameters, ...change }, box: changed('box'), glazing: changed('glazing') },
    'heaters.panel-a',
  );
}
