import { cannotReach } from './symptoms/cannot-reach.js';
import { factorOff } from './symptoms/factor.js';
import { goesBack } from './symptoms/goes-back.js';
import { keepsBlinking } from './symptoms/keeps-blinking.js';
import { lettersExchanged } from './symptoms/letters.js';
import { loadedNothingRuns } from './symptoms/loaded-nothing-runs.js';
import { neverConnected } from './symptoms/never-connected.js';
import { notAfterChange } from './symptoms/not-after-change.js';
import { nothingMoves } from './symptoms/nothing-moves.js';
import { oneModule } from './symptoms/one-module.js';
import { outputOff } from './symptoms/output-off.js';
import { pointsUnbound } from './symptoms/points-unbound.js';
import { signWrong } from './symptoms/sign.js';
import { simulatorNotMachine } from './symptoms/simulator-not-machine.js';
import { slow } from './symptoms/slow.js';
import { movesSometimes } from './symptoms/sometimes.js';
import { statusStands } from './symptoms/status-stands.js';
import { stopReversed } from './symptoms/stop-reversed.js';
import { tagListEmpty } from './symptoms/tag-list-empty.js';
import { twoAnswer } from './symptoms/two-answer.js';
import { writeIgnored } from './symptoms/write-ignored.js';
import { wrongPlace } from './symptoms/wrong-place.js';
import type { Symptom } from './symptom.js';

/** Every symptom that there is, in the order in which they come up on site. */
export const SYMPTOMS: readonly Symptom[] = [
  cannotReach,
  notAfterChange,
  twoAnswer,
  tagListEmpty,
  pointsUnbound,
  nothingMoves,
  goesBack,
  oneModule,
  outputOff,
  factorOff,
  wrongPlace,
  lettersExchanged,
  signWrong,
  movesSometimes,
  slow,
  writeIgnored,
  neverConnected,
  stopReversed,
  keepsBlinking,
  statusStands,
  loadedNothingRuns,
  simulatorNotMachine,
];
