import { Button } from '@chakra-ui/react';
import { buyListCsv, cutListCsv, type ShopPlan } from '@north-pane/core';
import { Download } from 'lucide-react';
import { download } from '../../parts/download';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';

/** What is printed and taken along. */
export function Papers({ plan }: { plan: ShopPlan }) {
  const id = useJob((state) => state.id);
  const { currency } = useDocument();
  const habit = useHabit();
  const { parts } = useDerived();
  return (
    <>
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
        onClick={() => download(`${id}-buy-list.csv`, buyListCsv(plan, currency, habit), 'text/csv')}
      >
        <Download size={14} aria-hidden /> Buy list, CSV
      </Button>
    </>
  );
}
