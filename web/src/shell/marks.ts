import { isPicked } from '@north-pane/core/document';
import { isPlaced } from '@north-pane/core/site';
import { useDerived } from '../state/derived';
import { useDocument } from '../state/job';
import { useSources } from '../state/readings';

export interface Mark {
  state: 'untouched' | 'under way' | 'settled' | 'matters';
  count?: number | undefined;
}

/** How far each station is, from the document and what was measured. */
export function useMarks(): Record<string, Mark> {
  const document = useDocument();
  const { open, parts, findings } = useDerived();
  const sources = useSources();
  const { made, steps } = open.state;
  const placed = isPlaced(document.site);
  const wanted = parts.reduce((sum, part) => sum + part.count, 0);
  const done = parts.reduce((sum, part) => sum + Math.min(part.count, made[part.id] ?? 0), 0);
  const begun = Object.keys(steps).length;
  const read = sources.data?.reduce((sum, source) => sum + source.count, 0) ?? 0;
  if (!isPicked(document)) return { place: { state: placed ? 'settled' : 'untouched' } };
  return {
    place: { state: placed ? 'settled' : 'untouched' },
    pick: { state: document.need.hours || document.need.heats || document.shop.things ? 'settled' : 'untouched' },
    size: findings.length > 0 ? { state: 'matters', count: findings.length } : { state: 'settled' },
    cut: { state: done === 0 ? 'untouched' : done < wanted ? 'under way' : 'settled' },
    // How many steps there are is worked out at the station itself: the shelf of marks must not wait for it.
    build: { state: begun === 0 ? 'untouched' : 'under way' },
    forecast: { state: placed ? 'settled' : 'under way' },
    prove: { state: read > 0 ? 'under way' : 'untouched' },
  };
}
