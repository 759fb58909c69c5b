import { Box, Text } from '@chakra-ui/react';
import { ink } from '../../theme/ink';

/** A figure with a bar under it, long by its share of the longest; `low` and `high` draw its band. */
export function Bar(props: {
  words: string;
  share: number;
  band?: { low: number; high: number };
  tone?: 'copper' | 'pane' | 'soft' | 'ochre';
}) {
  const { words, share, band, tone = 'copper' } = props;
  const held = (value: number) => `${100 * Math.min(1, Math.max(0, value))}%`;
  return (
    <Box minW="62px">
      <Text fontFamily="heading" fontWeight="600" fontSize="16px" whiteSpace="nowrap" lineHeight="1.2">
        {words}
      </Text>
      <Box position="relative" h="7px" bg="line" mt="1" aria-hidden>
        <Box position="absolute" left="0" top="0" bottom="0" style={{ width: held(share), background: ink(tone) }} />
        {band && (
          <Box
            position="absolute"
            top="-2px"
            bottom="-2px"
            style={{
              left: held(band.low),
              width: `calc(${held(band.high)} - ${held(band.low)})`,
              borderInline: `2px solid ${ink('ink')}`,
            }}
          />
        )}
      </Box>
    </Box>
  );
}
