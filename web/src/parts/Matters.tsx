import { Box, Button, Text } from '@chakra-ui/react';
import { type Finding, fixesFor } from '@north-pane/core/care';
import { sayFinding } from '@north-pane/core/cautions';
import type { Habit } from '@north-pane/core/quantity';
import { useJob } from '../state/job';
import { Acknowledge } from './Acknowledge';

/** Everything to be looked at, in words, each with its remedy and, where one number mends it, a button that does. */
export function Matters({ findings, habit }: { findings: readonly Finding[]; habit: Habit }) {
  const changeAll = useJob((state) => state.changeAll);
  if (findings.length === 0)
    return (
      <Text color="soft" fontSize="14px">
        No problems as drawn.
      </Text>
    );
  return (
    <>
      {findings.map((finding, index) => {
        const { headline, detail, remedy } = sayFinding(finding, habit);
        const stop = finding.severity === 'stop';
        const note = finding.severity === 'note';
        const mends = fixesFor(finding);
        return (
          <Box
            // biome-ignore lint/suspicious/noArrayIndexKey: the same finding can stand twice, at two places
            key={`${finding.code}-${index}`}
            id={`finding-${finding.code}`}
            tabIndex={-1}
            borderLeftWidth="6px"
            borderColor={stop ? 'brick' : note ? 'pane' : 'ochre'}
            bg="card"
            px="3"
            py="2"
            mb="2"
            backgroundImage={
              stop || note
                ? undefined
                : 'repeating-linear-gradient(45deg, transparent 0 5px, color-mix(in srgb, var(--np-colors-ochre) 12%, transparent) 5px 10px)'
            }
          >
            <Text fontWeight="600" color={stop ? 'brickText' : note ? 'paneText' : 'ochreText'}>
              {headline}
            </Text>
            <Text fontSize="14px">{detail}</Text>
            <Text fontSize="14px" color="soft">
              {remedy}
            </Text>
            {stop && <Acknowledge danger={finding} headline={headline} />}
            {mends.length > 0 && (
              <Button
                size="xs"
                variant="outline"
                mt="2"
                aria-label={`Do that: ${headline}`}
                onClick={() => changeAll(mends)}
              >
                Do that
              </Button>
            )}
          </Box>
        );
      })}
    </>
  );
}
