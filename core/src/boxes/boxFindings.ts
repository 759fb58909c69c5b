import { type Finding, finding } from '../care';
import { entries, screwFrom, type Timber } from '../catalogue';
import type { GlazingDesign } from '../glazings';
import { bearsPane, leastLedge, mostClearance, paneBearing } from './bearing';
import { type Exit, throughBothEnds } from './box';
import { type Frame, leastBay, type TimberBox } from './frame';

/** m that a lip must reach over the pane to hold it. Judgement. */
const leastHold = 0.005;
/** m that a screw through a board grips in its cleat at the least, and stays short of the far face. Judgement: 2.5 diameters and glue. */
const cleatGrip = 0.01;
const shortOf = 0.002;
/** m. A thinner one splits. Judgement. */
const thinnest = 0.012;

/** m. The thinnest cleat that a screw as sold, through its board, grips in. */
export function leastCleat({ thickness, tape }: Timber): number {
  return Math.max(thinnest, screwFrom(thickness + cleatGrip, tape) - thickness + shortOf);
}

/** m. A slice of insulation that holds together. Judgement. */
const leastStrip = 0.005;
/** m that the wall outside a rebate keeps, that a lid keeps under its rebate, and that its frame keeps inside of it. Judgement: less splits. */
const leastRim = 0.003;
const leastUnder = 0.006;

/** The widest ledge that board or lid gives; of boards that the pane lies on, their own thickness. */
function widestLedge({ board, lid, cladding, edge }: TimberBox): number {
  if (lid) return lid.timber.width - 2 * leastUnder;
  return cladding || edge ? board.thickness : board.thickness - leastRim;
}

/** Whether the ledge is a choice and not the thickness of a board. */
function choosesLedge({ lid, cladding, edge }: TimberBox): boolean {
  return lid !== undefined || !(cladding || edge);
}

/** What gives a pane with that clearance its bearing: nothing to do, a wider ledge, or nothing that can be done. */
export function mendBearing(
  made: TimberBox,
  clearance: number,
  path: string,
): { path: string; value: number }[] | undefined {
  if (bearsPane(choosesLedge(made) ? made.ledge : made.board.thickness, clearance)) return [];
  const value = leastLedge(clearance);
  if (!choosesLedge(made) || value > widestLedge(made) + 1e-9) return undefined;
  return [{ path: `${path}.box.parameters.ledge`, value }];
}

/** What holds the pane: its bearing in the middle and slid aside, the wall left beside the rebate, the lid left under it. */
function seatFindings(made: TimberBox, frame: Frame, glazing: GlazingDesign, path: string): Finding[] {
  if (!glazing.cover) return [];
  const { board, lid } = made;
  const { clearance } = glazing;
  const widest = widestLedge(made);
  const found: Finding[] = [];
  const at = { x: frame.outside.length / 2, y: frame.wall / 2 };
  const ledge = choosesLedge(made) ? made.ledge : board.thickness;
  if (choosesLedge(made) && made.ledge > widest + 1e-9)
    found.push(
      finding.clash(
        'ledge-too-wide',
        `${path}.box.parameters.ledge`,
        { ledge: made.ledge, most: widest },
        { at, fix: Math.floor(widest * 2000 + 1e-6) / 2000 },
      ),
    );
  else if (!bearsPane(ledge, clearance)) {
    const { centred, slid } = paneBearing(ledge, clearance);
    const [mend] = mendBearing(made, clearance, path) ?? [];
    found.push(
      finding.clash(
        'pane-falls-in',
        mend?.path ?? `${path}.glazing.parameters.clearance`,
        {
          ledge,
          clearance,
          centred: Math.max(0, centred),
          slid: Math.max(0, slid),
          least: leastLedge(clearance),
        },
        { at, fix: mend?.value ?? Math.max(0.001, mostClearance(Math.min(widest, ledge))) },
      ),
    );
  }
  if (lid && lid.timber.thickness < glazing.seatDepth + leastUnder - 1e-9) {
    const needed = glazing.seatDepth + leastUnder;
    const [thicker] = entries('timber')
      .filter((one) => one.tape === lid.timber.tape && one.width < 0.06 && one.thickness >= needed - 1e-9)
      .sort((a, b) => a.thickness - b.thickness);
    found.push(
      finding.clash(
        'lid-too-thin',
        `${path}.box.parameters.lidFrame`,
        { lid: lid.timber.thickness, seat: glazing.seatDepth, needed },
        { at, ...(thicker ? { fix: thicker.id } : {}) },
      ),
    );
  }
  // A frame that bears on less than half of the wall under it tips into the box.
  if (lid && lid.timber.width <= frame.wall / 2 + 1e-9) {
    const [wider] = entries('timber')
      .filter(
        (one) =>
          one.tape === lid.timber.tape &&
          one.width < 0.06 &&
          one.width > frame.wall / 2 + 1e-9 &&
          one.thickness >= lid.timber.thickness - 1e-9,
      )
      .sort((a, b) => a.width * a.thickness - b.width * b.thickness);
    found.push(
      finding.clash(
        'lid-too-narrow',
        `${path}.box.parameters.lidFrame`,
        { lid: lid.timber.width, wall: frame.wall },
        { at, ...(wider ? { fix: wider.id } : {}) },
      ),
    );
  }
  return found;
}

