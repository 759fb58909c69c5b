import { familyIds, parseJob } from '@north-pane/core/document';
import { someOf } from '@north-pane/core/fixtures/trials';
import { expect } from 'chai';
import { differences, pinnedFiles, readPinned, resultsOf } from './pinned';

describe('the recorded jobs', () => {
  it('are those of every kind of heater and of the demo', () => {
    expect(pinnedFiles()).members([...familyIds.map((id) => `${id}.json.br`), 'demo.json.br']);
    for (const file of pinnedFiles()) expect(readPinned(file), file).length(file === 'demo.json.br' ? 1 : 50);
  });

  for (const file of pinnedFiles())
    it(`give what they gave when they were recorded: ${file}`, function () {
      this.timeout(240_000);
      for (const { name, job, results } of someOf(readPinned(file), 10)) {
        const parsed = parseJob(job);
        if (!parsed.ok) throw new Error(`${name}: ${JSON.stringify(parsed.errors)}`);
        expect(differences(results, resultsOf(parsed.job)), name).deep.equal([]);
      }
    });

  it('would show a figure that moved by a billionth, and a word that changed', () => {
    const [recorded] = readPinned('demo.json.br');
    const figures = recorded?.results.figures as { usefulHeat: number };
    const moved = { ...recorded?.results, figures: { ...figures, usefulHeat: figures.usefulHeat * (1 + 3e-9) } };
    expect(differences(recorded?.results, moved)).length(1);
    expect(differences(recorded?.results, moved)[0]).match(/^figures\.usefulHeat: /);
    expect(differences({ words: ['a'] }, { words: ['b'] })).deep.equal(['words.0: "a" -> "b"']);
    expect(differences('at ⟦temperature:80.5:0⟧, dry', 'at ⟦temperature:80.50000000001:0⟧, dry')).deep.equal([]);
    expect(differences('at ⟦temperature:80.5:0⟧', 'at ⟦temperature:80.51:0⟧')).length(1);
    expect(differences('at ⟦temperature:80.5:0⟧', 'of ⟦temperature:80.5:0⟧')).length(1);
    expect(differences({ gain: 1 }, {})).deep.equal(['gain: 1 -> absent']);
    expect(differences([1, 2], [1])).deep.equal(['1: 2 -> absent']);
  });
});
