import { toString as svgOf } from 'qrcode';
import type { Database } from '../database';
import { signsInBy, type Staff } from '../request';
import { offerSecret } from './secondFactor';
import { anySchoolNeedsSecondFactor, secondFactorOf } from './store/secondFactors';

/** What a person has as a second factor, and one that may be taken up where there is none. */
export async function secondFactorPage(database: Database, staff: Staff) {
	const [factor, isNeeded] = await Promise.all([
		secondFactorOf(database, signsInBy(staff)),
		anySchoolNeedsSecondFactor(database, staff)
	]);
	if (factor) return { codesLeft: factor.codes, isNeeded, offer: null };
	const { key, secret, uri } = await offerSecret(database, staff, new Date());
	return {
		codesLeft: null,
		isNeeded,
		offer: {
			key,
			/** In groups, to be typed where a camera cannot be used. */
			secret: secret.replace(/(.{4})(?=.)/g, '$1 '),
			image: await svgOf(uri, { type: 'svg', margin: 1 })
		}
	};
}
