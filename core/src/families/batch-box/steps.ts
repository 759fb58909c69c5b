import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck, fallCheck, lengthCheck, paintCheck } from '../kit/checks';
import { cutStep, step, testStep } from '../kit/steps';
import { type BatchBoxLayout, tankMass } from './layout';
import { clipSpacing } from './parts';

/** Pa and its share: a tank is tested at one and a half times the mains it will stand under, water only. */
const tankTest = 900e3;

/** What is done to a tank out of an old heater before anything else: each of the four that it does not go without. */
function usedTankSteps(prefix: string, { parameters }: BatchBoxLayout): Step[] {
  const { tanks } = parameters;
  if (parameters.tankKind !== 'used') return [];
  return [
    step(prefix, 'isolate', {
      name: 'Have the old heater isolated and out',
      does: [
        'a licensed person shuts off and locks gas or current and water',
        'open the drain with the relief held open; let it run empty and cold',
      ],
      checks: [
        countCheck(
          'isolated',
          'gas or current, and water: 2 locks on, by a licensed person, name and date written down',
          2,
        ),
      ],
      beware: [
        'Stop: no one strips a heater that is not isolated by a licensed person. Your local code says who that is.',
        'Stop: old jackets may hold asbestos. If the insulation is grey, fluffy or from before 1990, leave it shut and ask.',
      ],
      after: [],
    }),
    step(prefix, 'strip', {
      name: 'Strip and clean the tanks',
      does: [
        'cut the jacket off and bag the insulation; unscrew elements, thermostats and the old valve',
        'flush until it runs clear; look in with a lamp at lining and rust',
        `shut every element hole with its plug and gasket, straight thread, two a tank`,
      ],
      parts: [`${prefix}/plug`],
      needs: ['gloves', 'eye protection', 'dust mask', 'element wrench', 'lamp'],
      checks: [
        countCheck('plugs', `${2 * tanks} element holes shut, each with its gasket`, 2 * tanks),
        { id: 'lining', words: 'no rust through the lining, no dent, no weld that weeps' },
      ],
      beware: ['Stop: never use the old relief valve again. It has stuck before; it goes to scrap with the jacket.'],
      after: ['isolate'],
    }),
    step(prefix, 'tank-test', {
      name: 'Test each tank with water',
      does: [
        'fill it to the brim in the shade, all air out at the top',
        `pump to ${measured('pressure', tankTest, 0)} with a hand pump and hold it an hour`,
        'wipe every seam and plug with a dry paper',
      ],
      needs: ['hand pump with gauge and relief', 'dry paper'],
      checks: [
        {
          id: 'holds',
          words: `after an hour the gauge reads ${measured('pressure', tankTest, 0)} still, and not a drop`,
          expects: { kind: 'pressure', value: tankTest, within: 0.05 * tankTest },
        },
      ],
      beware: [
        'Stop: water only, never air. A tank of air at a tenth of that pressure bursts like a shell.',
        'Stop: a tank that weeps is scrap. Nobody welds a pressure vessel in a shed.',
      ],
      after: ['strip'],
    }),
    step(prefix, 'anode', {
      name: 'New anode, new relief valve',
      does: [
        'screw a new anode into each tank, its thread in tape',
        `set the new temperature and pressure relief into the top of the last tank, its probe in the topmost ${sized(0.15)} of water`,
      ],
      parts: [`${prefix}/anode`, `${prefix}/relief`],
      needs: ['pipe wrench'],
      checks: [
        lengthCheck('probe', `its probe reaches ${sized(0.15)} below the top of the tank at the most`, 0.1, 0.05),
        { id: 'relief', words: 'the relief is new, stamped for the tank’s own pressure, its lever free' },
      ],
      beware: ['Stop: no valve between tank and relief, none on its discharge.'],
      after: ['tank-test'],
    }),
  ];
}

/** What of the cradle goes in with the sides. */
const cradleRoles = ({ cradle }: BatchBoxLayout): string[] =>
  cradle.leaning
    ? ['post-foot', 'post-front', 'post-back', 'foot-stop', 'bearer', 'foot-rail']
    : ['bearer', ...cradle.lying.map((_, index) => `post-${index + 1}`)];

