/**
 * On paper: black on white, one column at reading size, every section open, nothing that can only be pressed. Drawings and charts keep
 * their proportions and shrink to the sheet; a section, a card or a bar is not torn in two where it fits on one.
 */
export const printRules = {
  '@page': { margin: '12mm' },
  '@media print': {
    'html, body, #root, .shell, main, main > *': {
      height: 'auto !important',
      maxHeight: 'none !important',
      overflow: 'visible !important',
    },
    body: { background: 'white', fontSize: '11pt' },
    '.shell, .shell > *, main, main > *, main > * > *': { display: 'block !important', position: 'static !important' },
    '.rail, .no-print, main button.chakra-button, [data-testid="tape"], [role="alertdialog"]': {
      display: 'none !important',
    },
    '.shell > header.slate': {
      display: 'block !important',
      background: 'white !important',
      color: 'black',
      contain: 'none',
      borderBottom: '2px solid black',
      marginBottom: '6mm',
      '& *': { color: 'black !important', borderColor: '#999 !important', textDecoration: 'none' },
      '& .slate-cells': { display: 'flex !important', flexWrap: 'wrap' },
      '& .slate-cells > *': { display: 'block !important' },
    },
    '.on-paper': { display: 'block !important' },
    // From the browser's own menu, where nothing can wait.
    'html:not([data-busy]) .still-working': { display: 'none' },
    // Bars print, whatever the browser is told of backgrounds; words can be read on whatever prints behind them.
    'main *': { printColorAdjust: 'exact', color: 'black !important', textShadow: '0 0 1.5px white, 0 0 1.5px white' },
    'main svg text': { fill: 'black !important', paintOrder: 'stroke', stroke: 'white', strokeWidth: '2.5px' },
    // Rooms that a drawing fills on the screen are as high as the drawing.
    '[data-testid="plan"], [data-testid="section"]': { flex: 'none !important', height: 'auto !important' },
    'main :has(> [data-room])': { height: 'auto !important', breakInside: 'avoid' },
    '.print-columns': {
      display: 'block !important',
      columns: '2',
      '& > *': { breakInside: 'avoid', marginBottom: '2mm' },
    },
    '.chakra-native-select__indicator': { display: 'none' },
    main: { padding: '0 !important' },
    'main *, main': { contain: 'none !important', overflow: 'visible !important' },
    'main [style*="position: sticky"], main [class]': { position: 'static' },
    figure: { height: 'auto !important', breakInside: 'avoid' },
    'main svg': { maxWidth: '100% !important', height: 'auto !important', breakInside: 'avoid' },
    'main svg.lucide': { display: 'none' },
    '[role="checkbox"]': {
      background: 'transparent !important',
      '& svg.lucide': { display: 'block !important', color: 'black' },
    },
    'h2, h3': { breakAfter: 'avoid' },
    'article, tr, li, .keep-together': { breakInside: 'avoid' },
    'input, select, textarea': {
      border: '0 !important',
      padding: '0 !important',
      background: 'transparent !important',
      color: 'black !important',
      appearance: 'none',
    },
  },
} as const;
