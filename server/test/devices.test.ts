import { describe, expect, test } from 'vitest'
import { cutDrawingSchema, cutterAnswer, readLine } from '@drumlin/core/devices'
import { PASSES, USUAL_CUTTER, cutPlan, hpglOf } from '@drumlin/core/exchange/hpgl'
import { derive } from '@drumlin/core/derived'
import { demoDesign } from '../../core/test/support/all.js'
import { app, eachWithBench, hand, listening, mischief, press, settled, state, watching } from './bench.js'

eachWithBench()

describe('a caliper, a gauge, a scale', () => {
  test.each([
    ['caliper', 85.4, 'mm', 'length'],
    ['gauge', 2.41, 'mm', 'length'],
    ['scale', 320, 'g', 'weight'],
  ] as const)('%s sends what lies in it when its button is pressed', async (id, value, bare, what) => {
    const line = await listening(id)
    expect((await hand(id, { act: 'lay', value })).statusCode).toBe(200)
    await press(id, 'send')
    await settled()
    const read = readLine(line.lines[0]!, bare)
    expect(read.ok && read.reading.what).toBe(what)
    expect(read.ok && Math.abs(read.reading.value - value)).toBeLessThan(0.15)
  })
  test('in inches it says the same', async () => {
    const line = await listening('caliper')
    await hand('caliper', { act: 'lay', value: 101.6 })
    await press('caliper', 'unit')
    await press('caliper', 'send')
    await settled()
    expect(line.lines[0]).toMatch(/^\+\s+[34]\.\d{4} in$/)
    const read = readLine(line.lines[0]!, 'mm')
    expect(read.ok && Math.abs(read.reading.value - 101.6)).toBeLessThan(0.03)
  })
  test('held it tells the same over and over, and says that it holds', async () => {
    const line = await listening('caliper')
    await press('caliper', 'hold')
    await hand('caliper', { act: 'lay', value: 12 })
    await press('caliper', 'send')
    await press('caliper', 'send')
    await settled()
    const read = line.lines.map((l) => readLine(l, 'mm'))
    expect(read.every((r) => r.ok && r.reading.held && Math.abs(r.reading.value - 85.6) < 0.03)).toBe(true)
    expect(line.lines[0]).toBe(line.lines[1])
  })
  test('where its zero drifts every reading is larger, until it is set to zero', async () => {
    const line = await listening('gauge')
    await mischief('gauge', 'drift')
    for (let i = 0; i < 10; i += 1) await press('gauge', 'send')
    await press('gauge', 'zero')
    await mischief('gauge', 'drift', false)
    await press('gauge', 'send')
    await settled()
    const values = line.lines.map((l) => readLine(l, 'mm')).map((r) => (r.ok ? r.reading.value : NaN))
    expect(values[9]! - values[0]!).toBeGreaterThan(0.6)
    expect(values[10]!).toBeCloseTo(2.4, 1)
  })
  test('nonsense is refused in words, half a line waits for its end', async () => {
    const line = await listening('caliper')
    await mischief('caliper', 'nonsense')
    await press('caliper', 'send')
    await mischief('caliper', 'nonsense', false)
    await mischief('caliper', 'stops')
    await press('caliper', 'send')
    await settled()
    const read = readLine(line.lines[0]!, 'mm')
    expect(!read.ok && read.why).toContain('is no reading')
    expect(line.lines.length).toBe(1)
    expect(line.rest().length).toBeGreaterThan(0)
  })
  test('what can’t be done to it is said', async () => {
    expect((await hand('gauge', { act: 'lay', value: 40 })).json()).toMatchObject({
      message: 'it takes from 0 to 12 mm',
    })
    expect((await press('gauge', 'dance')).statusCode).toBe(422)
    expect((await mischief('gauge', 'fire')).statusCode).toBe(422)
    expect((await press('teapot', 'send')).statusCode).toBe(404)
    const rubbish = await app.inject({ method: 'POST', url: '/device/gauge/hand', payload: { act: 'eat' } })
    expect(rubbish.statusCode).toBe(400)
  })
  test('a page elsewhere may not press its buttons', async () => {
    const from = await app.inject({
      method: 'POST',
      url: '/device/gauge/hand',
      headers: { origin: 'http://elsewhere.example' },
      payload: { act: 'press', button: 'send' },
    })
    expect(from.statusCode).toBe(403)
  })
})

