import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { entryName, saws } from '@north-pane/core/catalogue';
import { type Done, keepOf, putOnShelf, recountShelf, type Substitute, substitutes } from '@north-pane/core/cutting';
import { type FieldPath, type Job, onHandOf, soldOf } from '@north-pane/core/document';
import { formatLength, formatMoney, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { kerfOf, type MaterialPlan, materialClass } from '@north-pane/core/shop';
import { shelfOf } from '@north-pane/core/shoplog';
import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Choice } from '../../parts/Choice';
import { Entry } from '../../parts/Entry';
import { Section } from '../../parts/Section';
import { TextButton } from '../../parts/TextButton';
import { TickBox } from '../../parts/TickBox';
import { useDerived } from '../../state/derived';
import { carryOut, inShopNow, jobNow, recordSecondCut, useJob } from '../../state/job';

type Stuff = ReturnType<typeof materialClass>;
const stuffs: readonly { stuff: Stuff; words: string }[] = [
  { stuff: 'tube', words: 'Tube' },
  { stuff: 'plastic', words: 'Plastic pipe' },
  { stuff: 'timber', words: 'Boards' },
  { stuff: 'track', words: 'Tracks' },
  { stuff: 'bar', words: 'Bars' },
  { stuff: 'sheet', words: 'Wood sheets' },
  { stuff: 'metal', words: 'Metal sheets' },
  { stuff: 'insulation', words: 'Insulation' },
];

/** Ends are squared of what comes in lengths. */
function isLength(stuff: Stuff): stuff is 'tube' | 'plastic' | 'timber' | 'track' | 'bar' {
  return stuff === 'tube' || stuff === 'plastic' || stuff === 'timber' || stuff === 'track' || stuff === 'bar';
}

/** Fields of the shop; others of them, and ticks at the bench, move nothing that is drawn with these. */
function useShop<K extends keyof Job['shop']>(...fields: K[]): Pick<Job['shop'], K> {
  return useJob(
    useShallow((state) => {
      const { shop } = state.document ?? jobNow();
      return Object.fromEntries(fields.map((field) => [field, shop[field]])) as Pick<Job['shop'], K>;
    }),
  );
}

function useSet(): (path: FieldPath, value: unknown) => string | undefined {
  const change = useJob((state) => state.change);
  return (path, value) => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
}

/** What each stuff is cut with, what the saw takes, what the ends lose, and which offcut is worth keeping. */
export function Saws({ materials, habit }: { materials: readonly MaterialPlan[]; habit: Habit }) {
  const shop = useShop('kerfs', 'trims', 'keep');
  const units = useJob((state) => (state.document ?? jobNow()).units);
  const set = useSet();
  const used = new Set(materials.map(materialClass));
  return (
    <Section title="Saw" aside="what a cut takes">
      {stuffs
        .filter(({ stuff }) => used.has(stuff))
        .map(({ stuff, words }) => {
          const kerf = kerfOf(shop.kerfs, stuff);
          const saw = saws.find((one) => one.cuts.includes(stuff) && Math.abs(one.kerf - kerf) < 1e-9);
          return (
            <Flex key={stuff} gap="2" align="end" mb="2">
              <Box flex="1">
                <Choice
                  label={`${words} cut with`}
                  value={saw?.id ?? 'own'}
                  choices={[
                    ...saws
                      .filter((one) => one.cuts.includes(stuff))
                      .map(({ id, name }) => ({ value: id, words: name })),
                    ...(saw ? [] : [{ value: 'own', words: 'as measured' }]),
                  ]}
                  onValue={(id) => {
                    const chosen = saws.find((one) => one.id === id);
                    if (chosen) set(`shop.kerfs.${stuff}`, chosen.kerf);
                  }}
                />
              </Box>
              <Entry
                label="takes"
                value={kerf}
                kind="length"
                digits={1}
                habit={habit}
                width="74px"
                onValue={(value) => set(`shop.kerfs.${stuff}`, value)}
              />
              {isLength(stuff) && (
                <Entry
                  label="off each end"
                  value={shop.trims?.[stuff] ?? 0}
                  kind="length"
                  habit={habit}
                  width="74px"
                  onValue={(value) => set('shop.trims', { ...shop.trims, [stuff]: value })}
                />
              )}
            </Flex>
          );
        })}
      <Entry
        label="Smallest offcut worth keeping"
        value={keepOf({ shop, units })}
        kind="length"
        habit={habit}
        width="190px"
        onValue={(value) => set('shop.keep', value)}
      />
    </Section>
  );
}

