import { expect, test } from '@playwright/test'
import config from './playwright.config.js'
import { openDemo } from './support.js'

const launch = config.use?.launchOptions ?? {}
test.use({
  permissions: ['camera'],
  launchOptions: { ...launch, args: [...(launch.args ?? []), '--use-fake-device-for-media-stream'] },
})

test('a camera of this machine goes the way the stand-in goes', async ({ page, context }) => {
  const devices = await context.newPage()
  await devices.goto('/devices')
  await devices.getByRole('checkbox', { name: /camera of this machine/ }).check()
  await openDemo(page)
  await page.getByRole('link', { name: /^Hide/ }).click()
  await page.getByRole('button', { name: 'Describe one' }).click()
  await page.getByRole('radio', { name: 'from a photograph' }).check()
  await page.getByRole('button', { name: 'Take one with the camera' }).click()
  await expect(page.getByRole('group', { name: 'The photograph' })).toBeVisible()
  // Without leave it is said.
  await context.clearPermissions()
  await page.evaluate(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('denied', 'NotAllowedError'))
  })
  await page.getByRole('button', { name: 'Take one with the camera' }).click()
  await expect(page.getByText('The camera gave no picture: the browser does not allow it')).toBeVisible()
})
