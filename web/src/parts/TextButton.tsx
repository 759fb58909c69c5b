import { chakra } from '@chakra-ui/react';

/** Words that can be pressed, among other words: underlined, and tall enough for a thumb. */
export const TextButton = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    minH: { base: '44px', md: '26px' },
    color: 'paneText',
    fontWeight: 600,
    textAlign: 'left',
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
    cursor: 'pointer',
  },
});
