import { Button, Flex, Text } from '@chakra-ui/react';
import { heatersOf } from '@north-pane/core/document';
import { foundOf, withoutFound } from '@north-pane/core/proving';
import { formatNumber } from '@north-pane/core/quantity';
import { lazy, Suspense, useState } from 'react';
import { Section } from '../../parts/Section';
import { useDerived } from '../../state/derived';
import { useDocument, useJob } from '../../state/job';

const HandTests = lazy(async () => ({ default: (await import('./HandTests')).HandTests }));

/** What tests by hand have found, laid over the design as built, and the way to make one. */
export function ByHand() {
  const document = useDocument();
  const { open } = useDerived();
  const change = useJob((state) => state.change);
  const [testing, setTesting] = useState(false);
  const heaters = heatersOf(document);
  const rows = heaters.flatMap((panel, index) => {
    const found = foundOf(document, panel.id);
    return Object.entries(found?.values ?? {}).map(([input, value]) => ({
      panel: panel.id,
      index,
      input,
      value,
      source: found?.source ?? '',
    }));
  });
  return (
    <Section title="Tested by hand">
      {rows.length === 0 && (
        <Text fontSize="14px">Nothing yet. A bond, a pane or a plate that was tested makes the forecast surer.</Text>
      )}
      {rows.map(({ panel, index, input, value, source }) => {
        // One that this kind of heater does not have any more is told by its id.
        const known = open.panels[index]?.design.thermal.inputs.find(({ id }) => id === input);
        const { name, unit, digits } = known ?? { name: input, unit: '', digits: 2 };
        return (
          <Flex key={`${panel} ${input}`} justify="space-between" gap="2" fontSize="14px" mb="1" title={source}>
            <Text>
              {name}
              {heaters.length > 1 ? `, ${panel}` : ''}: {formatNumber(value?.likely ?? 0, digits)} {unit}
            </Text>
            <Button
              size="xs"
              variant="plain"
              aria-label={`Take off: ${name}`}
              onClick={() => {
                const { path, value } = withoutFound(document, panel, input);
                change(path, value);
              }}
            >
              take off
            </Button>
          </Flex>
        );
      })}
      <Button size="xs" variant="outline" mt="2" onClick={() => setTesting(true)}>
        Test by hand
      </Button>
      {testing && (
        <Suspense fallback={null}>
          <HandTests onClose={() => setTesting(false)} />
        </Suspense>
      )}
    </Section>
  );
}
