/// <reference types="vitest/config" />
import { fileURLToPath } from 'node:url'
import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  root: here('.'),
  plugins: [react(), tailwind()],
  resolve: { alias: { '@': here('./src') } },
  build: {
    outDir: here('./dist'),
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rollupOptions: { input: { staff: here('./index.html'), student: here('./student.html') } },
  },
  test: {
    environment: 'jsdom',
    setupFiles: here('./src/testing/setup.ts'),
    include: ['src/**/*.test.{ts,tsx}'],
    // A machine that does other things as well is slow, not wrong.
    testTimeout: 30_000,
  },
})
