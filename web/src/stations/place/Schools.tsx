import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  formatAim,
  formatNumber,
  formatRough,
  type Habit,
  type SchoolResult,
  type StandingStudy,
  sayMonths,
  seasonMonths,
} from '@north-pane/core';

interface SchoolsProps {
  study: StandingStudy;
  latitude: number;
  habit: Habit;
  onStand(pane: { tilt: number; aim: number }): void;
}

/** On a phone the name, the year and the share are enough; the seasons are for a wider screen. */
const wide = { base: 'none', md: 'table-cell' } as const;
const narrow = { base: 'block', md: 'none' } as const;

const stands = (school: SchoolResult) => `${formatNumber(school.tilt)}°, ${formatAim(school.aim)}`;

/** What each school of tilting gets at this place, the best of each column in bold, and what moving the pane would add. */
export function Schools({ study, latitude, habit, onStand }: SchoolsProps) {
  const { winter, summer } = seasonMonths(latitude);
  const most = (of: (school: SchoolResult) => number) => Math.max(...study.schools.map(of));
  const sum = (value: number) => formatRough('insolation', value, habit).number;
  const { unit } = formatRough('insolation', 0, habit);
  const columns = [
    { head: `year, ${unit}`, of: (school: SchoolResult) => school.year },
    { head: sayMonths(winter), of: (school: SchoolResult) => school.winter },
    { head: sayMonths(summer), of: (school: SchoolResult) => school.summer },
  ];
  return (
    <>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Schools compared">
        <Table.Root size="sm">
          <Table.Header>
            <Table.Row bg="transparent" verticalAlign="bottom">
              <Table.ColumnHeader px="2">How it stands</Table.ColumnHeader>
              <Table.ColumnHeader px="2" whiteSpace="nowrap" display={wide}>
                tilt, aim
              </Table.ColumnHeader>
              {columns.map(({ head }, index) => (
                <Table.ColumnHeader key={head} px="2" textAlign="end" display={index > 0 ? wide : undefined}>
                  {head}
                </Table.ColumnHeader>
              ))}
              <Table.ColumnHeader px="2" textAlign="end">
                of the best
              </Table.ColumnHeader>
              <Table.ColumnHeader px="0" />
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {study.schools.map((school) => (
              <Table.Row key={school.id} bg={school.id === 'as-it-stands' ? 'well' : 'transparent'} borderColor="line">
                <Table.Cell px="2" borderColor="line">
                  <Text fontWeight="600">{school.name}</Text>
                  <Text display={narrow}>{stands(school)}</Text>
                  <Text fontSize="13px" color="soft">
                    {school.reason}
                  </Text>
                </Table.Cell>
                <Table.Cell px="2" borderColor="line" whiteSpace="nowrap" display={wide}>
                  {stands(school)}
                </Table.Cell>
                {columns.map(({ head, of }, index) => (
                  <Table.Cell
                    key={head}
                    px="2"
                    display={index > 0 ? wide : undefined}
                    borderColor="line"
                    textAlign="end"
                    whiteSpace="nowrap"
                    fontWeight={of(school) >= most(of) * 0.999 ? '700' : '400'}
                  >
                    {sum(of(school))}
                  </Table.Cell>
                ))}
                <Table.Cell px="2" borderColor="line" textAlign="end" whiteSpace="nowrap">
                  {formatNumber(school.share * 100)} %
                </Table.Cell>
                <Table.Cell px="0" borderColor="line" textAlign="end">
                  {school.id !== 'as-it-stands' && (
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Stand it so: ${school.name}`}
                      onClick={() => onStand({ tilt: Math.round(school.tilt), aim: Math.round(school.aim) % 360 })}
                    >
                      Stand it so
                    </Button>
                  )}
                </Table.Cell>
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
      <Moving study={study} />
    </>
  );
}

/** What a pane that is moved adds over the best fixed tilt at this aim. */
function Moving({ study }: { study: StandingStudy }) {
  const { two, monthly, best } = study;
  const more = (sun: number) => {
    const share = (sun / best.year.sun - 1) * 100;
    return `${share >= 0 ? '+' : '−'}${formatNumber(Math.abs(share), 1)} %`;
  };
  if (best.year.sun <= 0) return null;
  return (
    <Flex gap="6" wrap="wrap" mt="3" fontSize="14px">
      <Text maxW="420px">
        <b>Moved twice a year</b>, at this aim: {two.steep.tilt}° {sayMonths(two.steep.months)}, {two.shallow.tilt}°{' '}
        {sayMonths(two.shallow.months)}: {more(two.sun)} against the best fixed pane.
      </Text>
      <Text maxW="420px">
        <b>Moved every month</b>: from {Math.min(...monthly.tilts)}° to {Math.max(...monthly.tilts)}°:{' '}
        {more(monthly.sun)}.
      </Text>
    </Flex>
  );
}
