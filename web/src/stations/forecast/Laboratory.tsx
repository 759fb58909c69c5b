import { Text } from '@chakra-ui/react';
import { type Job, resultKey } from '@north-pane/core/document';
import { PlainTable } from '../../parts/PlainTable';
import { FoldingSection } from '../../parts/Section';
import { useHabit } from '../../state/habit';
import { useWork } from '../../workers/useWork';

/** Every heater as a laboratory prints it: one set of numbers by which kinds and designs are held against each other. */
export function Laboratory({ job }: { job: Job }) {
  return (
    <FoldingSection title="As a laboratory prints it" shut aside="to hold kinds against each other">
      <Tables job={job} />
    </FoldingSection>
  );
}

/** Fitted only once it is looked at. */
function Tables({ job }: { job: Job }) {
  const habit = useHabit();
  const key = resultKey(job, ['heat']);
  const { value, trouble } = useWork('characteristics', key, (heavy) => heavy.characteristics(job));
  if (trouble) return <Text color="ochreText">Cannot be worked out: {trouble}. All else still holds.</Text>;
  if (!value) return <Text color="soft">Fitting the equation…</Text>;
  return value.map(({ heater, tables }) => (
    <section key={heater} aria-label={`Characteristic of ${heater}`}>
      {value.length > 1 && <Text fontWeight="600">{heater}</Text>}
      {'value' in tables ? (
        tables.value.map(
          (section) => section.kind === 'table' && <PlainTable key={section.id} section={section} habit={habit} />,
        )
      ) : (
        <Text color="ochreText">Cannot be worked out: {tables.trouble}. All else still holds.</Text>
      )}
    </section>
  ));
}
