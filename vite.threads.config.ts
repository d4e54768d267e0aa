import { defineConfig } from 'vite';

/** What runs in threads of the server, as files beside the built app. */
export default defineConfig({
	build: {
		ssr: true,
		outDir: 'build/threads',
		emptyOutDir: true,
		target: 'node20',
		copyPublicDir: false,
		rolldownOptions: {
			input: {
				jobs: 'src/lib/server/jobs/worker.ts',
				pdf: 'src/lib/server/reports/pdf/renderPdf.ts',
				files: 'src/lib/server/request/files/read.ts'
			},
			output: { entryFileNames: '[name].js' }
		}
	}
});
