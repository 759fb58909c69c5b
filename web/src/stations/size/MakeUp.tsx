import { Stack, Text } from '@chakra-ui/react';
import { type Field, families, type Habit, type PanelDocument, standardChoice } from '@north-pane/core';
import { Choice } from '../../parts/Choice';
import { Entry } from '../../parts/Entry';
import { Stepper } from '../../parts/Stepper';
import { useJob } from '../../state/job';

const shared = ['absorber', 'box', 'glazing'] as const;

/** What the panel is made of: counts, tubes, absorber, box and pane, and the lengths that stand on no drawing. */
export function MakeUp({
  panel,
  index,
  habit,
  drawn,
}: {
  panel: PanelDocument;
  index: number;
  habit: Habit;
  drawn: ReadonlySet<string>;
}) {
  const change = useJob((state) => state.change);
  const family = families[panel.family as keyof typeof families];
  const path = `panels.${index}`;
  const set = (field: Field, value: unknown): string | undefined => {
    const name = shared.find((one) => field.path === `${one}.kind`);
    const outcome = name
      ? change(`${path}.${name}`, standardChoice(name, String(value), habit, panel[name]))
      : change(`${path}.${field.path}`, value);
    return outcome.ok ? undefined : outcome.message;
  };
  return (
    <Stack gap="3">
      <Stepper
        label="Panels alike"
        value={panel.count}
        low={1}
        high={24}
        onValue={(value) => change(`${path}.count`, value)}
      />
      {family.fields(panel).map((field) => {
        const { meta, value } = field;
        if (meta.kind === 'count')
          return (
            <Stepper
              key={field.path}
              label={meta.label}
              value={Number(value)}
              low={meta.low ?? 0}
              high={meta.high ?? 99}
              onValue={(next) => set(field, next)}
            />
          );
        if (meta.kind === 'length')
          return drawn.has(field.path) ? null : (
            <Entry
              key={field.path}
              label={meta.label}
              value={Number(value)}
              kind="length"
              habit={habit}
              onValue={(next) => set(field, next)}
            />
          );
        return (
          <Choice
            key={field.path}
            label={meta.label}
            hint={meta.meaning}
            value={String(value)}
            choices={meta.choices ?? []}
            onValue={(next) => set(field, next)}
          />
        );
      })}
      <Choice
        label="Risers lie"
        value={panel.turned ? 'across' : 'up'}
        choices={[
          { value: 'up', words: 'up the slope' },
          { value: 'across', words: 'across the slope' },
        ]}
        onValue={(value) => change(`${path}.turned`, value === 'across')}
      />
      <Text fontSize="13px" color="soft">
        The up arrow on the plan shows which way the slope rises.
      </Text>
    </Stack>
  );
}
