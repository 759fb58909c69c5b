import { Text } from '@chakra-ui/react';
import { CircleHelp } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { ink } from '../theme/ink';
import { unseen } from './unseen';

const opener = {
  display: 'inline-flex',
  alignItems: 'center',
  justifyContent: 'center',
  minWidth: 24,
  minHeight: 24,
  color: ink('paneText'),
  cursor: 'pointer',
} as const;

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
          aria-label={`What is meant: ${words}`}
          aria-expanded={open}
          aria-controls={id}
          title={hint}
          style={opener}
          onClick={() => setOpen(!open)}
        >
          <CircleHelp size={16} aria-hidden />
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
