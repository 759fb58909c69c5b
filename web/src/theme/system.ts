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
    '*:focus-visible': { outline: '2px solid {colors.pane}', outlineOffset: '2px' },
    '::selection': { background: '{colors.pane}', color: 'white' },
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
        border: pair('#D8D0BE', '#3B4A54'),
      },
    },
    recipes: {
      button: {
        ...buttonRecipe,
        base: { ...buttonRecipe.base, fontFamily: 'heading', fontWeight: 600, borderRadius: '3px' },
        variants: {
          ...buttonRecipe.variants,
          variant: {
            solid: { bg: 'paneFill', color: 'white', _hover: { bg: 'paneDeep' } },
            outline: {
              borderWidth: '1px',
              borderColor: 'line',
              bg: 'card',
              color: 'ink',
              _hover: { borderColor: 'pane' },
            },
            plain: { bg: 'transparent', color: 'paneText', _hover: { textDecoration: 'underline' } },
          },
        },
      },
      input: {
        ...inputRecipe,
        base: { ...inputRecipe.base, borderRadius: '3px', fontVariantNumeric: 'tabular-nums' },
      },
    },
    slotRecipes: {
      dialog: dialogSlotRecipe,
      nativeSelect: nativeSelectSlotRecipe,
      table: tableSlotRecipe,
    },
  },
});

export const system = createSystem(defaultBaseConfig, config);
