import { findingsOf, overruledFor, sayFinding } from '@drumlin/core/check'
import { type Derived, seamPlan, toBuy, zipFor } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { withLengths } from '@drumlin/core/measure'
import { figuresOf } from '@drumlin/core/overview'
import { ENTRIES, reckonEntry, sketchWord } from '@drumlin/core/pocketbook'
import type { Piece } from '@drumlin/core/reckon'
import { STARTER_STORES } from '@drumlin/core/stores'
import { explainLine } from '@drumlin/core/working'
import { couponDrawing } from '../../src/coupons/index.js'
import { coverPages } from '../../src/exchange/pdf/cover/index.js'
import { planPrint } from '../../src/exchange/pdf/pages.js'
import { type Drawn, laidOut } from '../../src/drawing/index.js'
import { alikePieces } from '../../src/reckon/index.js'
import type { Reckoned } from '../../src/working/index.js'
import { derivedOf } from './all.js'
import { at, degrees, inLines, n, pathSaid, runLengths, said } from './goldenSaid.js'
import { spaceLines } from './goldenSpace.js'
import { templateLines, transectLines } from './goldenWork.js'

function workings(of: Derived): string[] {
  const seen = new Set<string>()
  const lines: string[] = []
  const walk = (r: Reckoned): void => {
    const line = `  ${r.key} · ${explainLine(r, 'mm')} · ${explainLine(r, 'in')} · ${r.source}`
    if (seen.has(line)) return
    seen.add(line)
    for (const term of Object.values(r.inputs)) if (term.kind === 'reckoned') walk(term)
    lines.push(line)
  }
  const { master, runs, fittings } = of
  const figures = figuresOf(of)
  const plan = seamPlan(of)
  const all = [
    ...master.sizes.map((s) => s.size),
    ...master.fits.flatMap((f) => [f.needs, f.has]),
    ...fittings.flatMap((f) => [f.stack, f.wanted]),
    ...runs.flatMap((r) => [r.thread, r.locked?.needle, r.locked?.bobbin]),
    figures.weight,
    figures.time.total,
    plan.supplies.spools,
    plan.supplies.bobbins?.thread,
    plan.supplies.bobbins?.holds,
    ...plan.rows.map((r) => r.minutes),
  ]
  for (const r of all) if (r) walk(r)
  return lines
}

function cutLines({ cut, finished }: Piece): string[] {
  const [one, other] = [pathSaid(cut), pathSaid(finished)]
  return one.join() === other.join() ? ['  cut as finished'] : ['  cut', ...one]
}

const pieceLines = (of: Derived): string[] =>
  of.pieces.flatMap((p) => [
    `piece ${p.id}: ${p.name}, ${p.count}, ${p.flipped} turned over, ${p.material} ${n(p.thickness ?? 0)}`,
    '  finished',
    ...pathSaid(p.finished),
    ...cutLines(p),
    ...(p.holes.length > 0
      ? [
          `  ${p.holes.length} holes ${[...new Set(p.holes.map((h) => `${n(h.length)} × ${n(h.width)}`))].join()}`,
          ...inLines(
            p.holes.map((h) => `${at(h.at)}@${degrees(h.angle)}`),
            10,
          ),
        ]
      : []),
    ...p.marks.map((m) => `  mark ${said(m)}`),
  ])

/** Two edges against each other: what is marked on both, holes without a mate, what has to be eased in, teeth that slant. */
function zipLines(of: Derived, run: Derived['runs'][number]): string[] {
  const { front, back, teeth, extra, ease } = zipFor(of, run)
  const side = (one: typeof front): string =>
    `${one.sheet} ${n(one.length)}: ${one.marks.map((m) => `${m.sort} ${m.label} ${n(m.distance)}`).join(', ')}`
  return [
    `  zip ${side(front)}${back ? ` | ${side(back)}` : ''}; extra ${said(extra)}; ease ${said(ease)}`,
    `  teeth ${teeth.length}, off ${runLengths(teeth.map((t) => `${n(t.off)}${t.slanted ? '!' : ''}`)).join(' ')}`,
  ]
}

const runLines = (of: Derived): string[] => {
  const { rows } = seamPlan(of)
  return rows.flatMap(({ run, number, faces, meetings, mean, coveredBy, strikes }) => [
    `run ${number} ${run.join.id}: ${run.join.name}, ${n(run.length)} long, ${run.ways.holes}, ${run.holes.length} holes${run.other ? ` / ${run.other.holes.length}` : ''}, ${run.times}×, pitches ${run.sides.map((s) => n(s.pitch)).join(' ')}, mean ${n(mean)}, thread ${n(run.thread.value)}`,
    `  faces ${said(faces)}; meetings ${said(meetings)}; covered by ${coveredBy.join()}; joined at ${run.joinsAt.join()}`,
    `  steps ${run.steps.map((s) => `${s.sheet} ${n(s.distance)}${s.open ? ' open' : ''}`).join(', ')}`,
    `  struck ${said(strikes)}`,
    ...zipLines(of, run),
    `  from ${at(run.holes[0]!.at)}, stack`,
    ...inLines(runLengths(run.holes.map((h) => n(h.stack))), 16),
  ])
}

