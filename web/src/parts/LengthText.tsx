import { formatLength, type Habit, type LengthOptions } from '@north-pane/core/quantity';

/** A length as the tape reads it, with real fractions. The unit can be left out, and is small in big figures. */
export function LengthText({
  value,
  habit,
  bare,
  big,
  ...options
}: { value: number; habit: Habit; bare?: boolean; big?: boolean } & LengthOptions) {
  const reading = formatLength(value, habit, options);
  if (reading.number !== undefined)
    return (
      <span style={{ whiteSpace: 'nowrap' }}>
        {reading.number}
        {!bare && <span style={big ? { fontSize: '0.6em' } : undefined}>&nbsp;mm</span>}
      </span>
    );
  if (reading.decimal !== undefined)
    return (
      <span style={{ whiteSpace: 'nowrap' }}>
        {reading.negative && '−'}
        {reading.decimal}″
      </span>
    );
  const { negative, feet = 0, inches = 0, numerator, denominator } = reading;
  const showInches = inches > 0 || (feet === 0 && numerator === undefined);
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      {negative && '−'}
      {feet > 0 && `${feet}′`}
      {feet > 0 && (showInches || numerator !== undefined) && '\u2009'}
      {showInches && inches}
      {numerator !== undefined && <span style={{ fontSize: '1.15em' }}>{`${numerator}\u2044${denominator}`}</span>}
      {(showInches || numerator !== undefined) && '″'}
    </span>
  );
}
