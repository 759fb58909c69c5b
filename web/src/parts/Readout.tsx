import { Box, Flex, Text } from '@chakra-ui/react';
import { formatLength, formatNumber, formatQuantity, type Habit, type Making } from '@north-pane/core';
import { type ReactNode, useState } from 'react';

/** A figure with its name; opens to its makings. */
export function Readout({
  label,
  value,
  band,
  making,
  habit,
}: {
  label: string;
  value: ReactNode;
  band?: string;
  making: Making;
  habit: Habit;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Box borderBottomWidth="1px" borderColor="line">
      <Flex
        as="button"
        w="100%"
        justify="space-between"
        align="baseline"
        gap="2"
        py="1"
        cursor="pointer"
        textAlign="left"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        _hover={{ color: 'paneText' }}
      >
        <Text>{label}</Text>
        <Text fontFamily="heading" fontWeight="600" fontSize="17px" whiteSpace="nowrap">
          {value}
          {band && (
            <Text as="span" fontSize="14px" fontWeight="500" color="soft">
              {' '}
              {band}
            </Text>
          )}
        </Text>
      </Flex>
      {open && (
        <Box pb="2" pl="3" borderLeftWidth="3px" borderColor="pane" mb="2" fontSize="14px">
          <Text fontWeight="600">{making.name}</Text>
          <Text mb="1">{making.formula}</Text>
          {making.inputs.map((input) => (
            <Flex key={input.label} justify="space-between" gap="3">
              <Text color="soft">{input.label}</Text>
              <Text whiteSpace="nowrap">{inputText(input, habit)}</Text>
            </Flex>
          ))}
          <Text color="soft" fontSize="13px" mt="1">
            {making.source}
          </Text>
        </Box>
      )}
    </Box>
  );
}

function inputText({ value, kind, digits }: Making['inputs'][number], habit: Habit): string {
  if (kind === 'number') return formatNumber(value, digits ?? 2);
  if (kind === 'length') return formatLength(value, habit, { decimals: 1, fraction: 64 }).text;
  return formatQuantity(kind, value, habit, digits).text;
}
