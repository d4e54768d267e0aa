/** Milliseconds from which a task or frame keeps a person waiting. */
export const OVER_MS = 50;

/** Notes in the page how long frames and tasks take. As text, since what the compiler adds to functions is not there. */
export const WATCH = `
	window.seen = { frames: [], last: performance.now(), tasks: [] };
	requestAnimationFrame(function tick(at) {
		window.seen.frames.push(at - window.seen.last);
		window.seen.last = at;
		requestAnimationFrame(tick);
	});
	new PerformanceObserver((list) => window.seen.tasks.push(...list.getEntries().map(({ duration }) => duration)))
		.observe({ entryTypes: ['longtask'] });`;
