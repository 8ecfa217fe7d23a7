import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [react({ compiler: { logDiagnostics: true } })],
    build: {
        outDir: '../public',
        emptyOutDir: false,
        chunkSizeWarningLimit: 1500,
    },
    server: { port: 5173, proxy: { '/api': 'http://127.0.0.1:8080' } },
    // Files share what they import: antd is loaded once, not for each of them.
    test: { include: ['src/**/*.test.{ts,tsx}'], environment: 'node', isolate: false },
});
