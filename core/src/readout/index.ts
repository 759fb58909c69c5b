// Figures as faces show them: readouts with their derivations and how they are written, and the few kinds of section.

export type { Derivation, Measured, Readout } from './readout';
export { sayBand, sayMeasured, sayReadout } from './sayReadout';
export type { Section, SectionBody, SectionSource } from './section';
