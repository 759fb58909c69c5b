import { Box, Flex, Text } from '@chakra-ui/react';
import type { Habit } from '@north-pane/core/quantity';
import { type HoleSchedule, holeReach } from '@north-pane/core/shop';
import { LengthText } from '../../parts/LengthText';

/** Where the holes of a piece are, from one datum and out from the middle, and what they are drilled with. */
export function HolesFigures({
  holes,
  habit,
  size,
  notes = '14px',
}: {
  holes: HoleSchedule;
  habit: Habit;
  /** Of the figures, and of what is said about them. */
  size: string;
  notes?: string;
}) {
  const reach = holeReach(holes);
  const offsets = fromMiddle(holes.positions, holes.middle);
  return (
    <Box mb="2">
      <Text color="soft" fontSize={notes}>
        {holes.positions.length === 1 ? 'Hole' : 'Holes'} from the {holes.datum}
        {holes.positions.length > 1 && (
          <>
            , middle at <LengthText value={holes.middle} habit={habit} bare />
          </>
        )}
      </Text>
      <Flex wrap="wrap" columnGap="4" fontFamily="heading" fontWeight="600" fontSize={size} lineHeight="1.35">
        {holes.positions.map((position) => (
          <Text as="span" key={position}>
            <LengthText value={position} habit={habit} bare inchesOnly />
          </Text>
        ))}
      </Flex>
      {holes.positions.length > 2 && (
        <Text color="soft" fontSize={notes}>
          out from the middle:{' '}
          {offsets.map((offset, index) => (
            <span key={offset}>
              {index > 0 && ', '}
              {offset > 1e-6 ? '± ' : ''}
              <LengthText
                value={offset}
                habit={habit}
                bare
                inchesOnly
                decimals={habit === 'metric' && Math.abs(offset * 1000 - Math.round(offset * 1000)) > 0.2 ? 1 : 0}
              />
            </span>
          ))}
        </Text>
      )}
      <Text color="soft" fontSize={notes}>
        edges <LengthText value={reach.least} habit={habit} decimals={1} fraction={64} />
        {reach.most > reach.least ? (
          <>
            {' '}
            and <LengthText value={reach.most} habit={habit} decimals={1} fraction={64} /> from each centre, the longer
            outward
          </>
        ) : (
          ' to either side of each centre'
        )}
      </Text>
      <Text color="soft" fontSize={notes}>
        pilot <LengthText value={holes.pilot} habit={habit} fraction={64} />, then{' '}
        <LengthText value={holes.diameter} habit={habit} decimals={1} fraction={64} /> {holes.where}
        {holes.slot !== undefined && (
          <>
            , drawn out into a slot by <LengthText value={holes.slot} habit={habit} decimals={1} fraction={64} />{' '}
            outward
          </>
        )}
        {holes.across && (
          <>
            ,{' '}
            {[holes.across.distance, ...(holes.across.more ?? [])].map((distance, index) => (
              <span key={distance}>
                {index > 0 && ', '}
                <LengthText value={distance} habit={habit} />
              </span>
            ))}{' '}
            from the {holes.across.from}
          </>
        )}
      </Text>
    </Box>
  );
}

/** A row of holes told from the others of its piece. */
export function holesKey({ datum, positions, across, diameter }: HoleSchedule): string {
  return [datum, positions[0], across?.from, across?.distance, diameter].join(' ');
}

/** m from the middle of a row, each once, ascending. */
function fromMiddle(positions: readonly number[], middle: number): number[] {
  const offsets = positions.map((position) => Math.round(Math.abs(position - middle) * 1e5) / 1e5);
  return [...new Set(offsets)].sort((a, b) => a - b);
}
