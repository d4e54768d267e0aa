import { afterEach, describe, expect, it, vi } from 'vitest';
import { LONGEST_MESSAGE, Recorder } from './recorder.svelte';

/** A microphone of a test: what it hears is said by the test. */
function microphone(heard: string) {
	const track = { stop: vi.fn() };
	class TestRecorder {
		state = 'inactive';
		mimeType = 'audio/webm';
		ondataavailable: (event: { data: Blob }) => void = () => {};
		onstop: () => void = () => {};
		start() {
			this.state = 'recording';
		}
		stop() {
			this.state = 'inactive';
			this.ondataavailable({ data: new Blob([heard]) });
			this.onstop();
		}
	}
	vi.stubGlobal('MediaRecorder', TestRecorder);
	vi.stubGlobal('navigator', { mediaDevices: { getUserMedia: async () => ({ getTracks: () => [track] }) } });
	return track;
}

describe('a recorded message', () => {
	afterEach(() => {
		vi.unstubAllGlobals();
		vi.useRealTimers();
	});

	it('is what was said between start and stop; the microphone is let go', async () => {
		const track = microphone('Well done today.');
		const recorder = new Recorder();
		await recorder.start();
		expect(recorder.isRecording).toBe(true);
		recorder.stop();
		expect(recorder.isRecording).toBe(false);
		expect(track.stop).toHaveBeenCalledOnce();
		expect(await recorder.file!.text()).toBe('Well done today.');
		recorder.stop();
		expect(recorder.file).not.toBeNull();
		recorder.drop();
		expect(recorder.file).toBeNull();
	});

	it('ends by itself after five minutes', async () => {
		vi.useFakeTimers();
		microphone('long');
		const recorder = new Recorder();
		await recorder.start();
		vi.advanceTimersByTime(LONGEST_MESSAGE - 1);
		expect(recorder.isRecording).toBe(true);
		vi.advanceTimersByTime(1);
		expect([recorder.isRecording, recorder.file?.size]).toEqual([false, 4]);
	});

	it('says what to do where there is no microphone', async () => {
		vi.stubGlobal('navigator', { mediaDevices: { getUserMedia: () => Promise.reject(new Error('none')) } });
		const recorder = new Recorder();
		await recorder.start();
		expect([recorder.isRecording, recorder.file]).toEqual([false, null]);
		expect(recorder.problem).toContain('Choose a sound file');
	});
});
