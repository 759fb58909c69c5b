import { expect } from 'chai';
import DxfParser from 'dxf-parser';
import { type Drawing, tiles, writeDxf } from '.';

const drawing: Drawing = {
  title: 'A board with a hole',
  shapes: [
    { kind: 'rect', layer: 'timber', x: 0.1, y: 0.2, width: 1.5, height: 0.115 },
    { kind: 'circle', layer: 'hole', centre: { x: 0.4, y: 0.25 }, radius: 0.016 },
    { kind: 'line', layer: 'centre', from: { x: 0, y: 0.25 }, to: { x: 2, y: 0.25 } },
    {
      kind: 'path',
      layer: 'rail',
      hidden: true,
      closed: false,
      points: [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
      ],
    },
  ],
  dimensions: [
    { id: 'length', label: 'length', from: { x: 0.1, y: 0.2 }, to: { x: 1.6, y: 0.2 }, offset: -0.05, value: 1.5 },
  ],
  labels: [{ at: { x: 0.4, y: 0.25 }, to: { x: 0.5, y: 0.4 }, words: 'exit', size: 0.032, anchor: 'start' }],
};

interface Entity {
  type: string;
  layer: string;
  vertices?: { x: number; y: number }[];
  center?: { x: number; y: number };
  radius?: number;
  shape?: boolean;
  text?: string;
}

async function parsed(habit: 'metric' | 'imperial' = 'metric') {
  const file = new DxfParser().parseSync(await writeDxf(drawing, { habit }));
  if (!file) throw new Error('not read');
  return { file, entities: file.entities as unknown as Entity[] };
}

describe('draw: DXF, read back', () => {
  it('is millimetres, in a version that came after R12, its layers named by role', async () => {
    const { file } = await parsed();
    expect(file.header.$INSUNITS).equal(4);
    expect(String(file.header.$ACADVER) >= 'AC1015').equal(true);
    const layers = file.tables as unknown as { layer: { layers: Record<string, unknown> } };
    expect(Object.keys(layers.layer.layers)).include.members([
      'timber',
      'hole',
      'centre',
      'rail-hidden',
      'dimension',
      'label',
    ]);
  });
  it('has every shape where the drawing has it, full size', async () => {
    const { entities } = await parsed();
    const rect = entities.find(({ layer, type }) => layer === 'timber' && type === 'LWPOLYLINE');
    expect(rect?.shape).equal(true);
    expect(rect?.vertices?.map(({ x, y }) => [x, y])).deep.equal([
      [100, 200],
      [1600, 200],
      [1600, 315],
      [100, 315],
    ]);
    const hole = entities.find(({ type }) => type === 'CIRCLE');
    expect(hole).deep.include({ layer: 'hole', radius: 16 });
    expect([hole?.center?.x, hole?.center?.y]).deep.equal([400, 250]);
    const open = entities.find(({ layer }) => layer === 'rail-hidden');
    expect([open?.shape, open?.vertices?.length]).deep.equal([false, 3]);
  });
  it('writes its numbers in the reader’s habit, in letters that every program has', async () => {
    const texts = (entities: Entity[]) => entities.flatMap(({ text }) => text ?? []);
    expect(texts((await parsed()).entities)).include.members(['1 500', 'exit 32']);
    for (const text of texts((await parsed('imperial')).entities)) expect(text).not.match(/[\u202f\u00a0]/);
  });
});

describe('draw: tiles', () => {
  const box = { left: 0.2, bottom: -0.1, width: 1, height: 0.3 };
  it('cover all of the drawing and lap over by what was asked', () => {
    const all = tiles(box, { width: 0.25, height: 0.18 }, 0.01);
    expect([all[0]?.columns, all[0]?.rows]).deep.equal([5, 2]);
    for (let x = 0.2; x <= 1.2; x += 0.013)
      for (let y = -0.1; y <= 0.2; y += 0.011)
        expect(
          all.some(
            (one) =>
              x >= one.x - 1e-9 && x <= one.x + one.width + 1e-9 && y >= one.y - 1e-9 && y <= one.y + one.height + 1e-9,
          ),
        ).equal(true);
    const [first, second] = all;
    expect((first?.x ?? 0) + (first?.width ?? 0) - (second?.x ?? 0)).closeTo(0.01, 1e-9);
  });
  it('is one where it goes on one', () => {
    expect(tiles(box, { width: 1, height: 0.3 }, 0.01).length).equal(1);
    expect(tiles(box, { width: 0.999, height: 0.3 }, 0.01).length).equal(2);
  });
});
