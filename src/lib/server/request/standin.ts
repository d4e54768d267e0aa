/** Whether an address is a stand-in's on this machine, which is asked without TLS where stand-ins run (`ORDERLY_STANDINS`). */
export const isStandin = ({ hostname }: URL): boolean =>
	process.env.ORDERLY_STANDINS === 'yes' && hostname === '127.0.0.1';
