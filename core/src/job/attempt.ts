import { errorWords, type Finding, isProgramFault, type Words } from '../care';

/**
 * Works something out, or notes why it cannot be: one figure that fails takes no other with it. What it is (`gain`, `flow`, `dry`,
 * `cost` ...) is worded by `absentWords`.
 */
export function attempt<T>(
  what: keyof typeof figureNames,
  path: string,
  absent: Finding[],
  work: () => T,
): T | undefined {
  try {
    return work();
  } catch (error) {
    const code = isProgramFault(error) ? 'program-fault' : 'not-worked-out';
    absent.push({ code, severity: 'clash', path, values: { what, why: errorWords(error) } });
    return undefined;
  }
}

const figureNames = {
  gain: 'gain and heat',
  flow: 'flow and pressure',
  steam: 'steam',
  dry: 'temperature when dry',
  cost: 'cut list and cost',
  limits: 'what the heat does to the materials',
  matters: 'what is to be looked at',
} as const;

function nameOf(what: string): string {
  return Object.hasOwn(figureNames, what) ? figureNames[what as keyof typeof figureNames] : what;
}

export const absentWords: Record<string, Words> = {
  'not-worked-out': (values) => ({
    headline: `${nameOf(values.text('what'))}: cannot be worked out`,
    detail: `As drawn the sums come to no end: ${values.text('why')}.`,
    remedy: 'Undo the last change, or change the size in hand; all else here still holds.',
  }),
  'program-fault': (values) => ({
    headline: `${nameOf(values.text('what'))}: North Pane has a fault here`,
    detail: 'The program failed on it. Your design is not the cause, and all other figures still hold.',
    remedy:
      'Undo the last change, or choose another size near it. The job can be saved out from the shelf and looked at.',
  }),
  'outlet-boils': (values, say) => ({
    headline: 'the water boils in the panel',
    detail: `At this flow it would leave at ${say.quantity('temperature', values.number('outlet'), 0)}; in this loop it boils at ${say.quantity('temperature', values.number('boils'), 0)}. Steam scalds, bursts and empties the loop: no gain is given.`,
    remedy: 'Give the panel more flow, or less panel to the flow. Have the relief checked before it stands in the sun.',
  }),
};
