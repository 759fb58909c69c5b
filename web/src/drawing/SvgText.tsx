import type { SVGProps } from 'react';

interface SvgTextProps extends Omit<SVGProps<SVGTextElement>, 'fontSize' | 'fontWeight' | 'fontFamily'> {
  /** px. */
  size: number;
  bold?: boolean;
  /** In the narrow heading face, as numbers on drawings and tapes are. */
  heading?: boolean;
}

/** Words in a drawing. Fonts go in by style: the page's reset would win over SVG attributes. */
export function SvgText({ size, bold, heading, style, ...rest }: SvgTextProps) {
  return (
    <text
      {...rest}
      style={{
        fontSize: size,
        fontWeight: bold ? 600 : 400,
        fontFamily: heading ? 'var(--np-fonts-heading)' : 'var(--np-fonts-body)',
        ...style,
      }}
    />
  );
}
