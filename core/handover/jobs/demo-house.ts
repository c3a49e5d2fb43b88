import { everyDemoJob, houseOfDemo } from './demo-made';

export { demoJob, demoPictures, demoRecord, demoWhole } from './demo-made';

/** The whole demo house, read at once. */
export const demoJobs = everyDemoJob();
export const demoHouse = houseOfDemo();
