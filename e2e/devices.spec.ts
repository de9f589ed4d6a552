import { type BrowserContext, type Page, expect, test } from '@playwright/test'
import { BARE, accessible, openDemo, saved, startNew, walk, write } from './support.js'

/** The bench's devices in a tab of their own, those connected that are named. */
async function bench(context: BrowserContext, ...links: RegExp[]): Promise<Page> {
  const page = await context.newPage()
  await page.goto('/devices')
  await expect(page.getByRole('heading', { name: 'Digital caliper' })).toBeVisible()
  for (const link of links) {
    const box = page.getByRole('checkbox', { name: link }).first()
    await box.check()
    await expect(box).toBeChecked()
  }
  return page
}
const thing = (page: Page, name: string) => page.getByRole('region', { name })

test('a caliper’s readings go into the fields that wait, in a panel drawn from them; what it talks besides is said', async ({
  page,
  context,
}) => {
  const devices = await bench(context, /listens to it/)
  const caliper = thing(devices, 'Digital caliper')
  const measure = async (mm: string): Promise<void> => {
    await write(devices, 'between the jaws of the digital caliper', mm)
    await caliper.getByRole('button', { name: 'Send' }).click()
  }
  await page.goto('/')
  await startNew(page, 'Drawing by hand')
  await page.getByRole('button', { name: 'Draw a panel' }).first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'from caliper readings' }).check()
  for (const [field, mm] of [
    ['reading 1, width', '96'],
    ['reading 2, down', '110'],
    ['reading 2, width', '124.5'],
  ] as const) {
    await dialog.getByRole('textbox', { name: field }).focus()
    await measure(mm)
    await expect(page.getByRole('status').filter({ hasText: `into “${field}”` })).toBeVisible()
    const read = Number.parseFloat(await dialog.getByRole('textbox', { name: field }).inputValue())
    expect(Math.abs(read - Number(mm))).toBeLessThanOrEqual(0.11)
  }
  await expect(dialog.locator('.figure')).toContainText('124.5')

  // No field waits: the reading is told and goes nowhere.
  await dialog.getByRole('textbox', { name: 'Name' }).focus()
  await measure('50')
  await expect(page.getByText(/No field waits for a length/)).toBeVisible()
  // Half a line and nonsense leave what stands there.
  await dialog.getByRole('textbox', { name: 'reading 1, width' }).focus()
  await caliper.getByRole('checkbox', { name: 'it talks nonsense' }).check()
  await caliper.getByRole('button', { name: 'Send' }).click()
  await expect(page.getByText(/is no reading/)).toBeVisible()
  await caliper.getByRole('checkbox', { name: 'it talks nonsense' }).uncheck()
  await caliper.getByRole('checkbox', { name: /stops halfway/ }).check()
  await caliper.getByRole('button', { name: 'Send' }).click()
  await expect(page.getByText(/stopped halfway through a line/)).toBeVisible()
  await expect(dialog.getByRole('textbox', { name: 'reading 1, width' })).toHaveValue(/^96/)
  await dialog.getByRole('button', { name: 'Put it on the sheet' }).click()
  await saved(page)
  await accessible(devices)
})

