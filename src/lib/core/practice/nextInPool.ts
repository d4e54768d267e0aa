/** A question that can be asked, and whether it was right at the first try; null where it was not asked yet. */
export interface PoolQuestion {
	position: number;
	familyId: string;
	right: boolean | null;
}

/**
 * The next question of a set that ends once so many are right at the first try: after a miss another of the same kind,
 * while there is one; else of the kind that was asked least, in the order of the pool. The same answers always lead on to
 * the same question, so that a device can go on without the server.
 *
 * @param lastAsked position of the question before; null at the beginning, and after a pause
 * @returns its position; null once enough are right or nothing is left
 */
export function nextInPool(pool: PoolQuestion[], untilRight: number, lastAsked: number | null): number | null {
	if (pool.filter(({ right }) => right).length >= untilRight) return null;
	const left = pool.filter(({ right }) => right === null);
	const last = pool.find(({ position }) => position === lastAsked);
	const again = last?.right === false && left.find(({ familyId }) => familyId === last.familyId);
	if (again) return again.position;
	const asked = (familyId: string) => pool.filter((one) => one.familyId === familyId && one.right !== null).length;
	const [next] = left.sort(
		(one, other) => asked(one.familyId) - asked(other.familyId) || one.position - other.position
	);
	return next?.position ?? null;
}
