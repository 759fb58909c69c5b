import type { Words } from '../care';

export const boxWords: Record<string, Words> = {
  'cladding-too-narrow': (values, say) => ({
    headline: 'outer board too narrow',
    detail: `The box is ${say.length(values.number('needed'))} deep from under the back to the top of the pane; the outer board is ${say.length(values.number('board'))}.`,
    remedy: 'Take a wider outer board, or a shallower inner one.',
  }),
  'rails-fill-box': (values) => ({
    headline: 'rails fill the box',
    detail: `${values.number('rails')} rails leave no room for insulation between them.`,
    remedy: `Take ${values.number('most')} rails at most.`,
  }),
  'array-cannot-go-in': () => ({
    headline: 'headers cannot go through',
    detail: 'The headers come out through the side boards, and all four sides are fixed: the array cannot be laid in.',
    remedy: 'Let one long side come off: screws and no glue.',
  }),
  'lip-misses-pane': (values, say) => ({
    headline: 'lip does not hold the pane',
    detail: `The lip is ${say.length(values.number('lip'))}; with its clearance the pane begins so far in that ${say.length(values.number('least'))} is the least that holds it.`,
    remedy: `Bend a lip of ${say.length(values.number('least'))} or more.`,
  }),
  'lip-shades-plate': (values, say) => ({
    headline: 'lip shades the plate',
    detail: `The lip reaches ${say.length(values.number('lip'))} in; past ${say.length(values.number('most'))} it stands over the plate.`,
    remedy: 'Bend a narrower lip.',
  }),
};
