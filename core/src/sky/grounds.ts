/** Share of the sun that common grounds send back. Textbook round figures; D&B take 0.2 and, for snow, 0.7. */
export const grounds = [
  { albedo: 0.1, words: 'water, dark roof' },
  { albedo: 0.2, words: 'grass, soil, timber deck' },
  { albedo: 0.3, words: 'dry sand, pale gravel' },
  { albedo: 0.4, words: 'pale concrete, light roof' },
  { albedo: 0.7, words: 'snow' },
] as const;

/** How the panel lies to the wind, with the share of the 10 m wind that reaches it. Judgement. */
export const exposures = [
  { share: 0.3, words: 'sheltered: yard, trees, low houses round it' },
  { share: 0.45, words: 'ordinary garden or roof' },
  { share: 0.7, words: 'open: shore, ridge, bare field' },
] as const;
