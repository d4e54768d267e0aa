/** Notices: what the program saw that a person should know, by the rules of core/notices. */
export { noticesFor } from './noticesFor';
export { refreshAllNotices, refreshNotices } from './refreshNotices';
export { sendDigests } from './sendDigests';
export { audiencesOf } from './store/notices';
export { chooseDigest, digestChoice } from './store/digests';
