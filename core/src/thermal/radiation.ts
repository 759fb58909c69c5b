/** W/m²K⁴. Stefan and Boltzmann's constant, CODATA 2018. */
export const stefan = 5.670374e-8;

/** K⁴ of a temperature in °C. */
export function fourthPower(celsius: number): number {
  const square = (celsius + 273.15) * (celsius + 273.15);
  return square * square;
}
