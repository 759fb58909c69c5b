import { Flex, Text } from '@chakra-ui/react';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { useView } from '../state/view';

/** A titled part of a side panel. */
export function Section({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    // Plain: many of them stand on the bench and are drawn again with every step.
    <section style={{ marginBottom: 20 }} aria-label={title}>
      <Head title={title} aside={aside} />
      {children}
    </section>
  );
}

/**
 * A section that folds by its title, and is found as it was left. `shut` is how it stands until somebody touches it; on paper every one is
 * open. What is folded is not drawn.
 */
export function FoldingSection(props: { title: string; aside?: ReactNode; shut?: boolean; children: ReactNode }) {
  const { title, aside, shut = false, children } = props;
  const printing = useView((view) => view.printing);
  const folded = (useView((view) => view.folded[title]) ?? shut) && !printing;
  return (
    <section style={{ marginBottom: folded ? 6 : 18, scrollMarginTop: 8 }} aria-label={title} data-section={title}>
      <Head title={title} aside={aside} folded={folded} />
      {!folded && children}
    </section>
  );
}

/** Opens a folding section and brings it into sight, with the focus on its title. */
export function goToSection(title: string): void {
  useView.getState().setFolded(title, false);
  window.requestAnimationFrame(() => {
    const section = document.querySelector(`[data-section="${CSS.escape(title)}"]`);
    section?.scrollIntoView({ block: 'start' });
    section?.querySelector<HTMLElement>('button')?.focus({ preventScroll: true });
  });
}

interface HeadProps {
  title: string;
  aside: ReactNode;
  /** Left out where it does not fold. */
  folded?: boolean;
}

function Head({ title, aside, folded }: HeadProps) {
  return (
    <Flex justify="space-between" align="baseline" gap="3" borderBottomWidth="1px" borderColor="line" pb="1" mb="2">
      <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px" whiteSpace="nowrap">
        {folded === undefined ? title : <FoldButton title={title} folded={folded} />}
      </Text>
      <Text fontSize="13px" color="soft" textAlign="right">
        {aside}
      </Text>
    </Flex>
  );
}

const foldButton = { display: 'inline-flex', alignItems: 'center', gap: 4, cursor: 'pointer' } as const;

function FoldButton({ title, folded }: { title: string; folded: boolean }) {
  const Sign = folded ? ChevronRight : ChevronDown;
  return (
    <button
      type="button"
      className="plain-target"
      aria-expanded={!folded}
      style={foldButton}
      onClick={() => useView.getState().setFolded(title, !folded)}
    >
      <Sign size={17} aria-hidden />
      {title}
    </button>
  );
}
