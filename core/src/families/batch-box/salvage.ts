import { sized } from '../../quantity';
import type { Family, SalvageFit } from '../family';
import { largestPane, roleOf, type Taken, thingsOf } from '../salvage';

/** A box round a pane and old tanks that are on hand: whichever of both it can hold. */
export function fitBoxSalvage(family: Pick<Family, 'fit' | 'problems' | 'open'>): SalvageFit {
  return (panel, things, standing) => {
    const pane = largestPane(things);
    const [tank] = thingsOf(things, 'tank').sort((a, b) => b.count - a.count);
    const { parameters } = panel;
    const withTank = tank
      ? {
          tankKind: 'used',
          tankDiameter: tank.diameter,
          tankLength: tank.length,
          tanks: Math.min(tank.count, Number(parameters.tanks)),
        }
      : undefined;
    const withPane = (turned: boolean) =>
      pane ? { paneLength: turned ? pane.short : pane.long, paneWidth: turned ? pane.long : pane.short } : undefined;
    // The most that can be used first.
    const ways: readonly [tanks: typeof withTank, glass: ReturnType<typeof withPane>][] = [
      [withTank, withPane(false)],
      [withTank, withPane(true)],
      [withTank, undefined],
      [undefined, withPane(false)],
      [undefined, withPane(true)],
    ];
    for (const [tanks, glass] of ways) {
      if (!tanks && !glass) continue;
      const drawn = { ...panel, parameters: { ...parameters, ...tanks, ...glass } };
      if (family.problems(drawn).length > 0) continue;
      // Without a pane of its own the box follows its tanks, and its pane is ordered to size.
      const fitted = glass && !tanks ? (family.fit?.(drawn, standing) ?? drawn) : drawn;
      if (family.problems(fitted).length > 0) continue;
      const { findings, purchases } = family.open(fitted, 'heaters.any', standing);
      if (findings.some(({ severity }) => severity === 'clash')) continue;
      const taken: Taken[] = [];
      const line = purchases.find(({ priceKey }) => priceKey.startsWith('pane/'));
      if (glass && pane && line)
        taken.push({
          id: pane.id,
          words: `the pane ${sized(pane.long)} × ${sized(pane.short)} as its cover`,
          covers: { [roleOf(line)]: line.quantity * pane.count },
          alike: pane.count,
        });
      if (tanks && tank)
        taken.push({
          id: tank.id,
          words: `${tanks.tanks} of the tanks, ${sized(tank.diameter)} across`,
          covers: { tank: tank.count },
          alike: Math.max(1, Math.floor(tank.count / tanks.tanks)),
        });
      return { panel: fitted, taken };
    }
    return { panel, taken: [] };
  };
}