/** Which of what is listed the shop really has, and what could stand in the place of what it has not. */
export function AtTheShop({
  materials,
  habit,
  currency,
}: {
  materials: readonly MaterialPlan[];
  habit: Habit;
  currency: string;
}) {
  const shop = useShop('sold', 'without');
  const without = shop.without ?? {};
  return (
    <Section title="At the shop" aside={`untick what it does not have; prices in ${currency}`}>
      {materials.map(({ item, name }) => (
        <SoldMaterial
          key={item}
          item={item}
          name={name}
          sizes={soldOf(shop)
            .filter((one) => one.item === item)
            .map((one) => ({ id: one.id, size: sizeOf(one, habit), price: one.price, here: !without[one.id] }))}
          habit={habit}
        />
      ))}
    </Section>
  );
}

interface SoldMaterialProps {
  item: string;
  name: string;
  sizes: readonly SoldSizeProps[];
  habit: Habit;
}

interface SoldSizeProps {
  id: string;
  /** In words. */
  size: string;
  price: number;
  /** The shop has it. */
  here: boolean;
}

/** One material in the sizes that the shop lists; drawn again when one of them moves. */
function SoldMaterial({ item, name, sizes, habit }: SoldMaterialProps) {
  return (
    <Box mb="3">
      <Flex justify="space-between" align="baseline" gap="3">
        <Text fontWeight="600">{name}</Text>
        <Instead item={item} habit={habit} />
      </Flex>
      {sizes.map((one) => (
        <SoldSize key={one.id} name={name} habit={habit} {...one} />
      ))}
    </Box>
  );
}

/** One size of what the shop lists: whether it has it, and at what price. */
function SoldSize(props: SoldSizeProps & { name: string; habit: Habit }) {
  const { id, name, size, price, here, habit } = props;
  const set = useSet();
  return (
    <Flex align="center" gap="3" py="1">
      <TickBox
        ticked={here}
        label={`The shop has ${name}, ${size}`}
        onTick={() => set(['shop', 'without', id], here ? true : undefined)}
      />
      <Text flex="1" color={here ? 'ink' : 'soft'}>
        {size}
      </Text>
      <Entry
        label={`Price at the shop: ${name}, ${size}`}
        bareLabel
        value={price}
        kind="number"
        digits={2}
        habit={habit}
        width="86px"
        onValue={(value) => set(['shop', 'sold', id, 'price'], value)}
      />
    </Flex>
  );
}

function Instead({ item, habit }: { item: string; habit: Habit }) {
  // What was found is of the job as it was then: taken later, it would undo what has changed since.
  const [asked, setAsked] = useState<Job | undefined>(undefined);
  // Nothing is drawn for a change of the job unless something was found for it.
  const current = useJob((state) => asked !== undefined && state.document === asked);
  if (!asked || !current)
    return (
      <TextButton fontSize="14px" onClick={() => setAsked(jobNow())}>
        Something else?
      </TextButton>
    );
  return <Found job={asked} item={item} habit={habit} />;
}

/** What could stand in the place of a material, of the job as it was asked for. */
function Found({ job, item, habit }: { job: Job; item: string; habit: Habit }) {
  const { open } = useDerived();
  const changeAll = useJob((state) => state.changeAll);
  const [found] = useState<Substitute[]>(() => substitutes(open, item));
  if (found.length === 0) return <Text fontSize="14px">Nothing else goes in its place.</Text>;
  return (
    <Box fontSize="14px" maxW="70%">
      {found.slice(0, 4).map((one) => (
        <Flex key={one.item} gap="2" align="baseline" justify="flex-end" py="0.5">
          <Text>
            {one.name}: {changeWords(one, job, habit)}
          </Text>
          <Button size="xs" variant="outline" onClick={() => changeAll(one.changes)}>
            Take it
          </Button>
        </Flex>
      ))}
    </Box>
  );
}

