import { defineConfig } from '@playwright/test'

const executablePath = process.env.CHROMIUM
if (!executablePath) throw new Error('CHROMIUM names no browser: run ./hepno test, which finds one, or set it')

export default defineConfig({
  testDir: '.',
  workers: 1,
  retries: 0,
  // a shared machine may stall for many seconds: a slow test is not a wrong one
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON ?? 'test-results/report.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath,
      args: [
        '--no-sandbox',
        // http on a name that is not loopback: not a secure context, like the tablet at the press
        '--host-resolver-rules=MAP tablet.test 127.0.0.1',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
