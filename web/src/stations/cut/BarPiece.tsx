import { useDraggable } from '@dnd-kit/core';
import { formatLength, type Habit } from '@north-pane/core';
import { LengthText } from '../../parts/LengthText';
import { ink } from '../../theme/ink';

interface PieceProps {
  id: string;
  data: { bar: number; place: number };
  part: string;
  name: string;
  /** m. */
  length: number;
  /** px, its kerf taken along. */
  width: number;
  habit: Habit;
  locked: boolean;
  timber: boolean;
  lit: boolean;
  onLit(part: string | undefined): void;
}

/** px. Narrower pieces are not written on; their name stands in the card and under the mouse. */
const leastWritten = { metric: 36, imperial: 56 } as const;

/** One piece in its bar, with the kerf behind it; drawn over to another bar by hand. */
export function BarPiece(props: PieceProps) {
  const { id, data, part, name, length, width, habit, locked, timber, lit, onLit } = props;
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id, data, disabled: locked });
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-label={`${name}, ${formatLength(length, habit).text}${locked ? ', cut' : ''}`}
      title={name}
      data-takes="Space: lift the piece, and lay it down | up, down: carry it from bar to bar | Escape: put it back"
      onMouseEnter={() => onLit(part)}
      onMouseLeave={() => onLit(undefined)}
      onFocus={() => onLit(part)}
      onBlur={() => onLit(undefined)}
      style={{
        width,
        flexShrink: 0,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        overflow: 'hidden',
        // The kerf: what the saw takes behind the piece.
        borderRight: `1.5px solid ${ink('ink')}`,
        fontFamily: 'var(--np-fonts-heading)',
        fontWeight: 600,
        fontSize: 15,
        background: timber ? ink('timber') : 'color-mix(in srgb, var(--np-colors-copper) 36%, var(--np-colors-card))',
        outline: lit ? `3px solid ${ink('pane')}` : undefined,
        outlineOffset: -3,
        opacity: isDragging ? 0.35 : 1,
        cursor: locked ? 'default' : 'grab',
        touchAction: 'manipulation',
      }}
    >
      {width >= leastWritten[habit] && <LengthText value={length} habit={habit} bare inchesOnly={width < 90} />}
    </button>
  );
}
