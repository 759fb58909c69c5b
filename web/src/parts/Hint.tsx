import { Text } from '@chakra-ui/react';
import { CircleHelp } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { ink } from '../theme/ink';
import { unseen } from './unseen';

const opener = { color: ink('paneText'), cursor: 'pointer', position: 'relative' } as const;

/**
 * A label with what it means behind a sign that a finger, a key or a reader opens. What it labels is described by `id`, open
 * or not.
 */
export function Hinted({
  id,
  words,
  hint,
  children,
}: {
  id: string;
  words: string;
  hint?: string | undefined;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  if (!hint) return children;
  return (
    <>
      <span style={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 4 }}>
        {children}
        <button
          type="button"
          aria-expanded={open}
          aria-controls={id}
          title={hint}
          className="hint"
          style={opener}
          onClick={() => setOpen(!open)}
        >
          <CircleHelp size={16} aria-hidden />
          <span style={unseen}>What is meant: {words}</span>
        </button>
      </span>
      {open ? (
        <Text id={id} fontSize="14px" mb="1">
          {hint}
        </Text>
      ) : (
        <span id={id} style={unseen}>
          {hint}
        </span>
      )}
    </>
  );
}
