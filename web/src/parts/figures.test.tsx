import { ChakraProvider } from '@chakra-ui/react';
import { defaultJob } from '@north-pane/core/document';
import { evaluateJob, heaterDerivations } from '@north-pane/core/figures';
import { openJob } from '@north-pane/core/job';
import { measured } from '@north-pane/core/quantity';
import { expect } from 'chai';
import { renderToStaticMarkup } from 'react-dom/server';
import { SvgLength } from '../drawing/SvgLength';
import { Paths } from '../stations/size/Paths';
import { system } from '../theme/system';
import { LengthText } from './LengthText';
import { PlainTable } from './PlainTable';
import { Readout } from './Readout';

const inch = 0.0254;
/** What a reader sees of some markup. */
const seen = (markup: string) =>
  markup
    .replace(/<[^>]+>/g, '')
    .replaceAll('&#x27;', '’')
    .replaceAll(/[\u00a0\u2009\u200a]/g, ' ');

describe('web: lengths as a tape reads them', () => {
  const rows: [metres: number, habit: 'metric' | 'imperial', text: string][] = [
    [1.872, 'metric', '1 872 mm'],
    [0, 'metric', '0 mm'],
    [40.625 * inch, 'imperial', '3′ 4 5⁄8″'],
    [0.5 * inch, 'imperial', '1⁄2″'],
    [12 * inch, 'imperial', '1′'],
    [12.25 * inch, 'imperial', '1′ 1⁄4″'],
    [0, 'imperial', '0″'],
    [-3.5 * inch, 'imperial', '−3 1⁄2″'],
  ];
  for (const [metres, habit, text] of rows)
    it(text, () => {
      const page = seen(renderToStaticMarkup(<LengthText value={metres} habit={habit} />));
      expect(page.replaceAll(' ', '')).equal(text.replaceAll(' ', ''));
      const drawn = seen(
        renderToStaticMarkup(
          // biome-ignore lint/a11y/noSvgWithoutTitle: only a place for the text that is read
          <svg>
            <text>
              <SvgLength value={metres} habit={habit} unit />
            </text>
          </svg>,
        ),
      );
      expect(drawn.replaceAll(' ', '')).equal(text.replaceAll(' ', ''));
    });
  it('leaves the unit out when asked, and feet when told', () => {
    expect(seen(renderToStaticMarkup(<LengthText value={1.872} habit="metric" bare />))).equal('1 872');
    expect(seen(renderToStaticMarkup(<LengthText value={40 * inch} habit="imperial" inchesOnly />))).equal('40″');
  });
});

describe('web: where the sun goes', () => {
  it('is told for those who cannot see it, in shares that add up to a hundred', () => {
    const state = evaluateJob(defaultJob('harp')).perHeater[0]?.work?.state;
    if (!state) throw new Error('no panel');
    const markup = renderToStaticMarkup(<Paths sun="800 W/m²" paths={state.paths} />);
    const told = /aria-label="([^"]*)"/.exec(markup)?.[1] ?? '';
    const shares = [...told.matchAll(/(\d+) percent/g)].map((match) => Number(match[1]));
    expect(shares).length(5);
    expect(shares.reduce((sum, share) => sum + share, 0)).within(98, 102);
    expect(told).match(/^to water/);
  });
});

describe('web: a readout', () => {
  const job = defaultJob('harp');
  const design = openJob(job).panels[0]?.design;
  if (!design) throw new Error('no panel');
  const derivation = heaterDerivations(evaluateJob(job), design, 0).fin;
  const draw = (open: boolean) =>
    renderToStaticMarkup(
      <ChakraProvider value={system}>
        <Readout
          label="Fin efficiency"
          value="0.96"
          band="0.95 to 0.97"
          habit="metric"
          onOpen={() => {}}
          {...(open ? { derivation } : {})}
        />
      </ChakraProvider>,
    );
  it('closed shows name, figure and band', () => {
    expect(seen(draw(false)))
      .include('Fin efficiency')
      .include('0.96')
      .include('0.95 to 0.97')
      .not.include('tanh');
    expect(draw(false)).include('aria-expanded="false"');
  });
  it('open shows formula, inputs with units, and source', () => {
    expect(seen(draw(true)))
      .include('tanh')
      .include('tube, outside')
      .include('15.0 mm')
      .include('Duffie and Beckman, equation 6.5.12');
    expect(draw(true)).include('aria-expanded="true"');
  });
});

describe('web: a table', () => {
  const section = {
    id: 'heats',
    kind: 'table',
    title: 'Heats',
    columns: ['at', `air ${measured('temperature', 20, 0)}`],
    rows: [
      [measured('irradiance', 800, 0), `${measured('temperature', 100, 0)}; bare ${measured('temperature', 50, 0)}`],
    ],
    note: `In ${measured('speed', 2, 0)} of wind.`,
  } as const;
  const drawn = (habit: 'metric' | 'imperial', headed = false) =>
    renderToStaticMarkup(
      <ChakraProvider value={system}>
        <PlainTable section={section} habit={habit} headed={headed} />
      </ChakraProvider>,
    );

  it('says quantities anywhere in it in the reader’s unit, and no marks', () => {
    expect(seen(drawn('metric'))).match(/air 20 °C[\s\S]*100 °C; bare 50 °C/);
    expect(seen(drawn('imperial'))).match(/air 68 °F[\s\S]*212 °F; bare 122 °F/);
    for (const habit of ['metric', 'imperial'] as const) expect(drawn(habit)).not.match(/[⟦⟧]/);
  });
  it('keeps its title for readers of the page where a heading has it already', () => {
    expect(drawn('metric')).match(/<caption style="text-align:left/);
    expect(drawn('metric', true)).match(/<caption style="position:absolute[^"]*">Heats<\/caption>/);
  });
});
