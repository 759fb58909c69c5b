import { Box, Flex, Text } from '@chakra-ui/react';
import { type CollectorState, formatNumber } from '@north-pane/core';

const ways: { way: keyof CollectorState['paths']; words: string; fill: string; text: string }[] = [
  { way: 'water', words: 'to water', fill: 'copper', text: 'white' },
  {
    way: 'optical',
    words: 'pane, paint',
    fill: 'color-mix(in srgb, var(--np-colors-pane) 45%, var(--np-colors-card))',
    text: 'ink',
  },
  {
    way: 'top',
    words: 'top',
    fill: 'color-mix(in srgb, var(--np-colors-cold) 55%, var(--np-colors-card))',
    text: 'ink',
  },
  { way: 'back', words: 'back', fill: 'wool', text: 'ink' },
  { way: 'edge', words: 'rim', fill: 'timber', text: 'ink' },
];

/** Where the sun on the pane goes, as a strip of shares; small ones are named below it. */
export function Paths({ paths }: { paths: CollectorState['paths'] }) {
  const total = Object.values(paths).reduce((sum, part) => sum + part, 0);
  const shares = ways.map((one) => ({ ...one, percent: (100 * paths[one.way]) / total }));
  return (
    <Box mb="2">
      <Flex
        h="24px"
        role="img"
        aria-label={shares.map(({ words, percent }) => `${words} ${formatNumber(percent)} percent`).join(', ')}
      >
        {shares.map(({ way, words, fill, text, percent }) => (
          <Flex
            key={way}
            w={`${percent}%`}
            bg={fill}
            color={text}
            align="center"
            px="1"
            overflow="hidden"
            fontSize="13px"
            whiteSpace="nowrap"
            borderRightWidth="1px"
            borderColor="ground"
          >
            {percent > 26 ? `${words} ${formatNumber(percent)} %` : ''}
          </Flex>
        ))}
      </Flex>
      <Text fontSize="13px" color="soft" mt="1">
        {shares
          .filter(({ percent }) => percent <= 26)
          .map(({ words, percent }) => `${words} ${formatNumber(percent)} %`)
          .join(', ')}
      </Text>
    </Box>
  );
}