const workLines = (of: Derived): string[] =>
  of.works.flatMap((w) => [
    `state ${w.layup.id}`,
    ...w.sheets.map((s) => `  ${s.part} ${s.sheet.id} over ${said(s.sheet.move)}`),
  ])

const drawnSaid = (drawn: readonly Drawn[]): string[] =>
  drawn.map((d) =>
    d.type === 'stroke'
      ? `${d.layer} ${n(d.weight)} ${pathSaid(d.path)
          .map((l) => l.trim())
          .join(' ')}`
      : said(d),
  )

const printedLines = (of: Derived): string[] =>
  alikePieces(of.pieces).map((p) => `  ${p.name}: ${p.count}, ${p.flipped} turned over`)

const textsOf = (drawn: readonly Drawn[]): string[] =>
  drawn.flatMap((d) =>
    d.type === 'text' ? [`    ${at(d.at)} @${degrees(d.angle)} ${n(d.size)} “${d.text}”`] : [],
  )

function paperLines(of: Derived): string[] {
  const labels = laidOut(of.pieces, of.design, 'mm', 10).pieces.flatMap(({ piece, drawn }) => [
    `  ${piece.id}`,
    ...textsOf(drawn),
  ])
  const pages = (['a4', 'letter'] as const).flatMap((paper) => {
    const { landscape, sheets, tile } = planPrint(of, paper, 'mm')
    const cover = coverPages(of, sheets, {
      tile,
      pages: tile,
      paper,
      date: undefined,
      unit: 'mm',
      lacking: [],
    })
    return [
      `print on ${paper}${landscape ? ' lying' : ''}`,
      ...sheets.flatMap((sheet) => [
        `  sheet of ${sheet.columns} × ${sheet.rows}: ${sheet.pages.map((p) => `${p.column},${p.row}`).join(' ')}`,
        ...sheet.placed.map(({ item, move }) => `    ${item.piece.id} ${said(move)}`),
        ...sheet.pages.map(
          (p) => `    page ${p.column},${p.row}: ${p.items.map((i) => i.piece.id).join(' ')}`,
        ),
      ]),
      ...cover.flatMap((drawn, i) => [`  cover ${i + 1}`, ...textsOf(drawn)]),
    ]
  })
  return ['words on the pieces', ...labels, ...pages]
}

/** Everything that follows from a design, in lines that can be compared: numbers with workings, findings, outlines, marks, holes, order, words, pages. */
export function goldenOf(design: Design): string {
  const of = derivedOf(design)
  const { weight: _weight, time: _time, carries, ...figures } = figuresOf(of)
  return [
    'figures',
    `  ${said(figures)}; ${withLengths(carries.join('; '), 'mm')}`,
    `  fits ${of.master.fits.map((f) => `${f.id} ${f.rank}: ${n(f.needs.value)} in ${n(f.has.value)}`).join('; ')}`,
    `  to buy ${said(toBuy(of))}`,
    'workings',
    ...workings(of),
    'findings',
    ...findingsOf(of).flatMap((f) => {
      const { what, why } = sayFinding(f, 'mm')
      return [
        `  ${f.rank} ${f.key}${overruledFor(of, f) === undefined ? '' : ' (overruled)'} at ${f.places.map((p) => `${p.panelId} ${at(p.at)}`).join('; ')}`,
        `    ${what} ${why}`,
      ]
    }),
    ...workLines(of),
    ...pieceLines(of),
    ...runLines(of),
    'printed',
    ...printedLines(of),
    ...transectLines(of),
    'templates',
    ...templateLines(of),
    ...paperLines(of),
    ...spaceLines(of),
    '',
  ].join('\n')
}

/** What the pocket book answers for its usual numbers, and what it draws. */
export const pocketBookGolden = (): string =>
  ENTRIES.flatMap((entry) => {
    const { workings, sketch } = reckonEntry(entry, {})
    return [
      `${entry.id} ${entry.section}: ${entry.title}, ${entry.says}`,
      ...workings.flatMap((a) => [`  ${explainLine(a, 'mm')}`, `  ${explainLine(a, 'in')}`]),
      ...entry.conditions.map((c) => `  unless: ${c.says}`),
      ...sketch.strokes.map(
        ({ path, style }) =>
          `    ${style} ${pathSaid(path)
            .map((l) => l.trim())
            .join(' ')}`,
      ),
      ...sketch.words.map((w) => `    ${at(w.at)} “${sketchWord(w, 'mm')}”`),
    ]
  }).join('\n') + '\n'

/** The sheet of test pieces of the first starter leather. */
export const couponsGolden = (unit: 'mm' | 'in'): string =>
  drawnSaid(couponDrawing(STARTER_STORES.leathers[0]!, STARTER_STORES.irons[0]!, unit)).join('\n') + '\n'
