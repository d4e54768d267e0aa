/** Questions of a weekly probe: what results and goals are counted out of. */
export const PROBE_ITEMS = 8;
