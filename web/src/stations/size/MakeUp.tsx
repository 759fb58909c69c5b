import { Button, Flex, Text } from '@chakra-ui/react';
import { heatersOf } from '@north-pane/core/document';
import {
  type Family,
  type Field,
  families,
  fieldsOf,
  type HeaterDocument,
  standardChoice,
  whyNotOn,
} from '@north-pane/core/families';
import { heaterPath, pathOf } from '@north-pane/core/job';
import { mounts } from '@north-pane/core/mounts';
import type { Habit } from '@north-pane/core/quantity';
import { lazy, Suspense, useState } from 'react';
import { Choice } from '../../parts/Choice';
import { ChooseAt } from '../../parts/Choose';
import { Entry } from '../../parts/Entry';
import { FieldAt } from '../../parts/FieldAt';
import { Stepper } from '../../parts/Stepper';
import { jobActions, jobNow, useJob } from '../../state/job';

const KindDialog = lazy(async () => ({ default: (await import('./KindDialog')).KindDialog }));

const shared = ['absorber', 'box', 'glazing'] as const;

/** Sets one field of a panel; another absorber, box or pane comes with its own parameters. */
function setField(index: number, path: string, value: unknown, habit: Habit): string | undefined {
  const { change, document } = jobActions();
  const panel = document && heatersOf(document)[index];
  if (!document || !panel) return undefined;
  const name = shared.find((one) => path === `${one}.kind`);
  const outcome = name
    ? change(`${pathOf(document, index)}.${name}`, standardChoice(name, String(value), habit, panel[name]))
    : change(`${pathOf(document, index)}.${path}`, value);
  return outcome.ok ? undefined : outcome.message;
}

interface RowProps {
  index: number;
  path: string;
  value: unknown;
  meta: Field['meta'];
  habit: Habit;
}

/** One field. Drawn again only when its own value changes: a change on the bench touches few of them. */
function Row(props: RowProps) {
  const { index, path } = props;
  const id = useJob((state) => (state.document ? heatersOf(state.document)[index]?.id : undefined));
  return (
    <div>
      <FieldEntry {...props} />
      {id && <ChooseAt path={['heaters', id, ...path.split('.')]} />}
    </div>
  );
}

function FieldEntry({ index, path, value, meta, habit }: RowProps) {
  const set = (next: unknown) => setField(index, path, next, habit);
  if (meta.kind === 'count')
    return (
      <Stepper label={meta.label} value={Number(value)} low={meta.low ?? 0} high={meta.high ?? 99} onValue={set} />
    );
  if (meta.kind === 'mass')
    return <Entry label={meta.label} value={Number(value)} kind="mass" digits={3} habit={habit} onValue={set} />;
  if (meta.kind === 'length')
    return <Entry label={meta.label} value={Number(value)} kind="length" habit={habit} onValue={set} />;
  return (
    <Choice label={meta.label} hint={meta.meaning} value={String(value)} choices={meta.choices ?? []} onValue={set} />
  );
}

/** What the panel is made of: counts, tubes, absorber, box and pane, and the lengths that stand on no drawing. */
export function MakeUp({
  panel,
  index,
  habit,
  drawn,
}: {
  panel: HeaterDocument;
  index: number;
  habit: Habit;
  drawn: ReadonlySet<string>;
}) {
  const family: Family = families[panel.family as keyof typeof families];
  return (
    <div className="print-columns" style={{ display: 'flex', flexDirection: 'column', gap: 12 }}>
      <Kind index={index} family={family} />
      <FieldAt path={`${heaterPath(panel.id)}.count`} />
      {family
        .fields(panel)
        .filter(({ path, meta }) => meta.kind !== 'length' || !drawn.has(path))
        .map(({ path, value, meta }) => (
          <Row key={path} index={index} path={path} value={value} meta={meta} habit={habit} />
        ))}
      <Mount index={index} panel={panel} habit={habit} />
      {family.turns !== false && (
        <>
          <FieldAt path={`${heaterPath(panel.id)}.turned`} />
          <Text fontSize="13px" color="soft">
            The up arrow on the plan shows which way the slope rises.
          </Text>
        </>
      )}
    </div>
  );
}

/** The kind of heater, the way to another one, and the way to fill the pane again. */
function Kind({ index, family }: { index: number; family: Family }) {
  const [choosing, setChoosing] = useState(false);
  const change = useJob((state) => state.change);
  const fit = () => {
    const panel = heatersOf(jobNow())[index];
    const fitted = panel && family.fit?.(panel);
    if (panel && fitted) change(`${heaterPath(panel.id)}.parameters`, fitted.parameters);
  };
  return (
    <>
      <Flex align="center" justify="space-between" gap="2">
        <Text fontFamily="heading" fontWeight="600">
          {family.name}
        </Text>
        <Flex gap="2">
          <Button size="xs" variant="outline" onClick={() => setChoosing(true)}>
            Another kind
          </Button>
          {family.fit && (
            <Button size="xs" variant="outline" onClick={fit}>
              Fill the pane
            </Button>
          )}
        </Flex>
      </Flex>
      {choosing && (
        <Suspense fallback={null}>
          <KindDialog index={index} onClose={() => setChoosing(false)} />
        </Suspense>
      )}
    </>
  );
}

/** What the panel stands on, with its own sizes; its tilt is that of Place. */
function Mount({ index, panel, habit }: { index: number; panel: HeaterDocument; habit: Habit }) {
  const change = useJob((state) => state.change);
  const { mount } = panel;
  const choose = (kind: string) =>
    change(
      `${heaterPath(panel.id)}.mount`,
      kind === '' ? undefined : { kind, parameters: mounts[kind as keyof typeof mounts].standard(habit) },
    );
  const member = mount && mounts[mount.kind as keyof typeof mounts];
  return (
    <>
      <Choice
        label="Stands on"
        hint={member?.meaning ?? 'What the panel stands on; it is in the cut list too.'}
        value={mount?.kind ?? ''}
        choices={[
          { value: '', words: 'not settled' },
          ...Object.values(mounts)
            .filter(({ id }) => id === mount?.kind || whyNotOn(panel.family, id) === undefined)
            .map(({ id, name }) => ({ value: id, words: name })),
        ]}
        onValue={choose}
      />
      {member &&
        fieldsOf(member.schema, 'mount.parameters', mount.parameters).map(({ path, value, meta }) => (
          <Row key={path} index={index} path={path} value={value} meta={meta} habit={habit} />
        ))}
    </>
  );
}
