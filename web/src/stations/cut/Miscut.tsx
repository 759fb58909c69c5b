import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type CutMiss, cutMiscut, cutMiss, isSlip, type MissFit } from '@north-pane/core/cutting';
import { formatLength, formatMoney, formatQuantity, type Habit, sayWords } from '@north-pane/core/quantity';
import type { Part } from '@north-pane/core/shop';
import { useState } from 'react';
import { Entry } from '../../parts/Entry';
import { useDerived } from '../../state/derived';
import { carryOut, inShopNow, useDocument, useJob } from '../../state/job';
import { useProvedPlan } from '../../state/proofs';

type Piece = Part & { kind: 'length' };

/** “I cut it at …”: what a piece of another length than wanted means for the rest, and the ways on. */
export function Miscut({ part, habit }: { part: Piece; habit: Habit }) {
  const [asking, setAsking] = useState(false);
  if (asking) return <CutAt part={part} habit={habit} onClose={() => setAsking(false)} />;
  return (
    <Button
      size="xs"
      variant="outline"
      aria-label={`I cut it at: ${part.name.toLowerCase()}`}
      onClick={() => setAsking(true)}
    >
      I cut it at…
    </Button>
  );
}

function CutAt({ part, habit, onClose }: { part: Piece; habit: Habit; onClose(): void }) {
  const [cut, setCut] = useState<number | undefined>(undefined);
  const { open } = useDerived();
  const miss = cut === undefined ? undefined : cutMiss(open, part.id, cut);
  const take = (value: number): string | undefined => {
    if (isSlip(part.length, value))
      return `That is far from ${formatLength(part.length, habit).text}: look at the tape again.`;
    setCut(value);
    return undefined;
  };
  return (
    <Box w="100%" bg="well" p="3" borderRadius="3px">
      <Flex align="end" gap="2">
        <Entry
          label={`${part.name}: I cut it at`}
          value={cut ?? part.length}
          kind="length"
          habit={habit}
          autoFocus
          onValue={take}
        />
        <Button size="sm" variant="outline" aria-label={`Close: ${part.name.toLowerCase()}`} onClick={onClose}>
          Close
        </Button>
      </Flex>
      {miss && <Meaning miss={miss} item={part.item} habit={habit} />}
    </Box>
  );
}

function Meaning({ miss, item, habit }: { miss: CutMiss; item: string; habit: Habit }) {
  const document = useDocument();
  const { currency } = document;
  const plan = useProvedPlan();
  const lock = () => {
    const material = plan.materials.find((one) => one.item === item);
    if (material?.kind === 'length') carryOut(cutMiscut(inShopNow(), material, miss.part, miss.cut));
  };
  const size = (metres: number) => formatLength(metres, habit).text;
  if (miss.kind === 'good') return <Text mt="2">Within half a mark of the tape: it is good.</Text>;
  if (miss.kind === 'slack') return <Text mt="2">Good enough: {miss.slack}.</Text>;
  if (miss.kind === 'long')
    return <Text mt="2">{size(miss.cut - miss.wanted)} too long: trim it. Nothing else changes.</Text>;
  const { recut, fits } = miss;
  return (
    <Box mt="2" fontSize="15px">
      <Text fontWeight="600">{size(miss.wanted - miss.cut)} too short.</Text>
      {recut && (
        <Text mt="1">
          Cut one more:{' '}
          {recut.cost > 0.005 ? `${formatMoney(recut.cost, currency, 2)} more to buy` : 'nothing more to buy'}
          {recut.serves ? `, and this one serves for: ${recut.serves.toLowerCase()}` : ''}.
        </Text>
      )}
      <Button size="xs" variant="outline" mt="1" onClick={lock}>
        Lock its bar as cut, and plan one more
      </Button>
      {fits.length > 0 && (
        <Text mt="2" color="soft">
          Or cut all of them like it:
        </Text>
      )}
      {fits.map((fit) => (
        <Fit key={fit.path} fit={fit} habit={habit} currency={currency} />
      ))}
      {fits.length === 0 && <Text color="soft">No size of the design makes it right.</Text>}
    </Box>
  );
}

function Fit({ fit, habit, currency }: { fit: MissFit; habit: Habit; currency: string }) {
  const change = useJob((state) => state.change);
  const size = (metres: number) => formatLength(metres, habit, { decimals: 1 }).text;
  const spoiled = fit.others.filter(({ made }) => made > 0);
  const watts = formatQuantity('power', Math.abs(fit.heat), habit, 0).text;
  return (
    <Box borderTopWidth="1px" borderColor="line" py="2">
      <Text>
        {fit.label} {size(fit.from)} → {size(fit.to)}:{' '}
        {Math.abs(fit.heat) < 0.5 ? 'the heat stays' : `${fit.heat < 0 ? 'loses' : 'gains'} ${watts}`}
        {Math.abs(fit.cost) >= 0.5
          ? `, ${formatMoney(Math.abs(fit.cost), currency, 0)} ${fit.cost > 0 ? 'more' : 'less'}`
          : ''}
        .
      </Text>
      {fit.others.length + fit.bought.length > 0 && (
        <Text color="soft">
          Changes too:{' '}
          {[...fit.others, ...fit.bought]
            .map(({ name, words }) => sayWords(`${name.toLowerCase()}: ${words}`, habit))
            .join('; ')}
          {spoiled.length > 0
            ? `; made already: ${spoiled.map(({ name, made }) => `${made} × ${name.toLowerCase()}`).join(', ')}`
            : ''}
          .
        </Text>
      )}
      {fit.findings.length > 0 && (
        <Text color="ochreText">Brings {fit.findings.length} matter to look at on the bench.</Text>
      )}
      <Button size="xs" variant="outline" mt="1" onClick={() => change(fit.path, fit.value)}>
        Draw it so
      </Button>
    </Box>
  );
}
