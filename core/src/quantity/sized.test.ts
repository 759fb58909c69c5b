import { expect } from 'chai';
import * as fc from 'fast-check';
import { measured, sayWords, sized } from '.';

/** With the hard space between number and unit made an ordinary one. */
const plain = (words: string) => words.replaceAll(/\s/g, ' ');

describe('lengths in sentences', () => {
  it('are written in the habit of who reads them', () => {
    const words = `rip ${sized(0.0381)} square, drill ${sized(0.0087, true)}`;
    expect(plain(sayWords(words, 'metric'))).equal('rip 38 mm square, drill 8.7 mm');
    expect(sayWords(words, 'imperial')).equal('rip 1 1/2″ square, drill 11/32″');
  });
  it('stand beside other quantities, in the unit of the habit', () => {
    const words = `hold ${measured('pressure', 100000, 1)}, ${measured('mass', 25, 0)} by two`;
    expect(plain(sayWords(words, 'metric'))).match(/^hold 100\.0 kPa|^hold 1\.0 bar/);
    expect(plain(sayWords(words, 'imperial'))).match(/14\.5 psi, 55 lb by two/);
  });
  it('leave other words as they are, and no mark behind', () => {
    expect(sayWords('square both ends', 'metric')).equal('square both ends');
    fc.assert(
      fc.property(fc.double({ min: 0, max: 10, noNaN: true }), fc.boolean(), (metres, fine) => {
        for (const habit of ['metric', 'imperial'] as const)
          expect(sayWords(`cut ${sized(metres, fine)}`, habit)).match(/^cut [^⟦⟧]+$/);
      }),
    );
  });
});
