import { defineConfig } from '@playwright/test'

const PORT = 4391

/**
 * The browser draws a list of suggestions for its own address line, as a page of its own in every window: a fifth of what opening one of
 * ours costs. The last list of switches counts, so those of Playwright's that are of this system stand here too.
 */
const SWITCHED_OFF = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch',
]

/** Debian's Chromium; the switches keep it from calling anywhere and let it draw in space without a graphics card;
 * pages themselves are put together without it, which is a quarter faster in software. */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  // Times several times what a quiet machine takes: a loaded one is slow, not wrong.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  reporter: [['list']],
  use: {
    baseURL: `http://localhost:${PORT}`,
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    acceptDownloads: true,
    // What is kept for without the network would answer before a test that blocks a part.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu-compositing',
        '--enable-unsafe-swiftshader',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        `--disable-features=${SWITCHED_OFF.join()}`,
      ],
    },
  },
  webServer: [
    {
      command: 'node --import tsx server/src/main.ts',
      cwd: '..',
      env: { PORT: String(PORT) },
      url: `http://localhost:${PORT}/start.json`,
      reuseExistingServer: false,
    },
    {
      command: 'node --import tsx server/src/main.ts --empty',
      cwd: '..',
      env: { PORT: String(PORT + 1) },
      url: `http://localhost:${PORT + 1}/start.json`,
      reuseExistingServer: false,
    },
  ],
})