test('a printer that prints small is measured on its page, and what it prints then is true', async ({
  page,
  context,
}) => {
  const devices = await bench(context, /prints on it/)
  const printer = thing(devices, 'Printer')
  await openDemo(page)
  await page.getByRole('button', { name: /^Choose paper, pieces/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Measure a printer' }).click()
  await dialog.getByRole('button', { name: 'Print it on the stand-in' }).click()
  await expect(printer.getByText('Page 1 of 1 in its tray.')).toBeVisible()

  const reads = async (line: RegExp): Promise<string> => {
    await printer.getByRole('button', { name: line }).click()
    const said = await printer.getByText(/The rule reads/).textContent()
    return /([\d.]+) mm/.exec(said!)![1]!
  }
  const [across, along] = [await reads(/, across$/), await reads(/, upright$/)]
  // The paper says 180 and 200 or so; the rule does not.
  await write(page, 'bar across, as read', across)
  await write(page, 'bar along, as read', along)
  await expect(dialog.getByRole('status').filter({ hasText: /It prints 98\.5\d % across/ })).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Which printer' }).fill('The one by the door')
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await printer.getByRole('button', { name: 'Empty the tray' }).click()
  await dialog.getByRole('button', { name: 'Print on the stand-in' }).click()
  await expect(printer.getByText(/Page 1 of \d+ in its tray/)).toBeVisible()
  // The bar of 100 mm is on the cover, which comes first; the page is drawn a moment after it is said to be there.
  const bars = printer.getByRole('button', { name: /^Rule along line/ })
  await expect(bars.first()).toBeVisible()
  await expect
    .poll(async () => {
      const read: number[] = []
      for (let i = 0; i < (await bars.count()); i += 1) {
        await bars.nth(i).click()
        const said = (await printer.getByText(/The rule reads/).textContent())!
        read.push(Number(/([\d.]+) mm/.exec(said)![1]))
      }
      return read
    })
    .toContain(100)
})

test('pieces are sent to a cutter, which complains of an empty holder, and cuts once it has a knife', async ({
  page,
  context,
}) => {
  // The work is open before anything is connected: its tab hears of it.
  await openDemo(page)
  const devices = await bench(context, /cuts on it/)
  const cutter = thing(devices, 'Cutter')
  await cutter.getByRole('checkbox', { name: 'no knife in holder 2' }).check()
  await page.getByRole('button', { name: 'Cut the pieces with a machine' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Send to the cutter' }).click()
  await expect(dialog.getByText(/a holder that it was told to take has no tool in it/)).toBeVisible()
  await cutter.getByRole('checkbox', { name: 'no knife in holder 2' }).uncheck()
  await dialog.getByRole('button', { name: 'Send to the cutter' }).click()
  await expect(dialog.getByText('It was sent, and the cutter has no complaint.')).toBeVisible()
  await expect(cutter.getByText(/^\d\d+ lines/)).toBeVisible()
  await expect(cutter.getByRole('list', { name: 'Complaints' })).toHaveCount(0)
  // What is let go of in one tab is so in the other.
  await devices.getByRole('checkbox', { name: /cuts on it/ }).uncheck()
  await expect(dialog.getByRole('button', { name: 'Send to the cutter' })).toHaveCount(0)
  // Its answer is no reading, in no tab.
  for (const tab of [page, devices]) await expect(tab.getByText(/^Cutter: /)).toHaveCount(0)
})

test('the camera’s picture is traced as a photograph is; one cut short is told', async ({
  page,
  context,
}) => {
  const devices = await bench(context, /takes photographs with it/)
  const camera = thing(devices, 'Camera')
  await camera.getByRole('checkbox', { name: 'its picture is cut short' }).check()
  await openDemo(page)
  await page.getByRole('link', { name: /^Hide/ }).click()
  await page.getByRole('button', { name: 'Describe one' }).click()
  await page.getByRole('radio', { name: 'from a photograph' }).check()
  await page.getByRole('button', { name: 'Take one with the camera' }).click()
  await expect(page.getByText('from the camera.png: it is no picture that can be shown')).toBeVisible()
  await camera.getByRole('checkbox', { name: 'its picture is cut short' }).uncheck()
  await page.getByRole('button', { name: 'Take one with the camera' }).click()
  await expect(page.getByRole('group', { name: 'The photograph' })).toBeVisible()
})

test('a caliper of one’s own over a serial port: connected, heard in the field that waits, let go, and connected again', async ({
  page,
}) => {
  await page.addInitScript(() => {
    let says: ReadableStreamDefaultController<Uint8Array> | undefined
    const port = {
      readable: null as ReadableStream<Uint8Array> | null,
      writable: null,
      open: async () => {
        if (port.readable) throw new DOMException('open', 'InvalidStateError')
        port.readable = new ReadableStream({ start: (c) => void (says = c) })
      },
      close: async () => {
        if (port.readable?.locked) throw new TypeError('held')
        port.readable = null
      },
    }
    Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port } })
    Object.assign(window, { portSays: (text: string) => says?.enqueue(new TextEncoder().encode(text)) })
  })
  const says = (text: string) =>
    page.evaluate((t) => (window as unknown as { portSays: (s: string) => void }).portSays(t), text)
  await page.goto(`${BARE}/devices`)
  const own = page.getByRole('region', { name: 'Your own' })
  const connect = async (): Promise<void> => {
    await own.getByRole('button', { name: 'Choose its port' }).click()
    await expect(own).toContainText('Device on a serial port is connected')
  }
  await connect()
  await own.getByRole('button', { name: 'Let it go' }).click()
  await expect(own).not.toContainText('is connected')
  await connect()
  await accessible(page)
  await walk(page, '/')
  await startNew(page, 'Drawing by hand')
  await page.getByRole('button', { name: 'Draw a panel' }).first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'from caliper readings' }).check()
  await dialog.getByRole('textbox', { name: 'reading 1, width' }).focus()
  await says('97')
  await says('.5 mm\r\n')
  await expect(dialog.getByRole('textbox', { name: 'reading 1, width' })).toHaveValue(/^97\.5/)
})
