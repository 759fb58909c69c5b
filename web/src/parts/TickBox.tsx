import { Check } from 'lucide-react';
import type { CSSProperties } from 'react';
import { ink } from '../theme/ink';

const box: CSSProperties = {
  flexShrink: 0,
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  borderWidth: '1.5px',
  borderStyle: 'solid',
  borderRadius: 3,
  color: 'white',
  cursor: 'pointer',
};

/** A box to tick with a thumb. Of plain elements: dozens of them stand beside each other, and each is drawn with every tick. */
export function TickBox({ ticked, label, onTick }: { ticked: boolean; label: string; onTick(): void }) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: an input cannot hold the tick, which paper must show without its ground
    <button
      type="button"
      role="checkbox"
      aria-checked={ticked}
      aria-label={label}
      className="tick-box"
      style={{ ...box, borderColor: ink(ticked ? 'paneFill' : 'ink'), background: ink(ticked ? 'paneFill' : 'card') }}
      onClick={onTick}
    >
      {ticked && <Check size={20} aria-hidden />}
    </button>
  );
}
