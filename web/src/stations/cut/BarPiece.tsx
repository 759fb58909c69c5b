import { useDraggable } from '@dnd-kit/core';
import { formatLength, type Habit } from '@north-pane/core/quantity';
import { LengthText } from '../../parts/LengthText';
import { ink } from '../../theme/ink';

interface PieceProps {
  id: string;
  data: { bar: number; place: number };
  part: string;
  name: string;
  /** m. */
  length: number;
  /** Alike and side by side, too narrow to be taken hold of one by one: one of them is carried. */
  count: number;
  /** px, their kerfs taken along; and the share of the bar that this is. */
  width: number;
  share: number;
  habit: Habit;
  locked: boolean;
  timber: boolean;
  lit: boolean;
  onLit(part: string | undefined): void;
}

/** px. Narrower pieces are not written on; their name stands in the card and under the mouse. */
const leastWritten = { metric: 36, imperial: 56 } as const;

/** px. */
const fingertip = 44;

/** One piece in its bar, with the kerf behind it; drawn over to another bar by hand. */
export function BarPiece(props: PieceProps) {
  const { id, data, part, name, length, count, width, share, habit, locked, timber, lit, onLit } = props;
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id, data, disabled: locked });
  const several = count > 1 ? `${count} × ` : '';
  const stuff = timber ? ink('timber') : 'color-mix(in srgb, var(--np-colors-copper) 36%, var(--np-colors-card))';
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-label={`${several}${name}, ${formatLength(length, habit).text}${locked ? ', cut' : ''}`}
      title={`${several}${name}`}
      data-takes="Space: lift the piece, and lay it down | up, down: carry it from bar to bar | Escape: put it back"
      onMouseEnter={() => onLit(part)}
      onMouseLeave={() => onLit(undefined)}
      onFocus={() => onLit(part)}
      onBlur={() => onLit(undefined)}
      style={{
        width: `${100 * share}%`,
        flexShrink: 0,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        overflow: width < fingertip ? 'visible' : 'hidden',
        position: 'relative',
        // The kerf: what the saw takes behind the piece.
        borderRight: `1.5px solid ${ink('ink')}`,
        fontFamily: 'var(--np-fonts-heading)',
        fontWeight: 600,
        fontSize: 15,
        // Of several the cuts between them are drawn too.
        background:
          count > 1
            ? `repeating-linear-gradient(to right, ${stuff} 0 calc(${width / count}px - 1.5px), ${ink('ink')} calc(${width / count}px - 1.5px) ${width / count}px)`
            : stuff,
        outline: lit ? `3px solid ${ink('pane')}` : undefined,
        outlineOffset: -3,
        opacity: isDragging ? 0.35 : 1,
        cursor: locked ? 'default' : 'grab',
        touchAction: 'manipulation',
      }}
    >
      {/* A piece narrower than a fingertip is taken hold of beside it too. */}
      {width < fingertip && (
        <span
          className="reach"
          style={{ position: 'absolute', top: 0, bottom: 0, left: (width - fingertip) / 2, width: fingertip }}
        />
      )}
      {count > 1 && width >= 40 && (
        <span style={{ background: stuff, padding: '0 4px' }}>
          {count} ×{width >= leastWritten[habit] + 40 && ' '}
          {width >= leastWritten[habit] + 40 && <LengthText value={length} habit={habit} bare inchesOnly />}
        </span>
      )}
      {count === 1 && width >= leastWritten[habit] && (
        <LengthText value={length} habit={habit} bare inchesOnly={width < 90} />
      )}
    </button>
  );
}
