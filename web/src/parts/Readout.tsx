import { Box, Flex, Text } from '@chakra-ui/react';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import { type Derivation, sayMeasured } from '@north-pane/core/readout';
import type { CSSProperties } from 'react';
import { ink } from '../theme/ink';

interface ReadoutProps {
  label: string;
  value: string;
  /** Of a panel as drawn and well made. */
  band?: string | undefined;
  /** Of a typical home-made one; shown with the derivation. */
  homeMade?: string | undefined;
  /** Its derivation, when it is shown. */
  derivation?: Derivation | undefined;
  habit: Habit;
  onOpen(label: string): void;
}

const row: CSSProperties = {
  display: 'flex',
  width: '100%',
  justifyContent: 'space-between',
  alignItems: 'baseline',
  gap: 8,
  padding: '4px 0',
  cursor: 'pointer',
  textAlign: 'left',
};
const figure: CSSProperties = {
  fontFamily: 'var(--np-fonts-heading)',
  fontWeight: 600,
  fontSize: 17,
  whiteSpace: 'nowrap',
};
const bandStyle: CSSProperties = { fontSize: 14, fontWeight: 500, color: ink('soft') };

/**
 * A figure with its name; opens to its derivation. Drawn again only when what it shows changes, and of plain elements: eight
 * of these move at every step of the tape, and each styled component costs a fifth of a millisecond.
 */
export function Readout({ label, value, band, homeMade, derivation, habit, onOpen }: ReadoutProps) {
  const open = derivation !== undefined;
  return (
    <div style={{ borderBottom: `1px solid ${ink('line')}` }}>
      <button type="button" className="plain-target" aria-expanded={open} onClick={() => onOpen(label)} style={row}>
        <span>{sayWords(label, habit)}</span>
        <span style={figure}>
          {value}
          {band && <span style={bandStyle}> {band}</span>}
        </span>
      </button>
      {derivation && (
        <Box pb="2" pl="3" borderLeftWidth="3px" borderColor="pane" mb="2" fontSize="14px">
          <Text fontWeight="600">{derivation.name}</Text>
          <Text mb="1">{derivation.formula}</Text>
          {derivation.inputs.map((input) => (
            <InputRow key={input.label} label={input.label} text={sayMeasured(input, habit)} />
          ))}
          {band && <InputRow label="nine in ten, as drawn and well made" text={band} />}
          {homeMade && <InputRow label="nine in ten, typical home-made" text={homeMade} />}
          <Text color="soft" fontSize="13px" mt="1">
            {derivation.source}
          </Text>
        </Box>
      )}
    </div>
  );
}

function InputRow({ label, text }: { label: string; text: string }) {
  return (
    <Flex justify="space-between" gap="3">
      <Text color="soft">{label}</Text>
      <Text whiteSpace="nowrap">{text}</Text>
    </Flex>
  );
}
