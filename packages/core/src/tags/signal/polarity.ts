import type { Polarity } from '../../model/words.js';

/** One step of a signal: what stands there while the thing is at rest, and while it is active. */
export interface PolarityStep {
  where: 'plant' | 'simulator' | 'controller input' | 'logic';
  atRest: boolean;
  active: boolean;
}

/** Who turns a signal over, and what comes of it. */
export interface PolarityTable {
  steps: readonly PolarityStep[];
  /** the logic takes active for active with the simulator, with the plant */
  rightInTrial: boolean;
  rightInPlant: boolean;
  /** the simulator turns it over, and the logic again: the simulation passes, the plant does not */
  twice: boolean;
}

/** What a signal of this polarity is: at rest, active. */
const signal = (polarity: Polarity, active: boolean): boolean => (polarity === 'true when active' ? active : !active);

/**
 * The truth table of a signal from the plant’s contact to the logic. A contact closed at rest gives 1 while nothing happens.
 * The simulator stands for the contact; the logic reads the input as it thinks the contact to be. [common practice]
 */
export function polarityTable(plant: Polarity, simulator: Polarity, logic: Polarity): PolarityTable {
  const step = (where: PolarityStep['where'], of: (active: boolean) => boolean): PolarityStep => ({
    where,
    atRest: of(false),
    active: of(true),
  });
  const concluded = (from: Polarity) => (active: boolean) => signal(logic, signal(from, active));
  const right = (from: Polarity) => concluded(from)(true) && !concluded(from)(false);
  const [rightInTrial, rightInPlant] = [right(simulator), right(plant)];
  return {
    steps: [
      step('plant', (active) => signal(plant, active)),
      step('simulator', (active) => signal(simulator, active)),
      step('controller input', (active) => signal(simulator, active)),
      step('logic', concluded(simulator)),
    ],
    rightInTrial,
    rightInPlant,
    twice: rightInTrial && !rightInPlant,
  };
}
