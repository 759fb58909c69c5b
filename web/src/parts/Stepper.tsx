import { Button } from '@chakra-ui/react';
import { Minus, Plus } from 'lucide-react';
import { ink } from '../theme/ink';

/** A count with a button either side, large enough for a thumb. */
export function Stepper(props: {
  label: string;
  value: number;
  low: number;
  high: number;
  onValue(value: number): void;
}) {
  const { label, value, low, high, onValue } = props;
  return (
    // Plain but for its buttons: it is drawn again with every step.
    <fieldset style={row} aria-label={label}>
      <span style={{ fontSize: 14, color: ink('soft') }}>{label}</span>
      <span style={{ display: 'flex', alignItems: 'center', gap: 4 }}>
        <Button
          size="xs"
          variant="outline"
          aria-label={`One less: ${label}`}
          disabled={value <= low}
          onClick={() => onValue(value - 1)}
        >
          <Minus size={14} aria-hidden />
        </Button>
        <span style={figure}>{value}</span>
        <Button
          size="xs"
          variant="outline"
          aria-label={`One more: ${label}`}
          disabled={value >= high}
          onClick={() => onValue(value + 1)}
        >
          <Plus size={14} aria-hidden />
        </Button>
      </span>
    </fieldset>
  );
}

const row = {
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'space-between',
  gap: 8,
  border: 0,
  margin: 0,
  padding: 0,
  minWidth: 0,
} as const;
const figure = {
  fontFamily: 'var(--np-fonts-heading)',
  fontWeight: 600,
  fontSize: 18,
  minWidth: 30,
  textAlign: 'center',
} as const;
