/** What is there on site beside what is planned: lists read, devices matched, and what is decided of each. */
export { adopt, adoptLearnt, ask, correct, notOurs, toCorrect, together } from './decide.js';
export { FOUND_LIST } from './list/found-list.js';
export type { FoundRow } from './list/found-row.js';
export { planSurvey, type SurveyPlan } from './list/plan-survey.js';
export { type NotSeen, notSeen } from './not-seen.js';
export { type Survey, type Surveyed, surveyOf } from './survey-of.js';
