import { Flex, Text } from '@chakra-ui/react';
import { fieldAt, pathSteps, valueAtPath } from '@north-pane/core/document';
import { type FieldMeta, writtenFactor } from '@north-pane/core/field';
import { useHabit } from '../state/habit';
import { jobActions, jobNow, useJob } from '../state/job';
import { Choice } from './Choice';
import { ChooseAt } from './Choose';
import { Entry } from './Entry';
import { Stepper } from './Stepper';
import { TextEntry } from './TextEntry';
import { TickBox } from './TickBox';

interface FieldAtProps {
  /** Where it is, dotted. */
  path: string;
  /** Besides those of the field: what stands for a value that is left out. */
  absent?: string;
  /** The number that a value left out stands for. */
  without?: number;
  /** In place of setting it alone; a message says why it was not taken. */
  onValue?(value: unknown): string | undefined;
  /** In place of the field's own, where the heading above says the rest. */
  label?: string;
}

/** Sets a field; why it was not taken. */
function setAt(path: string, value: unknown): string | undefined {
  const outcome = jobActions().change(path, value);
  return outcome.ok ? undefined : outcome.message;
}

/** A field of the document, as it is declared: its label, its unit, its choices. A station says where it stands, and nothing more. */
export function FieldAt({ path, absent, without, onValue, label }: FieldAtProps) {
  const steps = pathSteps(path);
  const value = useJob(({ document }) => document && valueAtPath(document, steps));
  const meta = fieldAt(jobNow(), steps);
  if (!meta) throw new RangeError(`no field of the document is at ${path}`);
  return (
    <div>
      <Editor
        meta={label === undefined ? meta : { ...meta, label }}
        value={value ?? without}
        absent={absent}
        onValue={onValue ?? ((next) => setAt(path, next))}
      />
      <ChooseAt path={steps} />
    </div>
  );
}

function Editor({
  meta,
  value,
  absent,
  onValue,
}: {
  meta: FieldMeta;
  value: unknown;
  absent: string | undefined;
  onValue(value: unknown): string | undefined;
}) {
  const habit = useHabit();
  const { label, meaning, kind, quantity, digits, percent, choices = [] } = meta;
  switch (kind) {
    case 'flag':
      return (
        <Flex gap="2" align="center">
          <TickBox ticked={value === true} label={label} onTick={() => onValue(value !== true)} />
          <Text fontSize="14px" lineHeight="1.2">
            {label}
          </Text>
        </Flex>
      );
    case 'choice':
    case 'entry':
      return (
        <Choice
          label={label}
          hint={meaning}
          value={typeof value === 'string' ? value : ''}
          choices={absent === undefined ? choices : [{ value: '', words: absent }, ...choices]}
          onValue={(next) => onValue(next === '' ? undefined : next)}
        />
      );
    case 'count':
      return (
        <Stepper label={label} value={Number(value)} low={meta.low ?? 0} high={meta.high ?? 99} onValue={onValue} />
      );
    case 'text':
      return (
        <TextEntry
          label={label}
          value={String(value ?? '')}
          maxLength={120}
          onText={(text) => {
            const message = onValue(text.trim());
            return message === undefined ? { ok: true } : { ok: false, message };
          }}
        />
      );
    case 'part':
      throw new RangeError(`${label} is no single value: it has an editor of its own`);
    default: {
      const factor = writtenFactor(meta);
      return (
        <Entry
          label={label}
          value={typeof value === 'number' ? value * factor : undefined}
          kind={kind === 'quantity' ? (quantity ?? 'number') : kind === 'number' ? 'number' : kind}
          {...(digits === undefined ? {} : { digits })}
          {...(percent ? { unitAfter: '%' } : {})}
          habit={habit}
          onValue={(next) => onValue(next / factor)}
        />
      );
    }
  }
}
