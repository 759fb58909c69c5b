import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import {
  breakpoints,
  buttonRecipe,
  dialogSlotRecipe,
  inputRecipe,
  nativeSelectSlotRecipe,
  tableSlotRecipe,
  tokens,
} from '@chakra-ui/react/theme';
import { printRules } from './print';

/** A colour by day and by night. */
const pair = (day: string, night: string) => ({ value: { base: day, _dark: night } });

/**
 * The lime-washed workshop: fills and text apart, because copper, teal and ochre are bright enough to fill and too
 * bright to read. Contrast of every text colour on its ground is 4.5 or more.
 */
const config = defineConfig({
  cssVarsPrefix: 'np',
  preflight: true,
  globalCss: {
    'html, body, #root': { height: '100%' },
    body: {
      background: 'ground',
      color: 'ink',
      fontFamily: 'body',
      fontSize: '15px',
      lineHeight: '1.4',
      fontVariantNumeric: 'tabular-nums',
    },
    'h1, h2, h3': { fontFamily: 'heading', fontWeight: 600 },
    a: { color: 'inherit', textDecoration: 'none' },
    '*:focus-visible': { outline: '3px solid {colors.focus} !important', outlineOffset: '2px' },
    // Fields stand close together, and drawings clip what lies outside them.
    'input:focus-visible, select:focus-visible, textarea:focus-visible, svg *:focus-visible': { outlineOffset: '0' },
    // What is dragged by a finger is as large as one.
    '.thumb': { '@media (pointer: coarse)': { r: '22px' } },
    '.thumb-box': { '@media (pointer: coarse)': { height: '44px', y: '-22px' } },
    // Of its label's line, without making that taller.
    '.hint': {
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      minWidth: '24px',
      minHeight: '24px',
      margin: '-3px 0 0',
      '@media (max-width: 47.99em)': { minWidth: '44px', minHeight: '44px', margin: '-23px -8px 0 0' },
    },
    '.tick-box': {
      width: '32px',
      height: '32px',
      '@media (max-width: 47.99em)': { width: '44px', height: '44px' },
    },
    '.plain-target': { minHeight: '24px', '@media (max-width: 47.99em)': { minHeight: '44px', minWidth: '44px' } },
    '::selection': { background: '{colors.pane}', color: 'white' },
    '.on-paper': { display: 'none' },
    ...printRules,
  },
  theme: {
    breakpoints,
    tokens: {
      spacing: tokens.spacing,
      sizes: tokens.sizes,
      fontSizes: tokens.fontSizes,
      fontWeights: tokens.fontWeights,
      lineHeights: tokens.lineHeights,
      zIndex: tokens.zIndex,
      fonts: {
        heading: { value: '"Barlow Semi Condensed", "Arial Narrow", sans-serif' },
        body: { value: '"Source Sans 3", "Segoe UI", sans-serif' },
      },
    },
    semanticTokens: {
      colors: {
        ground: pair('#F5F2EA', '#182127'),
        card: pair('#FCFAF4', '#212D35'),
        well: pair('#EDE8DB', '#11181D'),
        line: pair('#D8D0BE', '#3B4A54'),
        /** Edges of what can be pressed or filled, and the ring of what has the focus: 3 to 1 against any ground. */
        edge: pair('#857C66', '#7B8A92'),
        focus: pair('#2F6462', '#8FC4BD'),
        slateEdge: pair('#8696A0', '#8696A0'),
        ink: pair('#22303A', '#ECE7DB'),
        soft: pair('#545E63', '#A9B5B8'),
        slate: pair('#22303A', '#0E1418'),
        slateLine: pair('#3A4A55', '#2A3741'),
        chalk: pair('#F5F2EA', '#ECE7DB'),
        chalkSoft: pair('#A9B5B8', '#A9B5B8'),
        copper: pair('#A9572B', '#AB5B2F'),
        copperText: pair('#93481F', '#E3A27C'),
        pane: pair('#4C8583', '#4C8583'),
        paneText: pair('#2F6462', '#8FC4BD'),
        paneFill: pair('#3C7270', '#3C7270'),
        paneDeep: pair('#2F5C5A', '#2F5C5A'),
        ochre: pair('#C9921E', '#C9921E'),
        ochreText: pair('#7A5A05', '#E5B94E'),
        brick: pair('#9E2F25', '#B23E33'),
        brickText: pair('#9E2F25', '#F2978B'),
        tape: pair('#F1E1A6', '#D9C57E'),
        tapeInk: pair('#22303A', '#22303A'),
        timber: pair('#DCC7A1', '#64543A'),
        wool: pair('#EEE2BC', '#54492D'),
        cold: pair('#5F7F96', '#7FA3BC'),
        pale: pair('#DDD3A8', '#B9AE80'),
        hot: pair('#A9572B', '#D17A48'),
        bg: pair('#F5F2EA', '#182127'),
        fg: pair('#22303A', '#ECE7DB'),
        border: pair('#857C66', '#7B8A92'),
      },
    },
    recipes: {
      button: {
        ...buttonRecipe,
        base: {
          ...buttonRecipe.base,
          focusVisibleRing: undefined,
          fontFamily: 'heading',
          fontWeight: 600,
          borderRadius: '3px',
          minHeight: { base: '44px', md: '28px' },
          minWidth: { base: '44px', md: '28px' },
          _pressed: { boxShadow: 'inset 0 -4px 0 currentColor' },
          _disabled: { opacity: 0.6, cursor: 'not-allowed', borderStyle: 'dashed', borderColor: 'edge' },
        },
        variants: {
          ...buttonRecipe.variants,
          size: {
            ...buttonRecipe.variants?.size,
            xs: { ...buttonRecipe.variants?.size.xs, minW: { base: '44px', md: '28px' } },
            sm: { ...buttonRecipe.variants?.size.sm, minW: { base: '44px', md: '32px' } },
          },
          variant: {
            solid: { bg: 'paneFill', color: 'white', _hover: { bg: 'paneDeep' } },
            outline: {
              borderWidth: '1px',
              borderColor: 'edge',
              bg: 'card',
              color: 'ink',
              _hover: { borderColor: 'paneText' },
            },
            plain: { bg: 'transparent', color: 'paneText', _hover: { textDecoration: 'underline' } },
          },
        },
      },
      input: {
        ...inputRecipe,
        base: {
          ...inputRecipe.base,
          focusVisibleRing: undefined,
          minHeight: { base: '44px', md: '0' },
          borderRadius: '3px',
          fontVariantNumeric: 'tabular-nums',
        },
        variants: {
          ...inputRecipe.variants,
          variant: { outline: { bg: 'card', borderWidth: '1px', borderColor: 'edge' } },
        },
      },
    },
    slotRecipes: {
      dialog: dialogSlotRecipe,
      nativeSelect: {
        ...nativeSelectSlotRecipe,
        base: {
          ...nativeSelectSlotRecipe.base,
          field: {
            ...nativeSelectSlotRecipe.base?.field,
            focusVisibleRing: undefined,
            borderRadius: '3px',
            minHeight: { base: '44px', md: '0' },
          },
        },
        variants: {
          ...nativeSelectSlotRecipe.variants,
          variant: { outline: { field: { bg: 'card', borderWidth: '1px', borderColor: 'edge' } } },
        },
      },
      table: tableSlotRecipe,
    },
  },
});

export const system = createSystem(defaultBaseConfig, config);
