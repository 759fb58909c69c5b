import { Box, Flex, Text } from '@chakra-ui/react';
import type { StationMark } from '@north-pane/core/stations';
import type { CSSProperties } from 'react';
import { Link } from 'react-router';
import { Boundary } from '../parts/Boundary';
import { unseen } from '../parts/unseen';
import { useDocument } from '../state/job';
import { useMarks } from './marks';
import { stations } from './stations';

const words: Record<StationMark['state'], string> = {
  untouched: 'not begun',
  'under way': 'under way',
  settled: 'settled',
  matters: 'to look at',
};

/** The stations in job order, each with its state. On a phone it lies along the bottom. */
export function Rail(props: { current: string; jobId: string }) {
  const document = useDocument();
  return (
    <Boundary of={document} fallback={() => <Stops {...props} marks={{}} />}>
      <MarkedStops {...props} />
    </Boundary>
  );
}

function MarkedStops(props: { current: string; jobId: string }) {
  return <Stops {...props} marks={useMarks()} />;
}

function Stops({
  current,
  jobId,
  marks,
}: {
  current: string;
  jobId: string;
  marks: Partial<Record<string, StationMark>>;
}) {
  return (
    <Box
      as="nav"
      aria-label="Stations"
      className="rail"
      css={rail}
      bg="well"
      borderColor="line"
      borderRightWidth={{ base: '0', md: '1px' }}
      borderTopWidth={{ base: '1px', md: '0' }}
      w={{ base: '100%', md: '92px' }}
      flexShrink={0}
    >
      {stations.map(({ id, number, name }) => {
        const mark = marks[id];
        return (
          <Stop
            key={id}
            to={`/jobs/${jobId}/${id}`}
            number={number}
            name={name}
            here={id === current}
            state={mark?.state ?? 'untouched'}
            count={mark?.count}
          />
        );
      })}
    </Box>
  );
}

/**
 * Beside the station on a wide screen. On a phone along its foot: eight places in two rows of four, each at that of its number, so that a
 * station that is built later moves no other; in a low window one row of numbers.
 */
const rail = {
  display: 'flex',
  flexDirection: 'column',
  overflow: 'hidden',
  // Each of a window's own: which of two comes last in the sheet is not said.
  '@media (max-width: 39.99em) and (min-height: 480.01px)': {
    display: 'grid',
    gridTemplateColumns: 'repeat(4, minmax(0, 1fr))',
    '& > a': { gridColumn: 'var(--in-four)', gridRow: 'var(--row)' },
  },
  '@media (min-width: 40em) and (max-width: 47.99em), (max-height: 480px) and (max-width: 39.99em)': {
    display: 'grid',
    gridTemplateColumns: 'repeat(8, minmax(0, 1fr))',
    '& > a': { gridColumn: 'var(--number)', gridRow: '1' },
  },
  '@media (max-height: 480px) and (max-width: 39.99em)': { '& .rail-name': unseen },
} as const;

/** Where a station stands in the rail of a phone, by its number. */
function placeOf(number: number): CSSProperties {
  const places = { '--number': number, '--in-four': ((number - 1) % 4) + 1, '--row': Math.ceil(number / 4) };
  return { flex: '0 1 64px', minHeight: 44, position: 'relative', ...places } as CSSProperties;
}

interface StopProps {
  to: string;
  number: number;
  name: string;
  here: boolean;
  state: StationMark['state'];
  count: number | undefined;
}

/** One station on the rail, drawn again only when its state changes. */
function Stop({ to, number, name, here, state, count }: StopProps) {
  return (
    <Link
      to={to}
      aria-current={here ? 'page' : undefined}
      aria-label={`${number} ${name}, ${count ? `${count} ` : ''}${words[state]}`}
      style={placeOf(number)}
    >
      <Flex
        h="100%"
        minH="46px"
        px={{ base: '2', md: '3' }}
        align="center"
        justify={{ base: 'center', md: 'space-between' }}
        gap="1"
        bg={here ? 'ground' : 'transparent'}
        boxShadow={here ? { base: 'inset 0 3px 0 {colors.copper}', md: 'inset 4px 0 0 {colors.copper}' } : 'none'}
        _hover={{ bg: 'ground' }}
      >
        <Box flex="1">
          <Flex justify="space-between" align="center" gap="1">
            <Text fontSize="12px" color="soft" lineHeight="1.1">
              {number}
            </Text>
            <Sign mark={{ state, count }} />
          </Flex>
          <Text
            className="rail-name"
            fontFamily="heading"
            fontWeight="600"
            fontSize="15px"
            lineHeight="1.3"
            color={here ? 'ink' : 'soft'}
          >
            {name}
          </Text>
        </Box>
      </Flex>
    </Link>
  );
}

/** Empty, half and full round; a triangle with a number where something is to be looked at. */
function Sign({ mark }: { mark: StationMark }) {
  if (mark.state === 'matters')
    return (
      <Text as="span" color="ochreText" fontSize="12px" fontWeight="600" aria-hidden whiteSpace="nowrap">
        ▲{mark.count}
      </Text>
    );
  const fill = { untouched: 'none', 'under way': 'url(#half)', settled: 'currentColor' }[mark.state];
  return (
    <Box as="span" color="pane" flexShrink={0} aria-hidden>
      <svg width="10" height="10" viewBox="0 0 10 10" role="presentation">
        <circle cx="5" cy="5" r="4.2" fill={fill === 'url(#half)' ? 'none' : fill} stroke="currentColor" />
        {fill === 'url(#half)' && <path d="M5 .8a4.2 4.2 0 0 0 0 8.4z" fill="currentColor" />}
      </svg>
    </Box>
  );
}
