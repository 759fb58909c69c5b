import { formatLength, type Habit } from '../quantity';
import { corners, type Drawing, dimensionLine, direction, type Layer, type Point, type Shape } from './model';

/** Colour number of each layer, by what it shows: 1 red, 2 yellow, 3 green, 4 cyan, 5 blue, 7 black or white, 8 grey, 30 orange. */
const colours: Record<Layer, number> = {
  timber: 32,
  back: 34,
  insulation: 52,
  plate: 30,
  tube: 20,
  header: 12,
  pane: 4,
  rail: 36,
  fixing: 8,
  hole: 1,
  centre: 8,
  note: 7,
};

/** mm of text. */
const textHeight = 8;
/** Names a plain text of a drawing program takes: no marks of ours. */
const hiddenLayer = (layer: string) => `${layer}-hidden`;

/**
 * Writes a drawing as DXF (R2007, millimetres, y upwards), full size. Layers are named by role: `tube`, `hole` and so on, edges that
 * lie behind something on `<role>-hidden` in dashes, `dimension` and `label` for words. Dimensions are lines and text, so that any
 * program shows them alike.
 *
 * @returns the file's text
 */
export async function writeDxf(drawing: Drawing, { habit }: { habit: Habit }): Promise<string> {
  const { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } = await import('@tarikjabiri/dxf');
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLType('DASHED', '__ __ __', [6, -4]);
  const layers = new Set(drawing.shapes.map(({ layer, hidden }) => `${layer}${hidden ? '|' : ''}`));
  for (const key of layers) {
    const layer = key.replace('|', '') as Layer;
    if (key.endsWith('|')) dxf.addLayer(hiddenLayer(layer), colours[layer], 'DASHED');
    else dxf.addLayer(layer, colours[layer], 'Continuous');
  }
  dxf.addLayer('dimension', Colors.Cyan, 'Continuous');
  dxf.addLayer('label', Colors.White, 'Continuous');
  const at = ({ x, y }: Point) => point3d(mm(x), mm(y), 0);
  const polyline = (points: readonly Point[], closed: boolean, layerName: string) =>
    dxf.addLWPolyline(
      points.map(({ x, y }) => ({ point: point2d(mm(x), mm(y)) })),
      { flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName },
    );
  const shape = (one: Shape): void => {
    const layerName = one.hidden ? hiddenLayer(one.layer) : one.layer;
    switch (one.kind) {
      case 'rect':
        polyline(corners(one), true, layerName);
        return;
      case 'circle':
        dxf.addCircle(at(one.centre), mm(one.radius), { layerName });
        return;
      case 'line':
        dxf.addLine(at(one.from), at(one.to), { layerName });
        return;
      case 'path':
        polyline(one.points, one.closed, layerName);
        return;
      default:
        one satisfies never;
    }
  };
  for (const one of drawing.shapes) shape(one);
  for (const dimension of drawing.dimensions) {
    const layerName = 'dimension';
    const line = dimensionLine(dimension);
    // A dimension that stands where it measures has no witness lines.
    if (dimension.offset !== 0) {
      dxf.addLine(at(dimension.from), at(line.from), { layerName });
      dxf.addLine(at(dimension.to), at(line.to), { layerName });
    }
    dxf.addLine(at(line.from), at(line.to), { layerName });
    const { along } = direction(line.from, line.to);
    const upright = Math.abs(along.y) > Math.abs(along.x);
    const middle = { x: (line.from.x + line.to.x) / 2, y: (line.from.y + line.to.y) / 2 };
    dxf.addText(at(middle), textHeight, plain(formatLength(dimension.value, habit, { bare: true }).text), {
      layerName,
      rotation: upright ? 90 : 0,
    });
  }
  for (const label of drawing.labels) {
    const layerName = 'label';
    if (label.at.x !== label.to.x || label.at.y !== label.to.y) dxf.addLine(at(label.at), at(label.to), { layerName });
    const size = label.size === undefined ? '' : ` ${formatLength(label.size, habit, { bare: true }).text}`;
    dxf.addText(at(label.to), textHeight, plain(`${label.words}${size}`), { layerName });
  }
  return dxf.stringify();
}

/** mm, to a hundred thousandth: the writer's own rounding. */
function mm(metres: number): number {
  return Math.round(metres * 1e8) / 1e5;
}

/** Text that every reader shows: no thin spaces. */
function plain(text: string): string {
  return text.replaceAll(/[\u202f\u00a0\u2009]/g, ' ');
}
