import { Lock, LockOpen } from 'lucide-react';
import { ink } from '../../theme/ink';

/** Says that a bar or sheet is cut, or that it is not. */
export function LockButton(props: { locked: boolean; kind: 'bar' | 'sheet'; name: string; onToggle(): void }) {
  const { locked, kind, name, onToggle } = props;
  const Icon = locked ? Lock : LockOpen;
  return (
    <button
      type="button"
      className="plain-target"
      aria-label={`${locked ? 'Unlock' : 'Lock as cut'}: ${name}`}
      title={locked ? 'Cut: it stands. Click to unlock.' : `Lock this ${kind} as cut`}
      aria-pressed={locked}
      onClick={onToggle}
      style={{
        padding: 6,
        display: 'grid',
        placeItems: 'center',
        cursor: 'pointer',
        color: ink(locked ? 'ink' : 'soft'),
        flexShrink: 0,
      }}
    >
      <Icon size={16} aria-hidden />
    </button>
  );
}
