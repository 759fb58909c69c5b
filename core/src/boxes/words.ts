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
  'array-cannot-go-in': (values) =>
    values.text('where') === 'ends'
      ? {
          headline: 'array cannot be laid in',
          detail: 'It comes out at both ends, and all four sides are fixed: it is longer than the box is inside.',
          remedy: 'Let one board come off, the end at the way out: screws and no glue.',
        }
      : {
          headline: 'headers cannot go through',
          detail:
            'The headers come out through the side boards, and all four sides are fixed: the array cannot be laid in.',
          remedy: 'Let one long side come off: screws and no glue.',
        },
  'lid-too-narrow': (values, say) => ({
    headline: 'lid too narrow for the walls',
    detail: `The walls are ${say.length(values.number('wall'))} thick and the lid’s frame is ${say.length(values.number('lid'))} wide: it bears on less than half of them and tips.`,
    remedy: 'Take a wider timber for the lid, or thinner boards.',
  }),
  'too-thin-to-cut': (values, say) => ({
    headline: `${values.text('what')} too thin`,
    detail: `A ${values.text('what')} of ${say.length(values.number('size'))} splits or crumbles; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Make it stouter, or leave it out.',
  }),
  'pane-falls-in': (values, say) => ({
    headline: 'pane may fall into the box',
    detail: `The ledge is ${say.length(values.number('ledge'))} and the pane has ${say.length(values.number('clearance'))} of room all round: it bears on ${say.length(values.number('centred'))} in the middle and on ${say.length(values.number('slid'))} slid aside.`,
    remedy: `Cut the ledge ${say.length(values.number('least'))} wide, or give the pane less room.`,
  }),
  'ledge-too-wide': (values, say) => ({
    headline: 'ledge leaves no wood beside it',
    detail: `A ledge of ${say.length(values.number('ledge'))} leaves too little of the board to hold; ${say.length(values.number('most'))} is the most.`,
    remedy: 'Cut a narrower ledge, or take a thicker board.',
  }),
  'lid-too-thin': (values, say) => ({
    headline: 'rebate as deep as the lid',
    detail: `Pane and gasket need a rebate of ${say.length(values.number('seat'))}; the lid is ${say.length(values.number('lid'))} thick and needs ${say.length(values.number('needed'))}.`,
    remedy: 'Take thicker timber for the lid, or a thinner pane.',
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
