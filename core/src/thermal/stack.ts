/** Something that heat goes out through, layer by layer from the hot side. */
export interface ThermalStack {
  layers: readonly {
    name: string;
    /** m. */
    thickness: number;
    /** W/mK. */
    conductivity: number;
  }[];
  /** W/m²K of the surface inside; left out where the first layer touches what is hot. */
  inside?: number;
  /** W/m²K of the surface outside. */
  outside: number;
}

function resistances(stack: ThermalStack): number[] {
  return [
    stack.inside === undefined ? 0 : 1 / stack.inside,
    ...stack.layers.map(({ thickness, conductivity }) => thickness / conductivity),
    1 / stack.outside,
  ];
}

/** W/m²K from the hot side to the air. EN ISO 6946: resistances in series. */
export function stackConductance(stack: ThermalStack): number {
  return 1 / resistances(stack).reduce((sum, one) => sum + one, 0);
}

/** °C at every face of the layers, from the hot side out: one more than there are layers. */
export function stackFaces(stack: ThermalStack, hot: number, air: number): number[] {
  const flux = stackConductance(stack) * (hot - air);
  let temperature = hot;
  return resistances(stack)
    .slice(0, -1)
    .map((resistance) => {
      temperature -= flux * resistance;
      return temperature;
    });
}
