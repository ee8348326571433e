export { type FirstFacts, type FirstHour, FirstHourSchema, firstHour } from './firstHour';
export { FIRST_STEPS, type FirstStep, NOTHING_TOLD, type Told, ToldSchema, tellDone, tellLeftOut } from './told';
