/** Beginning an exchange of each kind, the lanes that follow from landings or dials, how it runs and what programs call. */
export { addEnd } from './add-end.js';
export { adviseTransfer } from './advice.js';
export { callsOf, callsText } from './calls.js';
export { connectionTags } from './connection-tags.js';
export { createExchange } from './create-exchange.js';
export { exchangesByNames } from './exchanges-by-names.js';
export { kindsForPair } from './kinds-for-pair.js';
export { protocolsFor, rolesFor } from './kind-protocols.js';
export { lanesMade } from './made-lanes.js';
export { type DevicePlan, type ExchangePlan, pollPlanOf } from './poll-plan-of.js';
export { type PollRemedies, pollRemedies } from './poll-remedies.js';
export { protocolsForPair } from './protocols-for-pair.js';
export { lanesFromDials } from './radio-lanes.js';
export { lanesFromLandings } from './remote-io.js';
export { missingSteps, proposeStart, stepWords } from './start-sequence.js';
