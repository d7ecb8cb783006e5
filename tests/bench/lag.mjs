/**
 * Loaded before the server by the load test: says how long its event loop was held up and how much memory it has, when
 * asked by its parent.
 */
import { monitorEventLoopDelay } from 'node:perf_hooks';

if (process.send) {
	const delay = monitorEventLoopDelay({ resolution: 10 });
	delay.enable();
	process.on('message', (said) => {
		if (said !== 'report') return;
		process.send({
			longest: delay.max / 1e6,
			p99: delay.percentile(99) / 1e6,
			memory: process.memoryUsage().rss / 1024 / 1024
		});
		delay.reset();
	});
	process.channel?.unref();
}
