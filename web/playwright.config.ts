import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: './e2e',
  outputDir: '../var/test/e2e',
  timeout: 120_000,
  // A machine that does other things as well is slow, not wrong.
  expect: { timeout: 15_000 },
  workers: 1,
  use: {
    baseURL: process.env.CHALK_URL ?? 'http://127.0.0.1:8420',
    actionTimeout: 20_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'] },
  },
})