/** What cannot be built of a box, or will not hold, as it is drawn. */
export function boxFindings(
  made: TimberBox,
  frame: Frame,
  glazing: GlazingDesign,
  path: string,
  exits: readonly Exit[],
): Finding[] {
  const { cladding, edge, board } = made;
  const at = (name: string) => `${path}.box.parameters.${name}`;
  const found: Finding[] = [];
  if (cladding && cladding.width < frame.rimTop - 1e-9)
    found.push(finding.clash('cladding-too-narrow', at('cladding'), { board: cladding.width, needed: frame.rimTop }));
  const mostRails = Math.max(0, Math.floor((frame.inside.length - leastBay) / (leastBay + board.thickness) + 1e-9));
  if (made.rails > mostRails)
    found.push(
      finding.clash(
        'rails-fill-box',
        at('rails'),
        { rails: made.rails, most: mostRails },
        { at: { x: frame.outside.length / 2, y: frame.outside.width / 2 }, fix: mostRails },
      ),
    );
  for (const [field, least] of [
    ['cleat', leastCleat(made.board)],
    ['edgeStrip', leastStrip],
  ] as const)
    if (made[field] > 0 && made[field] < least - 1e-9)
      found.push(
        finding.clash(
          'too-thin-to-cut',
          at(field),
          { what: field === 'cleat' ? 'corner cleat' : 'edge strip', size: made[field], least },
          { fix: field === 'cleat' && least <= made.board.thickness ? Math.ceil(least * 1000 - 1e-6) / 1000 : 0 },
        ),
      );
  found.push(...seatFindings(made, frame, glazing, path));
  const through = exits.find(({ side }) => side === 'low' || side === 'high');
  const ends = throughBothEnds(exits);
  if ((through || ends) && made.side === 'fixed')
    found.push(
      finding.clash(
        'array-cannot-go-in',
        at('side'),
        { where: through ? 'sides' : 'ends' },
        {
          fix: 'removable',
          at: through
            ? { x: through.along, y: through.side === 'low' ? frame.wall / 2 : frame.outside.width - frame.wall / 2 }
            : { x: frame.outside.length - frame.wall / 2, y: frame.outside.width / 2 },
        },
      ),
    );
  if (edge && glazing.cover) {
    const { thickness } = edge.sheet;
    const hold = edge.lip - thickness - glazing.clearance;
    const most = board.thickness + thickness;
    if (hold < leastHold - 1e-9)
      found.push(
        finding.clash(
          'lip-misses-pane',
          at('lip'),
          { lip: edge.lip, least: thickness + glazing.clearance + leastHold },
          { fix: Math.ceil((thickness + glazing.clearance + leastHold) * 1000) / 1000 },
        ),
      );
    else if (edge.lip > most + 1e-9)
      found.push(
        finding.caution(
          'lip-shades-plate',
          at('lip'),
          { lip: edge.lip, most },
          { fix: Math.floor(most * 1000) / 1000 },
        ),
      );
  }
  return found;
}
