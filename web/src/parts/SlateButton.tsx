import { chakra } from '@chakra-ui/react';

/** A small button on the dark slate. */
export const SlateButton = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '1.5',
    minH: { base: '44px', md: '32px' },
    minW: { base: '44px', md: '36px' },
    px: '2',
    borderWidth: '1px',
    borderColor: 'slateEdge',
    borderRadius: '3px',
    color: 'chalk',
    bg: 'transparent',
    fontFamily: 'heading',
    fontWeight: 600,
    fontSize: '13px',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
    _hover: { bg: 'slateLine' },
    _pressed: { bg: 'slateLine', boxShadow: 'inset 0 -4px 0 currentColor' },
    _disabled: { color: 'chalkSoft', borderStyle: 'dashed', cursor: 'not-allowed', _hover: { bg: 'transparent' } },
  },
});
