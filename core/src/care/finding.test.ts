import { expect } from 'chai';
import { type Finding, gravestFirst, isClash, sayIn, UnworthyFinding, type Words, wordFinding } from '.';

const table: Record<string, Words> = {
  short: (values, say) => ({
    headline: `${say.length(values.number('by'))} short`,
    detail: `The ${values.text('what')} sees ${say.quantity('temperature', values.number('heat'), 0)}.`,
    remedy: 'Take a longer one.',
  }),
};
const finding: Finding = {
  code: 'short',
  severity: 'clash',
  path: 'heaters.panel-a',
  values: { by: 0.0254, what: 'board', heat: 100 },
};

describe('care: how grave a finding is', () => {
  it('keeps a job from being built by clashes and dangers alone', () => {
    const severities = ['stop', 'clash', 'caution', 'note'] as const;
    expect(severities.filter((severity) => isClash({ severity }))).deep.equal(['stop', 'clash']);
  });
});

describe('care: findings in words', () => {
  it('speak in the builder’s own units', () => {
    expect(wordFinding(finding, table, 'imperial')).deep.equal({
      headline: '1″ short',
      detail: 'The board sees 212\u00a0°F.',
      remedy: 'Take a longer one.',
    });
    expect(wordFinding(finding, table, 'metric').headline).equal('25\u00a0mm short');
  });
  const unworthy: [what: string, values: Finding['values'], missing: string][] = [
    ['a number that is missing', { what: 'board', heat: 1 }, 'by'],
    ['a number that is none', { by: Number.NaN, what: 'board', heat: 1 }, 'by'],
    ['words where a number should be', { by: 'much', what: 'board', heat: 1 }, 'by'],
    ['a number where words should be', { by: 1, what: 7, heat: 1 }, 'what'],
  ];
  for (const [what, values, missing] of unworthy)
    it(`refuse ${what}, by name`, () => {
      expect(() => wordFinding({ ...finding, values }, table, 'metric'))
        .throw(UnworthyFinding)
        .include({ code: 'short', missing });
    });
  it('refuse a code that has no words', () => {
    expect(() => wordFinding({ ...finding, code: 'long' }, table, 'metric')).throw(
      UnworthyFinding,
      'long has no words',
    );
  });
  it('say lengths and quantities alone too', () => {
    expect(sayIn('imperial').length(0.3048)).equal('1′');
    expect(sayIn('metric').quantity('pressure', 2500)).equal('2.50\u00a0kPa');
  });
  it('stand the gravest first, and else as they came', () => {
    const list = (['note', 'caution', 'stop', 'clash', 'caution', 'stop'] as const).map((severity, index) => ({
      ...finding,
      severity,
      path: String(index),
    }));
    expect(gravestFirst(list).map(({ path }) => path)).deep.equal(['2', '5', '3', '1', '4', '0']);
    expect(list[0]?.severity).equal('note');
  });
});
