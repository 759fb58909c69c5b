import { entry } from '../catalogue';
import { choiceField, countField, entryField, lengthField } from '../field';
import { type Habit, inch } from '../quantity';

/**
 * Parameters that every box of boards has, with what a document that does not speak of them means: nothing of it. What a new
 * box begins with is its `standard`.
 */
export const timberFields = {
  board: entryField(
    'timber',
    'planed-115x19',
    'Side board',
    'Board that the sides are made of.',
    (id) => entry('timber', id).width > 0.06,
  ),
  back: entryField('sheet', 'ply-9', 'Back', 'Sheet that closes the back.', (id) => entry('sheet', id).use === 'back'),
  insulation: entryField(
    'sheet',
    'wool-50',
    'Insulation',
    'Board behind the absorber.',
    (id) => entry('sheet', id).use === 'insulation',
  ),
  state: choiceField(
    { dry: 'dry', damp: 'damp' },
    'dry',
    'Insulation is',
    'Dry behind a tight lid, or laden with moisture.',
  ),
  edgeStrip: lengthField(0, 0.03, 0, 'Edge strip', 'Strip of the same insulation along the inner face of the sides.'),
  rails: countField(0, 8, 3, 'Rails', 'Cross rails that carry the absorber.'),
  cleat: lengthField(0, 0.045, 0.02, 'Corner cleat', 'Square cleat screwed into each corner; zero for none.'),
  side: choiceField(
    { removable: 'one comes off, where the array goes in', fixed: 'all four fixed' },
    'removable',
    'Sides',
    'What comes out through a long side, or at both ends, goes in only while one board is off.',
  ),
  handles: countField(0, 6, 0, 'Handles', 'For carrying: two at the ends, or more along the long sides.'),
  hanging: choiceField(
    { none: 'lies on its stand', plates: 'hung by four plates' },
    'none',
    'Hanging',
    'Plates on the back, a fifth in from its ends.',
  ),
  weeps: countField(
    0,
    8,
    0,
    'Weep holes',
    'Screened holes in the back: these along the low edge, as many along the high.',
  ),
};

/** A pane bedded in the box, or in a frame that lifts off. */
export const lidFields = {
  lid: choiceField(
    { bedded: 'bedded in the box', mitred: 'in a lid, corners mitred', butted: 'in a lid, corners butted' },
    'bedded',
    'Pane is',
    'Bedded once and for all, or in a framed lid that lifts off for carrying and mending.',
  ),
  lidFrame: entryField(
    'timber',
    'planed-45x19',
    'Lid frame',
    'Timber of the lid, rebated for the pane.',
    (id) => entry('timber', id).width < 0.06,
  ),
  ledge: lengthField(0.004, 0.03, 0.01, 'Bearing', 'Ledge that the pane bears on all round, in box or lid.'),
};

const common = {
  state: 'dry' as const,
  rails: 3,
  edgeStrip: 0,
  side: 'removable' as const,
  handles: 2,
  hanging: 'none' as const,
  weeps: 2,
};
const standards = {
  metric: { board: 'planed-115x19', back: 'ply-9', insulation: 'wool-50', cleat: 0.02, ...common },
  imperial: { board: 'ps20-1x6', back: 'ply-3_8', insulation: 'wool-2', cleat: 0.75 * inch, ...common },
};

export function timberStandard(habit: Habit) {
  return standards[habit];
}

export function lidStandard(habit: Habit) {
  return {
    lid: 'bedded' as const,
    lidFrame: habit === 'metric' ? 'planed-45x19' : 'ps20-1x2',
    ledge: habit === 'metric' ? 0.01 : (3 / 8) * inch,
  };
}
