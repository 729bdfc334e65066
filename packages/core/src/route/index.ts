/** Who reaches whom, through what, and the text to type. */
export { encodedPath, hexOf } from './cip-path.js';
export { findRoutes } from './find-routes.js';
export { goesThrough } from './goes-through.js';
export { alternativesTo, broughtAlong, networkWords, toBeLoaded } from './helper-facts.js';
export { type WantedHelper, wantedHelpers } from './helpers.js';
export { type Condition, letsText, type RouteHop } from './hop.js';
export { judgeText, type TextFault } from './judge-text.js';
export { portsOf } from './ports-of.js';
export { reachOf, throughWords } from './reach.js';
export { routeFormOf, routeText } from './route-text.js';
export { trafficOf } from './passes.js';
export { type Ways, waysOf } from './ways-of.js';
export { wouldMakeOne } from './would-do.js';
