import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { jobSteps, sayStep } from '@north-pane/core/building';
import { answerFor } from '@north-pane/core/shoplog';
import type { Step } from '@north-pane/core/steps';
import { TriangleAlert } from 'lucide-react';
import { type RefObject, useRef } from 'react';
import * as z from 'zod';
import { Matters } from '../../parts/Matters';
import { Section } from '../../parts/Section';
import { TickBox } from '../../parts/TickBox';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { record } from '../../state/job';
import { useRemembered } from '../../state/remembered';
import { Spent } from './Spent';
import { waitWords } from './wait';

/** What comes next, as a large card, and the run of steps that it stands in. */
export default function Build() {
  const { open, parts, findings } = useDerived();
  const habit = useHabit();
  const { steps: ticked, acknowledged } = open.state;
  // Dangers that stop the work are read before anything else, until somebody has answered for them.
  const stops = findings.filter((finding) => finding.severity === 'stop' && !answerFor(acknowledged, finding));
  const [chosen, setChosen] = useRemembered('step', z.string().optional(), undefined);
  const card = useRef<HTMLElement>(null);
  const steps = jobSteps(open).map((step) => sayStep(step, habit));
  const done = (step: Step) => ticked[step.id] === true;
  const next = steps.find((step) => !done(step));
  const shown = steps.find(({ id }) => id === chosen) ?? next ?? steps[steps.length - 1];
  const names = new Map(parts.map(({ id, name, count }) => [id, count > 1 ? `${name} × ${count}` : name]));
  const missing = shown?.after.flatMap((id) => steps.filter((step) => step.id === id && !done(step))) ?? [];
  return (
    <Flex direction={{ base: 'column', lg: 'row' }} minH="100%">
      <Box flex="1" minW="0" p="5">
        {stops.length > 0 && <Matters findings={stops} habit={habit} />}
        {shown && (
          <StepCard
            key={shown.id}
            step={shown}
            place={`${steps.indexOf(shown) + 1} of ${steps.length}`}
            ticked={done(shown)}
            missing={missing.map(({ name }) => name)}
            partNames={shown.parts.flatMap((id) => names.get(id) ?? [])}
            onDone={() => {
              setChosen(undefined);
              // The card of the next step comes in the place of this one: its reader goes on with it.
              window.requestAnimationFrame(() => card.current?.focus());
            }}
            cardRef={card}
          />
        )}
      </Box>
      <Box w={{ base: '100%', lg: '390px' }} flexShrink={0} p="5" pl={{ base: '5', lg: '0' }}>
        <Section title="The run of steps" aside={`${steps.filter(done).length} of ${steps.length} done`}>
          <Box as="ol" listStyleType="none">
            {steps.map((step) => (
              <RunLine
                key={step.id}
                step={step}
                ticked={done(step)}
                chosen={step === shown}
                onChoose={() => setChosen(step.id)}
              />
            ))}
          </Box>
        </Section>
        <Spent />
      </Box>
      <PaperSteps steps={steps.filter((step) => step !== shown)} done={done} />
    </Flex>
  );
}

