import { chromium } from '@playwright/test'
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu-compositing','--enable-unsafe-swiftshader','--disable-background-networking','--no-first-run'] })
const context = await browser.newContext({ serviceWorkers: "block", viewport: { width: 1280, height: 800 }, reducedMotion: "reduce" })
for (let k = 0; k < 5; k++) {

  const page = await context.newPage()
  const t0 = Date.now()
  await page.goto('http://localhost:4399/')
  const t1 = Date.now()
  await page.getByRole('link', { name: 'Deckhand’s fold' }).waitFor()
  const t2 = Date.now()
  await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
  const t3 = Date.now()
  await page.getByRole('heading', { level: 1, name: 'Outside' }).waitFor()
  const t4 = Date.now()
  const n = await page.evaluate(() => performance.getEntriesByType('resource').map(r => [r.name.split('/').pop(), Math.round(r.startTime), Math.round(r.duration), r.encodedBodySize]))
  console.log(t1-t0, t2-t1, t3-t2, t4-t3, n.length, n.reduce((a,b)=>a+b[3],0))
  if (k===2) console.log(n.sort((a,b)=>b[3]-a[3]).slice(0,12).join('\n'))
  await page.goto("about:blank"); const c = await context.newCDPSession(page); await c.send("Storage.clearDataForOrigin", { origin: "http://localhost:4399", storageTypes: "cookies,indexeddb,local_storage,cache_storage,service_workers" }); await page.close()
}
await browser.close()
