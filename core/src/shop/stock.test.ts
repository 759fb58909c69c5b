import { expect } from 'chai';
import { entries, entry, findEntry } from '../catalogue';
import { guidePrices, planShop, tubeMass, usualLengths } from '.';

describe('shop: what is sold', () => {
  it('lists every tube, board, sheet, bar and track of one tape and none of the other, each with a price', () => {
    for (const habit of ['metric', 'imperial'] as const) {
      const { sold } = guidePrices(habit);
      expect(new Set(sold.map((one) => one.id)).size).equal(sold.length);
      for (const one of sold) {
        expect(one.price, one.id).above(0);
        const kind = (['tube', 'timber', 'sheet', 'track', 'bar'] as const).find((list) => findEntry(list, one.item));
        if (!kind) throw new Error(`nothing called ${one.item}`);
        expect(entry(kind, one.item).tape, one.id).equal(habit);
      }
      for (const tube of entries('tube'))
        if (tube.tape === habit)
          expect(sold.filter((one) => one.item === tube.id).length, tube.id).equal(tube.lengths.length);
    }
  });
  it('weighs copper tube as the standards list it: 15 × 0.7 0.280 kg/m, half-inch M 0.204 lb/ft (recalled)', () => {
    expect(tubeMass(entry('tube', 'en-1057-15x0.7'))).closeTo(0.28, 0.002);
    expect((tubeMass(entry('tube', 'astm-b88-m-1_2')) * 0.3048) / 0.45359237).closeTo(0.204, 0.002);
  });
  it('prices by weight: a thicker wall costs more', () => {
    const { sold } = guidePrices('metric');
    const price = (item: string) =>
      sold.find((one) => one.item === item && 'length' in one && one.length === 3)?.price ?? 0;
    expect(price('en-1057-15x1')).above(price('en-1057-15x0.7'));
  });
  it('knows usual lengths of what no list has', () => {
    expect(usualLengths('en-1057-15x0.7')).deep.equal([3, 5]);
    expect(usualLengths('track-100')).deep.equal([1.2]);
    expect(usualLengths('moonstone')).deep.equal([]);
  });
});

describe('shop: on hand first', () => {
  const base = {
    ...guidePrices('metric'),
    onHand: [],
    kerfs: { tube: 0, timber: 0.003, sheet: 0.003 },
    spares: { consumables: 0 },
  };
  const board = {
    id: 'p/rail',
    name: 'Rail',
    item: 'planed-90x19',
    count: 2,
    operations: [],
    mass: 1,
    kind: 'length' as const,
    stuff: 'timber' as const,
    length: 1,
  };
  const sheet = {
    id: 'p/back',
    name: 'Back',
    item: 'ply-9',
    count: 1,
    operations: [],
    mass: 4,
    kind: 'sheet' as const,
    width: 1,
    height: 1.1,
    turn: true,
  };
  it('takes the offcut in the shed for nothing and says so', () => {
    const plan = planShop([board, sheet], [], {
      ...base,
      onHand: [
        { id: 'shed-board', item: 'planed-90x19', length: 2.01, count: 1 },
        { id: 'shed-ply', item: 'ply-9', width: 1.2, height: 1.2, count: 1 },
      ],
    });
    expect(plan.cost).equal(0);
    expect(plan.buy.map((line) => line.rule)).deep.equal(['on hand', 'on hand']);
    expect(plan.buy.every((line) => line.priceField === undefined)).equal(true);
  });
  it('buys when the kerf spoils the offcut', () => {
    const plan = planShop([board], [], {
      ...base,
      onHand: [{ id: 'shed-board', item: 'planed-90x19', length: 2.002, count: 1 }],
    });
    expect(plan.cost).above(0);
  });
  it('points each price at the field that sets it', () => {
    const plan = planShop(
      [board],
      [{ id: 'p/caps', name: 'Caps', quantity: 2, unit: 'each', priceKey: 'cap', rule: 'two', mass: 0 }],
      base,
    );
    for (const line of plan.buy) {
      const [list, key = '', price] = line.priceField ?? [];
      const field = list === 'sold' ? base.sold.find(({ id }) => id === key)?.[price as 'price'] : base.prices[key];
      expect(field, line.name).equal(line.each);
    }
  });
  it('adds a spare to what is measured out, and none to what is counted or sized', () => {
    const want = (unit: 'each' | 'kg' | 'm²') =>
      planShop([], [{ id: 'x', name: 'X', quantity: 2, unit, priceKey: 'cap', rule: '', mass: 0 }], {
        ...base,
        spares: { consumables: 0.5 },
      }).buy[0]?.quantity;
    expect([want('each'), want('kg'), want('m²')]).deep.equal([2, 3, 2]);
  });
});
