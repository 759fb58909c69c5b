import { formatLength, type Habit, type LengthOptions } from '@north-pane/core';

/** Written-out fraction: numerator over denominator, as on a tape. */
function Fraction({ numerator, denominator }: { numerator: number; denominator: number }) {
  return (
    <span style={{ fontSize: '0.68em', whiteSpace: 'nowrap' }}>
      <span style={{ position: 'relative', top: '-0.42em' }}>{numerator}</span>⁄
      <span style={{ position: 'relative', top: '0.12em' }}>{denominator}</span>
    </span>
  );
}

/** A length as the tape reads it, with real fractions. The unit is small and can be left out. */
export function LengthText({
  value,
  habit,
  bare,
  ...options
}: { value: number; habit: Habit; bare?: boolean } & LengthOptions) {
  const reading = formatLength(value, habit, options);
  if (reading.number !== undefined)
    return (
      <span aria-label={reading.text} role="text" style={{ whiteSpace: 'nowrap' }}>
        {reading.number}
        {!bare && <span style={{ fontSize: '0.62em', opacity: 0.8 }}>&#8239;mm</span>}
      </span>
    );
  const { negative, feet = 0, inches = 0, numerator, denominator } = reading;
  const showInches = inches > 0 || (feet === 0 && numerator === undefined);
  return (
    <span aria-label={reading.text} role="text" style={{ whiteSpace: 'nowrap' }}>
      {negative && '−'}
      {feet > 0 && `${feet}′`}
      {feet > 0 && (showInches || numerator !== undefined) && '\u2009'}
      {showInches && inches}
      {numerator !== undefined && denominator !== undefined && (
        <>
          {showInches && '\u200a'}
          <Fraction numerator={numerator} denominator={denominator} />
        </>
      )}
      {(showInches || numerator !== undefined) && '″'}
    </span>
  );
}
