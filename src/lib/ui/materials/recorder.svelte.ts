/** A message is so long at most (ms): five minutes of a voice are below what a file may hold. */
export const LONGEST_MESSAGE = 300_000;

/**
 * Records a message by the device's microphone.
 *
 * const recorder = new Recorder();
 * await recorder.start(); recorder.stop(); recorder.file
 */
export class Recorder {
	isRecording = $state(false);
	/** Whole seconds recorded so far. */
	seconds = $state(0);
	/** What was recorded; null for nothing. */
	file = $state<File | null>(null);
	/** Why there is nothing, in words. */
	problem = $state('');
	private recording: MediaRecorder | null = null;
	private tick: ReturnType<typeof setInterval> | undefined;

	async start(): Promise<void> {
		this.file = null;
		this.problem = '';
		let stream: MediaStream;
		try {
			stream = await navigator.mediaDevices.getUserMedia({ audio: true });
		} catch {
			this.problem =
				'This device has no microphone, or the browser does not let us use it. Choose a sound file instead.';
			return;
		}
		const parts: Blob[] = [];
		const recording = new MediaRecorder(stream);
		recording.ondataavailable = ({ data }) => parts.push(data);
		recording.onstop = () => {
			for (const track of stream.getTracks()) track.stop();
			this.isRecording = false;
			this.file = new File(parts, 'message', { type: recording.mimeType });
		};
		recording.start();
		this.recording = recording;
		this.isRecording = true;
		this.seconds = 0;
		this.tick = setInterval(() => {
			this.seconds++;
			if (1_000 * this.seconds >= LONGEST_MESSAGE) this.stop();
		}, 1_000);
	}

	stop(): void {
		clearInterval(this.tick);
		if (this.recording?.state === 'recording') this.recording.stop();
	}

	/** Drops what was recorded. */
	drop(): void {
		this.file = null;
	}
}