/** On paper every step stands in full, and not only the one at hand. */
function PaperSteps({ steps, done }: { steps: readonly Step[]; done(step: Step): boolean }) {
  return (
    <div className="on-paper" data-testid="paper-steps" aria-hidden>
      {steps.map((step) => (
        <div key={step.id} className="keep-together">
          <h2 style={{ fontWeight: 600, marginTop: '4mm' }}>
            {done(step) ? '☑' : '☐'} {step.name}
          </h2>
          {step.beware.map((words) => (
            <p key={words} style={{ fontWeight: 600 }}>
              Beware: {words}
            </p>
          ))}
          <ol style={{ paddingLeft: '6mm', listStyleType: 'decimal' }}>
            {step.does.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ol>
          {step.checks.length > 0 && <p>Good when: {step.checks.map(({ words }) => words).join('; ')}.</p>}
          {step.needs.length > 0 && <p>At hand: {step.needs.join(', ')}.</p>}
          {step.waits !== undefined && <p>Then {waitWords(step.waits)} to wait.</p>}
        </div>
      ))}
    </div>
  );
}

/** Ticks a step, or takes the tick off. */
function useTick(step: Step, ticked: boolean): () => void {
  return () => record([{ kind: 'step', step: step.id, done: !ticked }]);
}

function RunLine(props: { step: Step; ticked: boolean; chosen: boolean; onChoose(): void }) {
  const { step, ticked, chosen, onChoose } = props;
  const tick = useTick(step, ticked);
  return (
    <Flex as="li" align="center" gap="3" py="1.5" borderBottomWidth="1px" borderColor="line">
      <TickBox ticked={ticked} label={`Done: ${step.name}`} onTick={tick} />
      <Box
        as="button"
        flex="1"
        minH={{ base: '44px', md: '28px' }}
        textAlign="left"
        cursor="pointer"
        fontWeight={chosen ? 600 : 400}
        color={ticked && !chosen ? 'soft' : 'ink'}
        aria-current={chosen ? 'step' : undefined}
        onClick={onChoose}
      >
        {step.name}
        {step.waits !== undefined && (
          <Text as="span" color="soft" fontSize="14px">
            {' '}
            then {waitWords(step.waits)} to wait
          </Text>
        )}
      </Box>
    </Flex>
  );
}

interface StepCardProps {
  step: Step;
  place: string;
  ticked: boolean;
  /** Names of steps that must come first and are not ticked. */
  missing: readonly string[];
  partNames: readonly string[];
  onDone(): void;
  cardRef: RefObject<HTMLElement | null>;
}

/** One step at arm's length: beware, do, check, needs. */
function StepCard({ step, place, ticked, missing, partNames, onDone, cardRef }: StepCardProps) {
  const tick = useTick(step, ticked);
  return (
    <Box
      as="article"
      ref={cardRef}
      tabIndex={-1}
      aria-label={step.name}
      bg="card"
      borderWidth="1px"
      borderColor="line"
      borderRadius="3px"
      p="5"
    >
      <Flex justify="space-between" align="baseline" gap="3">
        <Text as="h2" fontFamily="heading" fontWeight="600" fontSize={{ base: '28px', md: '32px' }} lineHeight="1.2">
          {step.name}
        </Text>
        <Text color="soft" whiteSpace="nowrap">
          {place}
        </Text>
      </Flex>
      {missing.length > 0 && !ticked && (
        <Text color="ochreText" mt="1">
          Not yet done before it: {missing.join(', ').toLowerCase()}.
        </Text>
      )}
      {step.beware.map((words) => (
        <Flex key={words} gap="3" mt="3" p="3" bg="well" borderLeftWidth="5px" borderColor="ochre" fontSize="18px">
          <Box pt="1" color="ochreText" flexShrink={0}>
            <TriangleAlert size={20} aria-label="Beware" />
          </Box>
          <span>{words}</span>
        </Flex>
      ))}
      <Box as="ol" mt="4" pl="6" listStyleType="decimal" fontSize={{ base: '20px', md: '19px' }} lineHeight="1.45">
        {step.does.map((words) => (
          <li key={words} style={{ marginBottom: 6 }}>
            {words}
          </li>
        ))}
      </Box>
      {step.checks.length > 0 && (
        <Box mt="4">
          <Text as="h3" fontFamily="heading" fontWeight="600" fontSize="19px">
            Good when
          </Text>
          <Box as="ul" pl="6" listStyleType="disc" fontSize="18px" lineHeight="1.45">
            {step.checks.map(({ id, words }) => (
              <li key={id}>{words}</li>
            ))}
          </Box>
        </Box>
      )}
      <Detail title="At hand" words={step.needs} />
      <Detail title="Pieces" words={partNames} />
      <Flex mt="5" gap="3" align="center" wrap="wrap">
        <Button
          variant={ticked ? 'outline' : 'solid'}
          onClick={() => {
            tick();
            onDone();
          }}
        >
          {ticked ? 'Not done after all' : 'Done, next step'}
        </Button>
        {step.waits !== undefined && (
          <Text color="soft">Then {waitWords(step.waits)} to dry before anything that follows.</Text>
        )}
      </Flex>
    </Box>
  );
}

function Detail({ title, words }: { title: string; words: readonly string[] }) {
  if (words.length === 0) return null;
  return (
    <Text mt="3" color="soft" fontSize="16px">
      <Text as="span" fontFamily="heading" fontWeight="600" color="ink">
        {title}:
      </Text>{' '}
      {words.join(', ')}
    </Text>
  );
}
