import { Box } from '@chakra-ui/react';
import { Check } from 'lucide-react';

/** A box to tick with a thumb. */
export function TickBox({ ticked, label, onTick }: { ticked: boolean; label: string; onTick(): void }) {
  return (
    <Box
      as="button"
      role="checkbox"
      aria-checked={ticked}
      aria-label={label}
      flexShrink={0}
      w={{ base: '44px', md: '32px' }}
      h={{ base: '44px', md: '32px' }}
      display="flex"
      alignItems="center"
      justifyContent="center"
      borderWidth="1.5px"
      borderColor={ticked ? 'paneFill' : 'ink'}
      borderRadius="3px"
      bg={ticked ? 'paneFill' : 'card'}
      color="white"
      cursor="pointer"
      onClick={onTick}
    >
      {ticked && <Check size={20} aria-hidden />}
    </Box>
  );
}
