import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { jobTools } from '@north-pane/core/building';
import { keepOf } from '@north-pane/core/cutting';
import type { HeaterDesign } from '@north-pane/core/families';
import type { Habit } from '@north-pane/core/quantity';
import { matesOf } from '@north-pane/core/shop';
import { Hammer } from 'lucide-react';
import { useState } from 'react';
import { DrawingView } from '../../drawing/DrawingView';
import { Section } from '../../parts/Section';
import { Tools } from '../../parts/Tools';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { useDocument } from '../../state/job';
import { useShopPlan } from '../../state/proofs';
import { Bars, type Lit } from './Bars';
import { BuyList } from './BuyList';
import { Carry } from './Carry';
import { LastLook } from './LastLook';
import { MarkOutCard } from './MarkOutCard';
import { Papers } from './Papers';
import { Sheets } from './Sheets';
import { ShopMode } from './ShopMode';
import { AtTheShop, OnHand, Saws } from './Stock';

/** What to buy, mark and cut: stock with the pieces in it, cards to mark out from, and the list for the shop. */
export default function Cut() {
  const { currency, heaters, shop: stock, units } = useDocument();
  const habit = useHabit();
  const { parts, open } = useDerived();
  const tools = jobTools(open);
  const { plan, proving, trouble } = useShopPlan();
  const [lit, setLit] = useState<string | undefined>(undefined);
  const [shop, setShop] = useState(false);
  const keep = keepOf({ shop: stock, units });
  const mates = matesOf(parts);
  const common = { habit, currency, lit, onLit: setLit };
  return (
    <Flex direction={{ base: 'column-reverse', lg: 'row' }} minH="100%">
      <Box flex="1" minW="0" p="5">
        <LastLook plan={plan} habit={habit} />
        {trouble && (
          <Text role="alert" color="ochreText" mb="3">
            The planner that proves could not work ({trouble}); these are the quick planner’s. Load the page again to
            try once more.
          </Text>
        )}
        {plan.materials.map((material) =>
          material.kind === 'length' ? (
            <Bars
              key={material.item}
              material={material}
              proving={proving.has(material.item)}
              keep={keep}
              {...common}
            />
          ) : (
            <Sheets key={material.item} material={material} {...common} />
          ),
        )}
        <Flex gap="8" wrap="wrap">
          <Box flex="1 1 420px" minW="0" maxW="640px">
            <Section title="Buy" aside="prices yours to set">
              <BuyList plan={plan} habit={habit} currency={currency} />
            </Section>
            <Section title="Tools" aside="lent or owned, in no sum">
              <Tools tools={tools} />
            </Section>
          </Box>
          <Box flex="1 1 300px" maxW="460px">
            <Carry habit={habit} />
            <Saws materials={plan.materials} habit={habit} />
            <OnHand materials={plan.materials} habit={habit} />
            <AtTheShop materials={plan.materials} habit={habit} currency={currency} />
          </Box>
        </Flex>
      </Box>
      <Box w={{ base: '100%', lg: '390px' }} flexShrink={0} p="5" pl={{ base: '5', lg: '0' }}>
        <Section
          title="Mark out"
          aside={Object.values(heaters).some(({ count }) => count > 1) ? 'for all panels' : undefined}
        >
          <Flex gap="2" mb="3" wrap="wrap">
            <Button size="sm" variant="solid" onClick={() => setShop(true)}>
              <Hammer size={16} aria-hidden /> Shop mode
            </Button>
            <Papers plan={plan} />
          </Flex>
          <WhereItGoes lit={lit} onLit={setLit} />
          {parts.map((part) => (
            <MarkOutCard
              key={part.id}
              part={part}
              mate={mates.get(part.id)}
              habit={habit}
              lit={lit === part.id}
              onLit={setLit}
            />
          ))}
        </Section>
      </Box>
      {shop && <ShopMode parts={parts} habit={habit} onClose={() => setShop(false)} />}
    </Flex>
  );
}

/** The plan of the heater, small: the piece that is pointed at lights up in it. */
function WhereItGoes({ lit, onLit }: Lit) {
  const { open } = useDerived();
  const panel = open.panels.find(({ document }) => lit?.startsWith(`${document.id}/`)) ?? open.panels[0];
  const habit = useHabit();
  return panel ? <SmallPlan design={panel.design} habit={habit} lit={lit} onLit={onLit} /> : null;
}

/** Drawn again only for another design or another light: a price or a tick leaves it. */
function SmallPlan({ design, habit, lit, onLit }: Lit & { design: HeaterDesign; habit: Habit }) {
  const drawing = { ...design.drawings.plan.draw(), dimensions: [], labels: [] };
  return (
    <Box
      className="no-print"
      position="sticky"
      top="0"
      zIndex={1}
      h="190px"
      mb="3"
      bg="ground"
      borderBottomWidth="1px"
      borderColor="line"
      display={{ base: 'none', lg: 'block' }}
    >
      <DrawingView
        drawing={drawing}
        habit={habit}
        lit={lit}
        onLit={onLit}
        margin={{ left: 6, right: 6, top: 6, bottom: 10 }}
      />
    </Box>
  );
}
