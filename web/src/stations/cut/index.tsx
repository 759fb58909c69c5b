import { Box, Button, Flex } from '@chakra-ui/react';
import { buyListCsv, cutListCsv } from '@north-pane/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { download } from '../../parts/download';
import { Section } from '../../parts/Section';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { Bars } from './Bars';
import { BuyList } from './BuyList';
import { MarkOutCard } from './MarkOutCard';
import { Sheets } from './Sheets';

/** What to buy, mark and cut: stock with the pieces in it, cards to mark out from, and the list for the shop. */
export default function Cut() {
  const document = useDocument();
  const id = useJob((state) => state.id);
  const habit = useHabit();
  const { parts, plan } = useDerived();
  const [lit, setLit] = useState<string | undefined>(undefined);
  const common = { habit, currency: document.currency, lit, onLit: setLit };
  return (
    <Flex direction={{ base: 'column-reverse', lg: 'row' }} minH="100%">
      <Box flex="1" minW="0" p="5">
        {plan.materials.map((material) =>
          material.kind === 'length' ? (
            <Bars key={material.item} material={material} {...common} />
          ) : (
            <Sheets key={material.item} material={material} {...common} />
          ),
        )}
        <Section title="Buy" aside="prices yours to set">
          <Box maxW="640px">
            <BuyList plan={plan} habit={habit} currency={document.currency} />
          </Box>
        </Section>
      </Box>
      <Box w={{ base: '100%', lg: '390px' }} flexShrink={0} p="5" pl={{ base: '5', lg: '0' }}>
        <Section
          title="Mark out"
          aside={document.panels.some((panel) => panel.count > 1) ? 'for all panels' : undefined}
        >
          <Flex gap="2" mb="3" wrap="wrap">
            <Button
              size="xs"
              variant="outline"
              onClick={() => download(`${id}-cut-list.csv`, cutListCsv(parts, habit), 'text/csv')}
            >
              <Download size={14} aria-hidden /> Cut list, CSV
            </Button>
            <Button
              size="xs"
              variant="outline"
              onClick={() => download(`${id}-buy-list.csv`, buyListCsv(plan, document.currency), 'text/csv')}
            >
              <Download size={14} aria-hidden /> Buy list, CSV
            </Button>
          </Flex>
          {parts.map((part) => (
            <MarkOutCard key={part.id} part={part} habit={habit} lit={lit === part.id} onLit={setLit} />
          ))}
        </Section>
      </Box>
    </Flex>
  );
}
