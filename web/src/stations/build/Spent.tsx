import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { formatMoney, formatNumber, parseNumber } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { type FormEvent, useId, useState } from 'react';
import { Section } from '../../parts/Section';
import { TextButton } from '../../parts/TextButton';
import { record, useDocument, useJob } from '../../state/job';

/** Money spent and hours worked on the build, as they were noted; each can be taken back. */
export function Spent() {
  const { currency } = useDocument();
  const { spent, worked } = useJob((state) => state.shop);
  const money = spent.reduce((sum, one) => sum + one.money, 0);
  const hours = worked.reduce((sum, one) => sum + one.hours, 0);
  const rows = [
    ...spent.map(({ money: one, ...row }) => ({ ...row, words: formatMoney(one, currency, 2) })),
    ...worked.map(({ hours: one, ...row }) => ({ ...row, words: `${formatNumber(one, 2)} h` })),
  ].sort((a, b) => (a.at < b.at ? 1 : -1));
  return (
    <Section
      title="Money and hours"
      aside={rows.length === 0 ? undefined : `${formatMoney(money, currency, 2)}, ${formatNumber(hours, 1)} h`}
    >
      <NoteForm currency={currency} />
      {rows.map(({ id, at, note, words }) => (
        <Flex key={id} gap="3" py="1" align="baseline" borderBottomWidth="1px" borderColor="line">
          <Text color="soft" fontSize="14px" whiteSpace="nowrap">
            {format(new Date(at), 'd MMM')}
          </Text>
          <Text flex="1" overflowWrap="anywhere">
            {note}
          </Text>
          <Text whiteSpace="nowrap">{words}</Text>
          <TextButton
            fontSize="14px"
            aria-label={`Take back: ${note}`}
            onClick={() => record([{ kind: 'taken-back', event: id }])}
          >
            take back
          </TextButton>
        </Flex>
      ))}
    </Section>
  );
}

/** What for, and money or hours or both. */
function NoteForm({ currency }: { currency: string }) {
  const id = useId();
  const empty = { note: '', money: '', hours: '' };
  const [typed, setTyped] = useState(empty);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const note = typed.note.trim();
    const money = typed.money.trim() === '' ? undefined : parseNumber(typed.money);
    const hours = typed.hours.trim() === '' ? undefined : parseNumber(typed.hours);
    if (note === '') return setTrouble('Say what for.');
    if (!money && !hours) return setTrouble('Type money, hours or both.');
    if ((money && !money.ok) || (hours && !hours.ok)) return setTrouble('Money and hours are numbers.');
    if (
      (money?.ok && !(money.value > 0 && money.value <= 1e6)) ||
      (hours?.ok && !(hours.value > 0 && hours.value <= 1000))
    )
      return setTrouble('Above 0; at most 1 000 hours at a time.');
    record([
      ...(money?.ok ? [{ kind: 'spent' as const, money: money.value, note }] : []),
      ...(hours?.ok ? [{ kind: 'worked' as const, hours: hours.value, note }] : []),
    ]);
    setTyped(empty);
    setTrouble(undefined);
  };
  const field = (name: keyof typeof empty, label: string, width: string) => (
    <Box flex={width === '' ? '1 1 140px' : undefined} w={width === '' ? undefined : width}>
      <label htmlFor={`${id}${name}`}>
        <Text as="span" fontSize="14px" color="soft">
          {label}
        </Text>
      </label>
      <Input
        id={`${id}${name}`}
        size="sm"
        bg="card"
        borderColor="edge"
        autoComplete="off"
        maxLength={name === 'note' ? 200 : 12}
        value={typed[name]}
        aria-describedby={trouble ? `${id}trouble` : undefined}
        onChange={(event) => setTyped({ ...typed, [name]: event.currentTarget.value })}
      />
    </Box>
  );
  return (
    <form onSubmit={submit} noValidate>
      <Flex gap="2" align="end" wrap="wrap" mb="2">
        {field('note', 'What for', '')}
        {field('money', `Money, ${currency}`, '84px')}
        {field('hours', 'Hours', '64px')}
        <Button type="submit" size="sm" variant="outline">
          Note it
        </Button>
      </Flex>
      {trouble && (
        <Text id={`${id}trouble`} role="alert" fontSize="14px" color="brickText" mb="2">
          {trouble}
        </Text>
      )}
    </form>
  );
}
