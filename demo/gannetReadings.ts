import type { Job } from '@north-pane/core/document';
import { heatersState } from '@north-pane/core/loop';
import { clearOnPane, readingConditions } from '@north-pane/core/proof';
import { plantOf } from '@north-pane/core/proving';
import { normals } from '@north-pane/core/quantity';
import { massFlowOf, spreadOf } from '@north-pane/core/thermal';

/** J/K of panels and pipe between the two thermometers: how slowly the outlet follows. */
const lag = 60_000;
const step = 300;

interface Day {
  /** Local date and the offset of the site's clock on it, hours. */
  date: [year: number, month: number, day: number];
  offset: number;
  /** °C at the inlet: held by a test on the hose, or rising as the tank warms. */
  inlet(hour: number): number;
  /** Share of the clear sun. */
  sky(hour: number, noise: number): number;
  /** °C. */
  air: [morning: number, afternoon: number];
}

const days: readonly Day[] = [
  // Commissioning: a day on the hose with cold water, a day with water held warm in the tank.
  { date: [2026, 2, 9], offset: 13, inlet: () => 17.6, sky: () => 0.985, air: [15, 23] },
  {
    date: [2026, 2, 10],
    offset: 13,
    inlet: () => 38.2,
    sky: (hour) => (hour > 14.4 && hour < 15.3 ? 0.42 : 0.97),
    air: [16, 24],
  },
  // In use: the loop goes round through the tank.
  {
    date: [2026, 2, 11],
    offset: 13,
    inlet: (hour) => 19 + 2.6 * Math.max(0, hour - 9),
    sky: (_, noise) => 0.72 + 0.22 * Math.tanh(noise),
    air: [16, 21],
  },
  {
    date: [2026, 2, 12],
    offset: 13,
    inlet: (hour) => 21 + 2.9 * Math.max(0, hour - 8.5),
    sky: (hour) => (hour < 10 ? 0.6 : 0.97),
    air: [14, 22],
  },
];

/**
 * What a logger would have written at Gannet Reach, had the panes passed less than the drawing says: 0.70 square on and
 * not 0.90. Sun by the clear sky, panels by the same steady model as the forecast with a lag, instruments with their
 * noise. Stand-in data: it validates nothing.
 */
export function gannetReadings(job: Job, seed: number): string {
  const plant = plantOf(job);
  const built = {
    ...plant,
    groups: plant.groups.map(({ thermal, count }) => {
      const pane = spreadOf(thermal, 'transmittance');
      return { count, thermal: pane ? thermal.withKnownInputs({ transmittance: { ...pane, likely: 0.7 } }) : thermal };
    }),
  };
  const normal = normals(seed);
  const lines = ['time,water in °C,water out °C,air °C,sun on pane W/m²,flow L/min,wind m/s'];
  for (const day of days) {
    let gain = 0;
    let cloud = 0;
    const [year, month, date] = day.date;
    for (let minute = 7 * 60; minute <= 19 * 60; minute += step / 60) {
      const hour = minute / 60;
      const time = Date.UTC(year, month - 1, date) + (hour - day.offset) * 3_600_000;
      cloud = 0.8 * cloud + 0.6 * normal();
      const clear = clearOnPane(plant, time).total;
      const irradiance = Math.max(0, clear * day.sky(hour, cloud));
      const [morning, afternoon] = day.air;
      const air = morning + (afternoon - morning) * Math.max(0, Math.sin(((hour - 8) / 14) * Math.PI)) + 0.1 * normal();
      const wind = Math.max(0, 1.4 + 0.9 * Math.sin(((hour - 9) / 10) * Math.PI) + 0.35 * normal());
      const flow = (5.2 / 60_000) * (1 + 0.004 * normal());
      const inlet = day.inlet(hour) + 0.05 * normal();
      const running = irradiance > 120;
      const reading = { time, inlet, outlet: inlet, air, flow, irradiance, wind };
      const conditions = running ? readingConditions(built, reading) : undefined;
      const steady = conditions ? (heatersState(built.groups, built.connection, conditions).gain ?? 0) : 0;
      const follow = 1 - Math.exp((-step * 4180 * massFlowOf(flow, inlet)) / lag);
      gain += (steady - gain) * (running ? follow : 1);
      const written = [
        `${year}-${pad(month)}-${pad(date)} ${pad(Math.floor(hour))}:${pad(Math.round(minute % 60))}`,
        inlet.toFixed(2),
        (inlet + gain + 0.04 + 0.03 * normal()).toFixed(2),
        air.toFixed(1),
        Math.round(irradiance * (1 + 0.006 * normal())).toString(),
        (running ? flow * 60_000 : 0).toFixed(2),
        wind.toFixed(1),
      ];
      lines.push(written.join(','));
    }
  }
  return `${lines.join('\n')}\n`;
}

function pad(value: number): string {
  return String(value).padStart(2, '0');
}
