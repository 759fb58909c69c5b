// What a field is, said once where its schema is: label, meaning, unit, range, choices and what depends on it.

export {
  flagField,
  numberField,
  optionField,
  partField,
  percentField,
  quantityField,
  textField,
  wholeField,
} from './document';
export { type FieldMeta, fieldMeta, type Result } from './meta';
export {
  asBought,
  choiceField,
  countField,
  entryField,
  lengthField,
  massField,
  meansSame,
  type ParameterRange,
  rangesOf,
} from './parameters';
export { fieldText, writtenFactor } from './text';
