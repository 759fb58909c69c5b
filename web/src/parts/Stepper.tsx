import { Button, Flex, Text } from '@chakra-ui/react';
import { Minus, Plus } from 'lucide-react';

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
    <Flex align="center" justify="space-between" gap="2" role="group" aria-label={label}>
      <Text fontSize="14px" color="soft">
        {label}
      </Text>
      <Flex align="center" gap="1">
        <Button
          size="xs"
          variant="outline"
          aria-label={`One less: ${label}`}
          disabled={value <= low}
          onClick={() => onValue(value - 1)}
        >
          <Minus size={14} aria-hidden />
        </Button>
        <Text fontFamily="heading" fontWeight="600" fontSize="18px" minW="30px" textAlign="center" aria-live="polite">
          {value}
        </Text>
        <Button
          size="xs"
          variant="outline"
          aria-label={`One more: ${label}`}
          disabled={value >= high}
          onClick={() => onValue(value + 1)}
        >
          <Plus size={14} aria-hidden />
        </Button>
      </Flex>
    </Flex>
  );
}
