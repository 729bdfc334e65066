import type { OrderRule } from './order-rule.js';
import { adapterBeforeSearch } from './rules/adapter-before-search.js';
import { deviceBeforeName } from './rules/address-before-name.js';
import { cableBeforeNetwork } from './rules/cable-before-network.js';
import { connectBeforeTest } from './rules/connect-before-test.js';
import { descriptionBeforeLoad } from './rules/description-before-load.js';
import { foundBeforeSet } from './rules/found-before-set.js';
import { loadBeforeStart } from './rules/load-before-start.js';
import { nameBeforeLoad } from './rules/name-before-load.js';
import { neighbourFirst } from './rules/neighbour-first.js';
import { offlineFirst } from './rules/offline-first.js';
import { publishBeforeRead } from './rules/publish-before-read.js';
import { safeBeforeLoad } from './rules/safe-before-load.js';
import { startBeforeConnect } from './rules/start-before-connect.js';
import { switchBeforeReadIn } from './rules/switch-before-read-in.js';
import { temporaryBeforeLoad } from './rules/temporary-before-load.js';
import { undoLast } from './rules/undo-last.js';
import { atThePort } from './steps/at-the-port.js';
import { corrections } from './steps/corrections.js';
import { exchangesBegin } from './steps/exchanges-begin.js';
import { loads } from './steps/loads.js';
import { ownAdapter } from './steps/own-adapter.js';
import { rotarySwitches } from './steps/rotary-switches.js';

/** What steps come from, in the order in which they stand where no rule says another. */
export const STEP_SOURCES = [ownAdapter, corrections, atThePort, rotarySwitches, loads, exchangesBegin] as const;

/** Everything that says which step waits for which; of two reasons for the same the first is told. */
export const ORDER_RULES: readonly OrderRule[] = [
  adapterBeforeSearch,
  foundBeforeSet,
  temporaryBeforeLoad,
  cableBeforeNetwork,
  deviceBeforeName,
  nameBeforeLoad,
  descriptionBeforeLoad,
  safeBeforeLoad,
  loadBeforeStart,
  startBeforeConnect,
  publishBeforeRead,
  connectBeforeTest,
  switchBeforeReadIn,
  neighbourFirst,
  offlineFirst,
  undoLast,
];
