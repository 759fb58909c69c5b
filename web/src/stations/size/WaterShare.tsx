import { Text } from '@chakra-ui/react';
import type { WaterCheck } from '@north-pane/core/figures';
import { formatNumber, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { ink } from '../../theme/ink';

/** How the risers share the water, which header would share it better, and what a blocked riser does. */
export function WaterShare(props: { water: WaterCheck; habit: Habit; onHeader(id: string): void }) {
  const { water, habit, onHeader } = props;
  const { unevenness, spread, cost, areaRatio, headers, blocked } = water;
  const difference = (value: number) => formatQuantity('temperatureDifference', value, habit).text;
  return (
    <>
      <Text fontSize="14px" mb="2">
        The fullest riser carries {formatNumber(unevenness, 2)} times the leanest; their water comes out{' '}
        {difference(spread)} apart. That costs {percent(cost)} of the gain. The rule of thumb (header as wide as all
        risers together, {formatNumber(areaRatio, 2)} here against 1) asks for more than it gives back.
      </Text>
      <ul style={{ listStyle: 'none' }}>
        {headers.map(({ id, name, unevenness: most, chosen, advised }) => (
          <li key={id} style={{ borderBottom: `1px solid ${ink('line')}` }}>
            <button
              type="button"
              className="plain-target"
              aria-pressed={chosen}
              onClick={() => onHeader(id)}
              style={{
                display: 'flex',
                justifyContent: 'space-between',
                width: '100%',
                padding: '3px 6px',
                cursor: 'pointer',
                fontSize: 14,
                fontWeight: chosen ? 600 : 400,
                background: chosen ? ink('tape') : undefined,
                color: chosen ? ink('tapeInk') : undefined,
              }}
            >
              <span>
                {name}
                {advised ? ': even enough' : ''}
              </span>
              <span style={{ whiteSpace: 'nowrap' }}>1 : {formatNumber(most, 2)}</span>
            </button>
          </li>
        ))}
      </ul>
      <Text fontSize="14px" mt="2">
        A riser blocked in the middle costs {percent(blocked.cost)} of the gain, and its strip stands at{' '}
        {formatQuantity('temperature', blocked.plate, habit, 0).text}. Find it with a touch probe on a stick: never with
        a hand, it burns.
      </Text>
    </>
  );
}

function percent(share: number): string {
  return share < 0.001 ? 'less than 0.1 %' : `${formatNumber(100 * share, share < 0.02 ? 1 : 0)} %`;
}
