import { choiceField, countField, entry, entryField, lengthField } from '../catalogue';

/** Parameters that every box of boards has, with what they begin as. */
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
  rails: countField(0, 8, 3, 'Rails', 'Cross rails that carry the absorber.'),
  cleat: lengthField(0, 0.045, 0.02, 'Corner cleat', 'Square cleat screwed into each corner; nought for none.'),
};

const inch = 0.0254;
export const timberStandard = {
  metric: {
    board: 'planed-115x19',
    back: 'ply-9',
    insulation: 'wool-50',
    state: 'dry' as const,
    rails: 3,
    cleat: 0.02,
  },
  imperial: {
    board: 'ps20-1x6',
    back: 'ply-3_8',
    insulation: 'wool-2',
    state: 'dry' as const,
    rails: 3,
    cleat: 0.75 * inch,
  },
};