describe('a cutter', () => {
  const derived = derive(demoDesign('pursers-sleeve'))
  const wish = { ...USUAL_CUTTER, trails: 0 }
  const send = async (text: string) => {
    const line = await listening('cutter')
    line.socket.send(text)
    line.socket.send('OE;')
    await settled()
    return cutterAnswer(line.lines[0] ?? '')
  }
  const drawn = async () => cutDrawingSchema.parse((await app.inject('/device/cutter/drawing')).json())

  test('whoever watches is shown the lines of a job that asks for no answer', async () => {
    const { socket, last } = await watching<'cutter'>('cutter')
    const line = await listening('cutter')
    line.socket.send('IN;SP1;PA400,400;PD800,400;PU;')
    await settled()
    expect(last().lines).toBe(1)
    for (const s of [socket, line.socket]) s.terminate()
  })
  test('draws the lines it was sent, each where it was asked for', async () => {
    const plan = cutPlan(derived, { ...wish, tool: 'pen' }, 'mm')
    expect(await send(hpglOf(plan, { ...wish, tool: 'pen' }))).toEqual({ fine: true })
    const lines = await drawn()
    expect(lines.length).toBe(plan.strokes.length)
    // In the order of the passes, each place within half a step of 0.025 mm either way.
    const asked = PASSES.flatMap((pass) => plan.strokes.filter((one) => one.pass === pass))
    asked.forEach(({ points }, i) => {
      expect(lines[i]!.points.length).toBe(points.length)
      points.forEach((p, k) => {
        const q = lines[i]!.points[k]!
        expect(Math.hypot(p.x - q.x, plan.long - p.y - q.y)).toBeLessThan(0.02)
      })
    })
  })
  test('its trailing knife cuts where the blade was allowed for, and beside it where not', async () => {
    const outlines = async (trails: number) => {
      const mine = { ...USUAL_CUTTER, trails }
      expect(await send(hpglOf(cutPlan(derived, mine, 'mm'), mine))).toEqual({ fine: true })
      const asked = cutPlan(derived, wish, 'mm')
      const on = asked.strokes.filter((s) => s.pass === 'outline').flatMap((s) => s.points)
      const edges = on.map((p) => ({ x: p.x, y: asked.long - p.y }))
      const cut = (await drawn()).filter((l) => l.tool === 'knife')
      // The corners of what was asked for: how near the knife came to each.
      return Math.max(
        ...edges.map((p) =>
          Math.min(...cut.flatMap((l) => l.points.map((q) => Math.hypot(p.x - q.x, p.y - q.y)))),
        ),
      )
    }
    const [allowed, not] = [await outlines(0.25), await outlines(0)]
    expect(allowed).toBeLessThan(not)
  })
  test('complains of an empty holder, of being sent off its bed, and of rubbish', async () => {
    await mischief('cutter', 'no-knife')
    expect(await send(hpglOf(cutPlan(derived, wish, 'mm'), wish))).toMatchObject({
      why: expect.stringContaining('no tool in it'),
    })
    await mischief('cutter', 'no-knife', false)
    expect(await send('IN;SP1;PA;PU0,0;PD99999,0;')).toMatchObject({ why: expect.stringContaining('bed') })
    expect(await send('IN;HELLO;')).toMatchObject({ why: expect.stringContaining('does not understand') })
    expect(await send('IN;PD1;')).toMatchObject({ why: expect.stringContaining('number of values') })
    expect(await send('IN;VS400;')).toMatchObject({ why: expect.stringContaining('out of the range') })
    await mischief('cutter', 'noise')
    const noisy = await send(hpglOf(cutPlan(derived, wish, 'mm'), wish))
    expect(noisy.fine).toBe(false)
    expect((await state<'cutter'>('cutter')).complaints.length).toBeGreaterThan(0)
  })
})