/** Where each post stands against the inner face of its side, from its front edge, and how high it is. */
function cradleWords({ cradle, side }: BatchBoxLayout): string[] {
  const { bearer, lying, leaning } = cradle;
  if (!leaning)
    return lying.map((one, index) => {
      const [low, high] = [one.low - bearer.wide, one.high].map((x) => x + (bearer.wide - side) / 2);
      return `posts of tank ${index + 1}, ${sized(one.post)} high, against the inner face of each side: front edges ${sized(low ?? 0)} and ${sized(high ?? 0)} from its front edge`;
    });
  const { posts, stop } = leaning;
  return [
    `posts against the inner face of each side, bevels up toward the back: back edges ${sized(posts.foot.at)}, ${sized(posts.front.at)} and ${sized(posts.back.at)} from its front edge, for foot rail, low bearer and high bearer`,
    `a stop ${sized(stop.height)} high before each foot post, its back edge ${sized(stop.at)} from the front edge: the foot rail leans on it`,
    ...(bearer.propped ? ['a third post and stop of each, on the floor, in the middle between the sides'] : []),
  ];
}

export function batchBoxSteps(prefix: string, layout: BatchBoxLayout, mass: number, litres: number): Step[] {
  const { parameters, tilt, studs, depth, width, glazing, tankVolume, lid, cradle, joint } = layout;
  const { tanks, tankKind, airGap } = parameters;
  const { leaning } = cradle;
  // From the plane of the pane: square to a bearer across, plumb to where a lying tank touches its upper bearer.
  const [lowest] = cradle.lying;
  const drop = lowest ? layout.planeAt(lowest.high) - lowest.top : airGap + parameters.tankDiameter;
  const used = tankKind === 'used';
  const lean = Math.round(tilt * 10) / 10;
  const ready = used ? 'anode' : 'fit-new';
  return [
    ...usedTankSteps(prefix, layout),
    ...(used
      ? []
      : [
          step(prefix, 'fit-new', {
            name: 'Fit the tanks out',
            does: ['screw an anode into each tank', 'set the relief valve into the top of the last tank'],
            parts: [`${prefix}/anode`, `${prefix}/relief`],
            needs: ['pipe wrench'],
            checks: [lengthCheck('relief', `its probe stands in the topmost ${sized(0.15)} of water`, 0.1, 0.05)],
            beware: ['No valve between tank and relief, none on its discharge.'],
            after: [],
          }),
        ]),
    step(prefix, 'blacken', {
      name: 'Prime and blacken the tanks',
      does: ['sand, degrease, prime', 'two coats of flat black; let it bake in the sun or dry for the days on the tin'],
      parts: [`${prefix}/tank`, `${prefix}/primer`, `${prefix}/black`],
      needs: ['paint brush', 'dust mask'],
      checks: [
        paintCheck('black', litres),
        { id: 'baked', words: 'no smell of solvent from a warm tank: it would fog the pane' },
      ],
      after: [ready],
      waits: 48 * 3600,
    }),
    cutStep(prefix),
    step(prefix, 'pair', {
      name: 'Saw the sides apart',
      does: [
        joint
          ? 'strike the line across each of both sheets from edge to edge and saw it once, to the middle of the line'
          : 'strike the line across the sheet from edge to edge and saw it once, to the middle of the line',
        'turn one of the two over: left and right are mirror pictures, studs go on the inner faces',
        `set the bevel gauge at ${lean}° for every stud, post and sloping rail`,
      ],
      parts: (joint
        ? ['sides-front', 'sides-back', 'insulation-front-sides', 'insulation-back-sides']
        : ['sides', 'insulation-sides']
      ).map((name) => `${prefix}/${name}`),
      needs: ['chalk line', 'saw', 'bevel gauge'],
      checks: [
        lengthCheck(
          'sides',
          `laid on each other, inner faces together, both sides end alike to ${sized(0.002)} all round`,
          0,
          0.002,
        ),
      ],
      after: ['cut'],
    }),
    step(prefix, 'frame', {
      name: 'Frame the sides',
      does: [
        `screw a front stud of ${sized(studs.front)} and a back stud of ${sized(studs.back)} to each side, bevels up`,
        ...(joint
          ? [
              `a stud of ${sized(joint.stud)} between them, its middle ${sized(joint.at)} from the front edge: both sheets of a side meet on its middle, glued and screwed along both`,
            ]
          : []),
        'the sloping rail on top of them, flush with the edge of the sheathing',
      ],
      parts: ['stud-front', 'stud-back', ...(joint ? ['stud-joint'] : []), 'rail-slope'].map(
        (name) => `${prefix}/${name}`,
      ),
      needs: ['drill', 'screwdriver', 'square'],
      checks: [
        {
          id: 'studs',
          words: `the back stud stands ${sized(studs.back - studs.front)} higher than the front one`,
          expects: { kind: 'length', value: studs.back - studs.front, within: 0.002 },
        },
      ],
      after: ['pair'],
    }),
    step(prefix, 'posts', {
      name: 'Set the posts',
      does: cradleWords(layout),
      parts: cradleRoles(layout)
        .filter((role) => /post|stop/.test(role))
        .map((name) => `${prefix}/${name}`),
      needs: ['drill', 'screwdriver', 'square'],
      checks: [
        lengthCheck(
          'mirror',
          `laid side by side, posts of left and right stand as mirror pictures, to ${sized(0.002)}`,
          0,
          0.002,
        ),
      ],
      after: ['frame'],
    }),
    step(prefix, 'join', {
      name: 'Join the sides',
      does: [
        'stand one side on the floor, the front against it, the bearers on its posts; then the other side: bearers do not go in afterwards',
        `skids under the floor on their flat, from front to back, below the posts of each side${cradle.bearer.propped ? ' and of the middle' : ''}: pipes come out between them`,
        'screw it all together, each bearer down onto its posts from above',
        'the pane rails between the sloping rails, their ripped edges in one plane with them',
      ],
      parts: [
        'pane-rail',
        'front',
        'floor',
        'skid',
        ...cradleRoles(layout).filter((role) => !/post|stop/.test(role)),
      ].map((name) => `${prefix}/${name}`),
      needs: ['drill', 'screwdriver', 'square', 'straight edge'],
      checks: [
        {
          id: 'diagonals',
          words: `both diagonals of the floor are ${sized(Math.hypot(depth, width))}`,
          expects: { kind: 'length', value: Math.hypot(depth, width), within: 0.003 },
        },
        {
          id: 'bearers',
          words: `from a straight edge across both sloping rails down to ${
            leaning ? 'each bearer, square' : 'the inner edge of each upper bearer, plumb'
          }: ${sized(drop)}`,
          expects: { kind: 'length', value: drop, within: 0.004 },
        },
        { id: 'plane', words: 'a straight edge lies flat on rails and sides all round: the pane will bear everywhere' },
      ],
      after: ['posts'],
    }),
    step(prefix, 'line', {
      name: 'Insulate and line it',
      does: [
        'insulation between the studs and on the floor, cut out round posts, bearers and pipe holes, joints taped',
        parameters.lining === 'foil'
          ? `bright foil over all of it, shiny side in, stapled every ${sized(0.1)}`
          : 'two coats of white lining paint',
      ],
      parts: [
        'insulation-floor',
        'insulation-front',
        'lining',
        'foil-tape',
        ...(parameters.lining === 'foil' ? ['staples'] : []),
      ].map((name) => `${prefix}/${name}`),
      needs: ['knife', 'staple gun'],
      checks: [lengthCheck('gaps', `no joint gapes more than ${sized(0.002)}; no bare wood shows`, 0, 0.002)],
      after: ['join'],
    }),
    step(prefix, 'bed', {
      name: 'Set it on its bed',
      does: [
        'carry it now, without tanks and pane, and screw its skids to a bed that bears it full',
        'the holes in its floor stay free, with room under them for a hand and a wrench',
      ],
      needs: ['spirit level', 'gloves'],
      checks: [
        {
          id: 'level',
          words: `level across: the two sides differ by no more than ${sized(0.003)}; what the ends of a tank differ by, its air cannot leave by`,
          expects: { kind: 'length', value: 0, within: 0.003 },
        },
      ],
      beware: [
        `Without its tanks it weighs ${measured('mass', mass - tanks * tankMass(parameters), 0)}; full it will be ${measured('mass', mass + tanks * tankVolume * 1000, 0)}.`,
      ],
      after: ['line'],
    }),
    step(prefix, 'tanks', {
      name: 'Lay the tanks in',
      does: [
        leaning
          ? `stand each on the foot rail against both bearers; screw a chock of ${sized(leaning.chock)} hard against each side of it on each bearer`
          : 'lay each between its two bearers, the lowest first',
        'two straps over each, a quarter in from its ends, drawn tight and screwed down to the bearers',
        'every thread in thread tape, three turns; every pipe through its rubber seal in the floor, the wire of the sensor too',
        'link them: cold into the low end of the first, out of its top into the low end of the next',
        'drain cock at the lowest point and cold pipe through the front holes of the floor; hot pipe, and the relief’s discharge falling all the way, through the back ones',
      ],
      parts: [
        'link',
        'drain',
        'discharge',
        'pipe-seal',
        'thread-tape',
        'sensor-wire',
        'tank-strap',
        ...(leaning ? ['chock'] : []),
      ].map((name) => `${prefix}/${name}`),
      needs: ['pipe wrench', 'straps', 'gloves'],
      checks: [
        {
          id: 'gap',
          words: `${sized(airGap)} from the plane of the pane to the nearest tank`,
          expects: { kind: 'length', value: airGap, within: 0.01 },
        },
        { id: 'discharge', words: 'the discharge falls all the way, full bore, and ends open where nobody stands' },
      ],
      beware: [
        `Each tank holds ${measured('volume', tankVolume, 0)}; full, ${tanks === 1 ? 'it weighs' : 'they weigh'} ${measured('mass', tanks * tankVolume * 990, 0)} more. Where the box stands must carry it.`,
      ],
      after: ['blacken', 'bed'],
    }),
    testStep(prefix, 'test-open', 'Test it before it is closed', ['tanks']),
    step(prefix, 'glaze', {
      name: 'Hang the back, lay the pane',
      does: [
        'fix its insulation to the back; hold the back with turn buttons, so that it comes off',
        `gasket all round on rails and sides, the pane on it with ${sized(glazing.clearance)} to spare; two stops at its foot, clips every ${sized(clipSpacing)}`,
        ...glazing.work,
      ],
      parts: ['back', 'insulation-back', 'turn-button', 'gasket', 'pane', 'pane-stop', 'pane-clip'].map(
        (name) => `${prefix}/${name}`,
      ),
      needs: ['screwdriver', 'gloves', 'suction cups'],
      checks: [
        lengthCheck(
          'clear',
          `${sized(glazing.clearance)} beside the pane all round; it bears everywhere and rattles nowhere`,
          glazing.clearance,
          0.002,
        ),
      ],
      after: ['test-open'],
    }),
    ...(lid
      ? [
          step(prefix, 'hang-lid', {
            name: 'Hang the lid',
            does: [
              'frame round the lid, insulation in it, mirror film over its inner face',
              `hinges along its ${parameters.lid} edge; chains that stop it at ${parameters.lidAngle}° from the pane`,
            ],
            parts: ['lid', 'lid-long', 'lid-short', 'lid-insulation', 'mirror', 'hinge', 'chain', 'handle'].map(
              (name) => `${prefix}/${name}`,
            ),
            needs: ['drill', 'screwdriver'],
            checks: [
              lengthCheck(
                'shut',
                `shut, it lies tight all round, no gap over ${sized(0.003)}: it is the night’s insulation`,
                0,
                0.003,
              ),
            ],
            beware: [
              'An open lid is a sail and a mirror: tie it in wind, and look at the tanks, never into the glare.',
            ],
            after: ['glaze'],
          }),
        ]
      : []),
    step(prefix, 'carry', {
      name: 'Plumb it in',
      does: [
        'mains in at the cold end through its own shut-off, out to the heater that stands; a bypass round each',
        'insulate both pipes, most of all where they leave the box',
      ],
      needs: ['pipe wrench', 'gloves'],
      checks: [
        fallCheck('discharge-fall', 'the discharge of the relief falls all the way'),
        {
          id: 'bypass',
          words: 'either heater runs alone with the other shut off, and no shut-off locks the relief out',
        },
      ],
      beware: [
        `Its pipes freeze before its tanks do: a bare pipe goes from ${measured('temperature', 10, 0)} to ${measured('temperature', 0, 0)} in under two hours at ${measured('temperature', -5, 0)}.`,
        'Water out of it may scald at noon: a mixing valve at the outlet, rated for its heat.',
      ],
      after: [lid ? 'hang-lid' : 'glaze'],
    }),
  ];
}
