/** Work away from requests: long jobs and recurring ones, in threads. */
export { startJobs } from './start';
export { threadFile } from './threadFile';
export { askForJob, cancelJob, hastenJob, newestJob } from './store/jobs';
