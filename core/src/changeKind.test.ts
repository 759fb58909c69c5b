import { expect } from 'chai';
import { defaultJob, heatersOf } from './document';
import { changeKind, type Family, families, type HeaterDocument } from './families';
import { mounts } from './mounts';

describe('families: what comes along when the kind is changed', () => {
  const first = (family: string) => heatersOf(defaultJob(family))[0] as HeaterDocument;
  it('is what means the same, not what is called the same: a hose is not wound at the pitch of risers', () => {
    const harp = first('harp');
    const { panel: wound, left } = changeKind(harp, 'spiral', 'metric');
    expect(wound.parameters.pitch).equal(families.spiral.standard('metric').parameters.pitch);
    expect(wound.parameters.pitch).not.equal(harp.parameters.pitch);
    expect(left).include('riser pitch');
    const { panel: bank } = changeKind(harp, 'heat-pipe', 'metric');
    expect(bank.parameters.pitch).equal(families['heat-pipe'].standard('metric').parameters.pitch);
    // The head over a barrel is not the head over a shower, nor a sheet's length that of a pipe.
    const lattice = { ...first('lattice'), parameters: { ...first('lattice').parameters, head: 0.9, length: 1.5 } };
    const { panel: tube } = changeKind(lattice, 'roof-tube', 'metric');
    const { head, length } = families['roof-tube'].standard('metric').parameters;
    expect(tube.parameters).include({ head, length });
  });
  it('is tube spacing from plate to plate', () => {
    const harp = { ...first('harp'), parameters: { ...first('harp').parameters, pitch: 0.12, riserCount: 8 } };
    expect(changeKind(harp, 'serpentine', 'metric').kept).include('riser pitch');
  });
  it('has one kind of value by each tag', () => {
    const seen = new Map<string, Set<string>>();
    for (const family of Object.values<Family>(families))
      for (const { meta } of family.fields(first(family.id)))
        if (meta.same) seen.set(meta.same, (seen.get(meta.same) ?? new Set()).add(`${meta.kind} ${meta.list ?? ''}`));
    expect(seen.size).above(3);
    for (const [tag, values] of seen) expect([...values], tag).length(1);
  });
  it('is the stand too, where the new kind goes on it', () => {
    const mount = { kind: 'ground-stand', parameters: mounts['ground-stand'].standard('metric') };
    const harp = { ...first('harp'), mount };
    expect(changeKind(harp, 'serpentine', 'metric').panel.mount).deep.equal(mount);
    const { panel: box, left } = changeKind(harp, 'batch-box', 'metric');
    expect(box).not.property('mount');
    expect(left).include('stand');
  });
});
