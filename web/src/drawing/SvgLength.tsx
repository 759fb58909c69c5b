import { formatLength, type Habit } from '@north-pane/core';

/** A length inside an SVG text: real fractions set as raised and lowered figures. */
export function SvgLength({ value, habit, unit }: { value: number; habit: Habit; unit?: boolean }) {
  const { number, negative, feet = 0, inches = 0, numerator, denominator } = formatLength(value, habit);
  if (number !== undefined) return <tspan>{unit ? `${number}\u202fmm` : number}</tspan>;
  const showInches = inches > 0 || (feet === 0 && numerator === undefined);
  return (
    <tspan>
      {negative && '−'}
      {feet > 0 && `${feet}′ `}
      {showInches && inches}
      {numerator !== undefined && (
        <>
          <tspan fontSize="0.68em" dx="1.5" dy="-0.42em">
            {numerator}
          </tspan>
          <tspan fontSize="0.68em" dy="0.42em">
            ⁄
          </tspan>
          <tspan fontSize="0.68em" dy="0.12em">
            {denominator}
          </tspan>
          <tspan dy="-0.08em">″</tspan>
        </>
      )}
      {numerator === undefined && showInches && '″'}
    </tspan>
  );
}
