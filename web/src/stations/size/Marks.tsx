import { Text } from '@chakra-ui/react';
import type { MarkWorth } from '@north-pane/core/figures';
import { formatLength, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { ink } from '../../theme/ink';

/** Which dimension gains most by a mark of the tape, and whether it is worth one. */
export function Marks(props: { marks: readonly MarkWorth[]; habit: Habit; onChoose(id: string): void }) {
  const { marks, habit, onChoose } = props;
  return marks.length === 0 ? (
    <Text fontSize="14px" color="soft">
      No mark more or less on any dimension gains anything.
    </Text>
  ) : (
    <MarkRows marks={marks} habit={habit} onChoose={onChoose} />
  );
}

function MarkRows({
  marks,
  habit,
  onChoose,
}: {
  marks: readonly MarkWorth[];
  habit: Habit;
  onChoose(id: string): void;
}) {
  return (
    <ul style={{ listStyle: 'none', fontSize: 14 }}>
      {marks.map(({ id, label, value, next, perMark, inAll, last, worth }) => (
        <li key={id} style={{ borderBottom: `1px solid ${ink('line')}` }}>
          <button
            type="button"
            className="plain-target"
            onClick={() => onChoose(id)}
            style={{ display: 'block', width: '100%', textAlign: 'left', padding: '4px 0', cursor: 'pointer' }}
          >
            <span style={{ display: 'flex', justifyContent: 'space-between', gap: 8 }}>
              <span style={{ fontWeight: 600 }}>{label}</span>
              <span>
                a mark {next > value ? 'more' : 'less'}: {watts(perMark, habit)}
              </span>
            </span>
            <span style={{ color: ink('soft') }}>
              {worth
                ? `All the way to ${formatLength(last, habit).text}: ${watts(inAll, habit)}, more than the band leaves open.`
                : `Not worth a mark: even at ${formatLength(last, habit).text} it gains ${watts(inAll, habit)}, and drowns in the band.`}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function watts(value: number, habit: Habit): string {
  return `+${formatQuantity('power', value, habit, value < 10 && habit === 'metric' ? 1 : 0).text}`;
}
