import { chakra } from '@chakra-ui/react';

/** A small button on the dark slate. */
export const SlateButton = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '1.5',
    minH: '28px',
    minW: '32px',
    px: '2',
    borderWidth: '1px',
    borderColor: 'slateLine',
    borderRadius: '3px',
    color: 'chalk',
    bg: 'transparent',
    fontFamily: 'heading',
    fontWeight: 600,
    fontSize: '13px',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
    _hover: { bg: 'slateLine' },
    _pressed: { bg: 'slateLine', borderColor: 'chalkSoft' },
    _disabled: { color: 'chalkSoft', opacity: 0.55, cursor: 'default', _hover: { bg: 'transparent' } },
  },
});
