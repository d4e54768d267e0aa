import adapter from '@sveltejs/adapter-node';

/** The smallest app on our framework, for comparison; built by the benchmark. */
export default { kit: { adapter: adapter() } };
