/** What is there on site beside what is planned: lists read, devices matched, and what is decided of each. */
export { adopt, adoptLearnt, ask, correct, notOurs, toCorrect, together } from './decide.js';
export { FACT_WORDS, FACTS, type Fact } from './facts.js';
export { FOUND_LIST } from './list/found-list.js';
export type { FoundRow } from './list/found-row.js';
export { planSurvey, type SurveyPlan } from './list/plan-survey.js';
export { type NotSeen, notSeen } from './not-seen.js';
export { type MayBe, type Survey, type Surveyed, surveyOf, type SurveyState } from './survey-of.js';
