import { formatQuantity, type Habit } from '../quantity';

/** °C that somebody who heats water asks for: colder is what comes from the ground, hotter is steam in the loop. */
const warmWater = { low: 10, high: 95 } as const;

export function isWarmWater(target: number): boolean {
  return target >= warmWater.low && target <= warmWater.high;
}

/** Why another temperature is not taken. */
export function warmWaterWords(habit: Habit): string {
  const [low, high] = [warmWater.low, warmWater.high].map((one) => formatQuantity('temperature', one, habit, 0).text);
  return `Warm water is ${low} to ${high}.`;
}