function changeWords({ cost, heat, mass, findings }: Substitute, job: Job, habit: Habit): string {
  const signed = (value: number, text: string) => `${value < 0 ? '−' : '+'}${text}`;
  return [
    signed(cost, formatMoney(Math.abs(cost), job.currency, 0)),
    signed(mass, formatQuantity('mass', Math.abs(mass), habit, 1).text),
    signed(heat, formatQuantity('power', Math.abs(heat), habit, 0).text),
    ...(findings > 0 ? [`${findings} to look at`] : []),
  ].join(', ');
}

function sizeOf(one: { length: number } | { width: number; height: number }, habit: Habit): string {
  const size = (metres: number) => formatLength(metres, habit).text;
  return 'length' in one ? size(one.length) : `${size(one.height)} × ${size(one.width)}`;
}

/** Lengths in one's own shed, used first, and what went out and came back. */
export function OnHand({ materials, habit }: { materials: readonly MaterialPlan[]; habit: Habit }) {
  const shop = useShop('onHand');
  const state = useJob((job) => job.shop);
  const carried = (done: Done): string | undefined => {
    const outcome = carryOut(done);
    return outcome.ok ? undefined : outcome.message;
  };
  const [item, setItem] = useState(materials[0]?.item ?? '');
  const [width, setWidth] = useState<number | undefined>(undefined);
  const { ledger } = state;
  const chosen = materials.find((one) => one.item === item) ?? materials[0];
  const sheet = chosen?.kind === 'sheet';
  const add = (length: number): string | undefined => {
    if (!chosen) return 'Nothing here is cut.';
    if (sheet && width === undefined) return 'How wide is it? Type the width first.';
    setWidth(undefined);
    const size = sheet && width !== undefined ? { width, height: length } : { length };
    return carried(putOnShelf(inShopNow(), chosen.item, size));
  };
  const recount = (id: string, count: number) => carried(recountShelf(inShopNow(), id, count));
  return (
    <Section title="In your shed" aside="used first, for nothing">
      {shelfOf(onHandOf(shop), state).map((one) => (
        <Flex key={one.id} align="center" gap="3" py="1" borderBottomWidth="1px" borderColor="line">
          <Text flex="1">
            {entryName(one.item) ?? one.item}, {sizeOf(one, habit)}
          </Text>
          <Entry
            label={`How many of ${entryName(one.item) ?? one.item}, ${sizeOf(one, habit)}`}
            bareLabel
            value={one.count}
            kind="number"
            habit={habit}
            width="64px"
            onValue={(count) => recount(one.id, count)}
          />
        </Flex>
      ))}
      {chosen && (
        <Flex gap="2" align="end" mt="2">
          <Box flex="1">
            <Choice
              label="Put on the shelf"
              value={chosen.item}
              choices={materials.map((one) => ({ value: one.item, words: one.name }))}
              onValue={setItem}
            />
          </Box>
          {sheet && (
            <Entry
              label="width"
              value={width}
              kind="length"
              habit={habit}
              width="92px"
              onValue={(value) => {
                setWidth(value);
                return undefined;
              }}
            />
          )}
          <Entry label="length" value={undefined} kind="length" habit={habit} width="92px" onValue={add} />
        </Flex>
      )}
      {state.doubled.map(({ id, at, item: thing }) => (
        <Box key={id} role="status" mt="2" p="2" bg="well" borderLeftWidth="5px" borderColor="ochre" fontSize="14px">
          <Text>
            {entryName(thing) ?? thing} was noted as the same cut on two screens, {at.slice(0, 10)}. It counts once.
          </Text>
          <Button size="xs" variant="outline" mt="1" onClick={() => recordSecondCut(id)}>
            There were two
          </Button>
        </Box>
      ))}
      {ledger.length > 0 && (
        <Box mt="3" fontSize="14px" color="soft">
          {ledger.slice(-6).map(({ id, at, what, item: thing, ...size }) => (
            <Text key={id}>
              {at.slice(0, 10)}: {what}, {entryName(thing) ?? thing}
              {size.length === undefined ? '' : `, ${formatLength(size.length, habit).text}`}
            </Text>
          ))}
        </Box>
      )}
    </Section>
  );
}
