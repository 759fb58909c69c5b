import { Text } from '@chakra-ui/react';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import { type Section, sayMeasured } from '@north-pane/core/readout';
import { ink } from '../../theme/ink';

/** Choices of one field of the heater, each with what it comes to; a touch takes one. */
export function Choices(props: {
  section: Extract<Section, { kind: 'choices' }>;
  habit: Habit;
  onChoose(value: string | number): void;
}) {
  const { section, habit, onChoose } = props;
  return (
    <>
      {section.lead && (
        <Text fontSize="14px" mb="2">
          {sayWords(section.lead, habit)}
        </Text>
      )}
      <ul style={{ listStyle: 'none' }}>
        {section.choices.map(({ set, name, value, chosen, advised }) => (
          <li key={set} style={{ borderBottom: `1px solid ${ink('line')}` }}>
            <button
              type="button"
              className="plain-target"
              aria-pressed={chosen}
              onClick={() => onChoose(set)}
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
                {typeof name === 'string' ? name : sayMeasured(name, habit)}
                {advised ? `: ${advised}` : ''}
              </span>
              <span style={{ whiteSpace: 'nowrap' }}>{sayMeasured(value, habit)}</span>
            </button>
          </li>
        ))}
      </ul>
      {section.tail && (
        <Text fontSize="14px" mt="2">
          {sayWords(section.tail, habit)}
        </Text>
      )}
    </>
  );
}
