import type { Tool } from '../catalogue';
import type { OpenJob } from '../job';
import { mountOf } from '../job';
import { type Habit, sayWords, sized } from '../quantity';
import { cutTolerance, type Part } from '../shop';
import { type Check, inOrder, type Step, stepId } from '../steps';

/** A stand's own step, before the panel is carried to it. */
function standStep(open: OpenJob, index: number): Step[] {
  const panel = open.panels[index];
  const mount = mountOf(open, index);
  if (!panel || !mount) return [];
  const { id } = panel.document;
  return [
    {
      id: stepId(id, 'stand'),
      name: 'Make its mount',
      does: [
        'cut and bevel its pieces, mirrored pairs side by side',
        mount.held.by === 'fixings'
          ? `set ${mount.held.count} of: ${mount.held.what}, each into sound wood or masonry`
          : `stand it level, front foot to back foot ${sized(mount.base)}`,
        ...(mount.held.by === 'ballast' ? ['lay the ballast low and tie it down'] : []),
        ...(mount.held.by === 'guys' ? ['set the anchors and pull each by what it must hold'] : []),
      ],
      parts: mount.parts.map((part) => part.id),
      needs: ['saw', 'drill', 'spirit level'],
      checks: [
        mount.held.by === 'fixings'
          ? {
              id: 'fixings',
              words: `${mount.held.count} of them hold, each pulled by hand with a bar`,
              expects: { kind: 'count', value: mount.held.count, within: 0 },
            }
          : {
              id: 'base',
              words: `front foot to back foot ${sized(mount.base)}, on both sides`,
              expects: { kind: 'length', value: mount.base, within: 0.005 },
            },
        { id: 'racks', words: 'pushed hard from the side it does not rack' },
      ],
      beware: ['Nobody works on a roof or ladder alone. Your local code and an engineer decide what holds it.'],
      after: [stepId(id, 'cut')],
    },
  ];
}

/** What is good when all is cut: the pieces by number, and the longest by its length. */
function cutChecks(parts: readonly Part[], alike: number): Check[] {
  const pieces = alike * parts.reduce((sum, { count }) => sum + count, 0);
  const longest = parts.reduce<(Part & { kind: 'length' }) | undefined>(
    (most, part) => (part.kind === 'length' && part.length > (most?.length ?? 0) ? part : most),
    undefined,
  );
  return [
    {
      id: 'pieces',
      words: `${pieces} pieces lie there${alike > 1 ? `, for all ${alike}` : ''}, counted against the list`,
      expects: { kind: 'count', value: pieces, within: 0 },
    },
    ...(longest
      ? [
          {
            id: 'longest',
            words: `${longest.name.toLowerCase()}: ${sized(longest.length)}, measured once more`,
            expects: { kind: 'length' as const, value: longest.length, within: cutTolerance },
          },
        ]
      : []),
  ];
}

/** Everything to do in a job, in an order in which it can be done. Throws StepsDoNotFollow. */
export function jobSteps(open: OpenJob): Step[] {
  const steps = open.panels.flatMap(({ document, design }, index) => {
    const stand = standStep(open, index);
    const carry = stepId(document.id, 'carry');
    const cut = stepId(document.id, 'cut');
    return [
      ...stand,
      ...design.steps().map((step) => {
        if (step.id === carry) return { ...step, after: [...step.after, ...stand.map(({ id }) => id)] };
        return step.id === cut
          ? { ...step, checks: [...cutChecks(design.parts, document.count), ...step.checks] }
          : step;
      }),
    ];
  });
  return inOrder(steps);
}

/** Every tool that the steps of a job ask for, once, by name. */
export function jobTools(open: OpenJob): Tool[] {
  const needed = new Set(jobSteps(open).flatMap(({ needs }) => needs));
  return [...needed].sort((a, b) => a.localeCompare(b));
}

/** A step in words, in the builder's habit. */
export function sayStep(step: Step, habit: Habit): Step {
  const say = (words: readonly string[]) => words.map((one) => sayWords(one, habit));
  return {
    ...step,
    does: say(step.does),
    beware: say(step.beware),
    checks: step.checks.map((check) => ({ ...check, words: sayWords(check.words, habit) })),
  };
}
