import { Flex, Text } from '@chakra-ui/react';
import { hottestStart } from '@north-pane/core/catalogue';
import type { Job } from '@north-pane/core/document';
import { formatQuantity, type Habit } from '@north-pane/core/quantity';
import { memo } from 'react';
import { Choice } from '../../parts/Choice';
import { uses } from '../../parts/need/uses';
import { TickBox } from '../../parts/TickBox';
import { useJob } from '../../state/job';

type Loop = Job['loop'];
type Need = Job['need'];

const kinds: { value: Loop['kind']; words: string }[] = [
  { value: 'drain-back', words: 'drains back when the pump stops' },
  { value: 'pumped-direct', words: 'pumped, the store’s own water' },
  { value: 'pumped-coil', words: 'pumped, through a coil in the store' },
  { value: 'thermosiphon', words: 'by itself, the store above' },
  { value: 'bath', words: 'one bath sent round until it is hot' },
  { value: 'fill-and-wait', words: 'filled, left in the sun, and drawn off' },
  { value: 'preheat', words: 'mains through it, on to the heater that stands' },
];

/** What is so of place and loop, and what is planned for safety: each a field of its own. */
const ticks: { path: string; words: string | ((habit: Habit) => string) }[] = [
  { path: 'need.frost', words: 'it freezes here' },
  { path: 'need.drinking', words: 'the water is drunk' },
  { path: 'loop.pressurised', words: 'under mains pressure' },
  { path: 'loop.relief', words: 'new relief valve planned' },
  { path: 'loop.expansion', words: 'expansion vessel planned' },
  { path: 'loop.mixing', words: 'mixing valve at the taps planned' },
  { path: 'loop.coil', words: 'what is used is heated in a coil' },
  { path: 'loop.backflow', words: 'double wall and backflow preventer planned' },
  {
    path: 'loop.cutout',
    words: (habit) => `pump never starts above ${formatQuantity('temperature', hottestStart, habit, 0).text}`,
  },
  { path: 'loop.check', words: 'check valve against the night planned' },
  { path: 'loop.hotSensor', words: 'platinum sensor on silicone cable planned' },
];

function ticked(need: Need, loop: Loop, path: string): boolean {
  const [room, field = ''] = path.split('.');
  return Boolean((room === 'need' ? need : loop)[field as keyof typeof loop & keyof typeof need]);
}

/** What the water is for, how it goes round, and what is planned so that nobody is hurt. The dangers stand under To look at. */
export const LoopSafety = memo(function LoopSafety(props: { need: Need; loop: Loop; habit: Habit }) {
  const { need, loop, habit } = props;
  const change = useJob((state) => state.change);
  return (
    <Flex direction="column" gap="3">
      <Choice label="Water for" value={need.kind} choices={uses} onValue={(kind) => change('need.kind', kind)} />
      <Choice label="Goes round" value={loop.kind} choices={kinds} onValue={(kind) => change('loop.kind', kind)} />
      {ticks.map(({ path, words: said }) => {
        const words = typeof said === 'string' ? said : said(habit);
        const on = ticked(need, loop, path);
        return (
          <Flex key={path} gap="2" align="center">
            <TickBox ticked={on} label={words} onTick={() => change(path, !on)} />
            <Text fontSize="14px">{words}</Text>
          </Flex>
        );
      })}
    </Flex>
  );
});
