/** A town of the list that ships with North Pane. */
export interface Town {
  name: string;
  /** Where it lies, in words: province and country. */
  of: string;
  /** Degrees. */
  latitude: number;
  longitude: number;
  /** IANA. */
  zone: string;
  people: number;
}

/** Letters without their marks, and small: as they are typed. */
function plain(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();
}

interface Listed {
  town: Town;
  /** Names that it is found by. */
  names: string[];
  /** Those of its country and province. */
  places: string;
}

let loading: Promise<Listed[]> | undefined;

/** The list, fetched when somebody first asks. */
function list(): Promise<Listed[]> {
  loading ??= import('city-timezones/data/cityMap.json').then(({ default: rows }) =>
    rows.flatMap(({ city, city_ascii, lat, lng, pop, country, province, timezone }) =>
      timezone
        ? [
            {
              town: {
                name: city,
                of: [province, country].filter((one) => one && one !== city).join(', '),
                latitude: lat,
                longitude: lng,
                zone: timezone,
                people: pop,
              },
              names: [plain(city), plain(city_ascii)],
              places: plain(`${province ?? ''} ${country}`),
            },
          ]
        : [],
    ),
  );
  return loading;
}

/**
 * Towns whose name begins as it is typed, the largest first, those of just that name before all others. After a comma comes what they lie in:
 * a province or a country. Fewer than two letters find nothing.
 *
 * @param most towns wanted
 */
export async function findTowns(text: string, most = 6): Promise<Town[]> {
  const [name = '', ...of] = text.split(',').map(plain);
  const within = of.filter((one) => one !== '');
  if (name.length < 2) return [];
  const found = (await list()).filter(
    ({ names, places }) => names.some((one) => one.startsWith(name)) && within.every((one) => places.includes(one)),
  );
  const exact = ({ names }: Listed) => (names.includes(name) ? 1 : 0);
  return found
    .sort((a, b) => exact(b) - exact(a) || b.town.people - a.town.people)
    .slice(0, most)
    .map(({ town }) => town);
}
