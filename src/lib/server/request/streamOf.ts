/** Bytes that are sent while they are made, no faster than they are taken; ended early when nobody takes them any more. */
export function streamOf(bytes: AsyncGenerator<Uint8Array>): ReadableStream<Uint8Array> {
	return new ReadableStream({
		async pull(controller) {
			const { done, value } = await bytes.next();
			if (done) controller.close();
			else controller.enqueue(value);
		},
		async cancel() {
			await bytes.return(undefined);
		}
	});
}
