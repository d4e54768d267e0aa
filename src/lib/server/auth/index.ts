/** Signing in, and who is signed in where. */
export { findDoor, studentOfKey } from './classDoor';
export { browserToken, keepSignIn, keepSingleSignOn, takeSingleSignOn } from './cookies';
export { lockedOutOf } from './locks';
export { hashSecret, matchesSecret, passwordProblem } from './passwords';
export { askForCode, signInByCode } from './secondFactor';
export { sayBrowser } from './sayBrowser';
export { seal, unseal } from './sealed';
export {
	changeSchool,
	SIGN_IN_COOKIE,
	newToken,
	type SignIn,
	signInStaff,
	signInStudent,
	signOut,
	tokenHash,
	type Trying
} from './signIn';
export { beginSingleSignOn, endSingleSignOn, provider } from './singleSignOn';
export { forgetViewer, viewerOf } from './signInCache';
export { clearSignIns } from './store/clearSignIns';
export { changePassword, endOthers, IDLE_MINUTES, LONGEST_HOURS, passwordHashOf, signInsOf } from './store/signIns';
export { dropSecondFactor, needsSecondFactor, requireSecondFactor, secondFactorOf } from './store/secondFactors';
export {
	isSingleSignOnUsed,
	setSingleSignOn,
	SINGLE_SIGN_ONS,
	type SingleSignOn,
	singleSignOnOf
} from './store/singleSignOns';
export { signingKey } from './store/signingKey';
export { countTry, endTry, letTryAgain } from './store/tries';
