import { fineMarks, formatLength, type Habit } from '@north-pane/core/quantity';

/** The fraction slash: both bundled faces set the figures beside it as a real fraction. */
const slash = '\u2044';

/** A length inside an SVG text, with real fractions. */
export function SvgLength({
  value,
  habit,
  unit,
  fine,
}: {
  value: number;
  habit: Habit;
  unit?: boolean;
  fine?: boolean | undefined;
}) {
  const {
    number,
    negative,
    decimal,
    feet = 0,
    inches = 0,
    numerator,
    denominator,
  } = formatLength(value, habit, fine ? fineMarks : undefined);
  if (number !== undefined) return <tspan>{unit ? `${number}\u00a0mm` : number}</tspan>;
  if (decimal !== undefined) return <tspan>{`${negative ? '−' : ''}${decimal}″`}</tspan>;
  const showInches = inches > 0 || (feet === 0 && numerator === undefined);
  return (
    <tspan>
      {negative && '−'}
      {feet > 0 && `${feet}′\u2009`}
      {showInches && inches}
      {numerator !== undefined && <tspan style={{ fontSize: '1.2em' }}>{`${numerator}${slash}${denominator}`}</tspan>}
      {(numerator !== undefined || showInches) && '″'}
    </tspan>
  );
}
