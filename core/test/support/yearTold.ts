import type { Client } from '@drumlin/core/ledger'
import type { MakingRecord, Mistake } from '@drumlin/core/makings'
import { type Trade, USUAL_TRADE } from '@drumlin/core/price'
import type { Move } from '@drumlin/core/stock'

/** What is told of a making. */
export interface Told {
  readonly job: string
  readonly begun: string
  readonly days: number
  readonly count?: number
  readonly client?: string
  readonly paid?: number
  readonly wishes?: readonly string[]
  readonly mistakes?: readonly (readonly [Mistake, string, string])[]
  readonly next?: readonly { readonly text: string; readonly set?: MakingRecord['next'][number]['set'] }[]
  readonly wear?: string
  /** How far it is, as a share of its steps. */
  readonly open?: number
  readonly due?: string
}

export const CLIENTS: readonly (readonly [string, string, Client['sizes']])[] = [
  ['the purser of the Wagtail', 'Flat, since the ticket box rubs. No metal.', {}],
  ['the mate of the Wagtail', 'A case that stays shut in a swell.', { wrist: 182 }],
  ['the harbour office', 'Two of a kind; one for the counter, one for the launch.', {}],
  ['the engineer of the Wagtail', 'Oil gets on everything: dark thread, please.', { wrist: 171, belt: 940 }],
  ['the chandlery at Torrisay', 'Four or more at a time, for the shelf by the door.', {}],
  ['the schoolteacher on the far side', 'Room for exercise books and a flask.', { hand: 84 }],
]
export const idOf = (name: string): string =>
  `example-${name
    .replace(/[^a-z]+/gi, '-')
    .toLowerCase()
    .slice(0, 40)}`

export const YEAR: readonly Told[] = [
  {
    job: 'deckhands-fold',
    begun: '2026-01-09',
    days: 5,
    client: CLIENTS[3]![0],
    paid: 140,
    mistakes: [
      [
        'gluing',
        'pocket 2 glued before its upper edge was burnished',
        'lifted with a bone folder while it was fresh',
      ],
    ],
    next: [{ text: 'burnish all pocket tops before the glue comes out' }],
    wear: 'The fold has softened; the corners shine.',
  },
  {
    job: 'lamp-holder',
    begun: '2026-01-19',
    days: 4,
    paid: 85,
    mistakes: [['skiving', 'torn at the mouth while it was formed', 'cut 6 mm higher']],
    next: [{ text: 'damp it longer before it goes over the block' }],
  },
  {
    job: 'engineers-strap',
    begun: '2026-01-30',
    days: 4,
    client: CLIENTS[3]![0],
    paid: 75,
    wishes: ['Linen dyed dark, or it shows the oil.'],
  },
  {
    job: 'riggers-sheath',
    begun: '2026-02-06',
    days: 3,
    paid: 70,
    wear: 'Dry, no rust; the welt is a little proud of the front by now.',
  },
  { job: 'pursers-sleeve', begun: '2026-02-13', days: 3, client: CLIENTS[0]![0], paid: 60 },
  {
    job: 'deckhands-fold',
    begun: '2026-02-20',
    days: 9,
    count: 4,
    client: CLIENTS[4]![0],
    paid: 480,
    mistakes: [
      ['supplies', 'linen three stitches short on the last outer seam', 'spliced with two backstitches'],
    ],
    next: [{ text: 'cut the outer thread for four a hand longer' }],
  },
  {
    job: 'mates-case',
    begun: '2026-03-09',
    days: 7,
    client: CLIENTS[1]![0],
    paid: 165,
    mistakes: [
      ['hardware', 'snap set after the seam, with the anvil wedged inside', 'held, but the cap is marked'],
    ],
    next: [{ text: 'set the snap before the gusset goes in' }],
  },
  { job: 'skippers-wallet', begun: '2026-03-20', days: 4, paid: 95 },
  {
    job: 'chart-pouch',
    begun: '2026-03-30',
    days: 8,
    client: CLIENTS[5]![0],
    paid: 190,
    wishes: ['A place for the pencil would be good.', 'No pencil after all; a wider flap instead.'],
  },
  {
    job: 'galley-tote',
    begun: '2026-04-13',
    days: 19,
    client: CLIENTS[5]![0],
    paid: 420,
    mistakes: [
      ['cutting', 'one handle cut across the backbone', 'cut anew along it'],
      ['holes', 'one hole too many on the left side seam', 'skipped where the foot covers it'],
    ],
    next: [
      {
        text: 'mark the boxed corner a little shallower',
        set: { path: ['habits', 'stitchSeconds'], says: 'pace of sewing by hand 30 s', value: 30 },
      },
    ],
  },
  { job: 'lamp-holder', begun: '2026-05-08', days: 6, count: 2, client: CLIENTS[2]![0], paid: 150 },
  {
    job: 'harbour-fold',
    begun: '2026-05-18',
    days: 7,
    client: CLIENTS[2]![0],
    paid: 155,
    mistakes: [['edges', 'second coat on before the first was dry: it crawled', 'sanded back to leather']],
  },
  { job: 'bosuns-wrap', begun: '2026-05-29', days: 3, paid: 55 },
  { job: 'engineers-strap', begun: '2026-06-05', days: 7, count: 3, client: CLIENTS[4]![0], paid: 195 },
  {
    job: 'pilots-bag',
    begun: '2026-06-15',
    days: 18,
    client: CLIENTS[2]![0],
    paid: 480,
    mistakes: [
      [
        'order of work',
        'inner strap thought of when the body was closed',
        'sewn in with a curved needle, two evenings',
      ],
      ['hardware', 'turning lock plate upside down', 'taken off and set anew'],
    ],
    next: [{ text: 'D-rings on before the lining' }],
    wishes: ['To take the log, the mail and a lunch.', 'The strap 100 mm longer than drawn.'],
  },
  { job: 'deckhands-fold', begun: '2026-07-06', days: 4, paid: 150 },
  { job: 'riggers-sheath', begun: '2026-07-13', days: 5, count: 4, client: CLIENTS[4]![0], paid: 240 },
  {
    job: 'chart-case',
    begun: '2026-07-24',
    days: 13,
    client: CLIENTS[2]![0],
    paid: 330,
    mistakes: [['sewing', 'bobbin of the fine nylon ran out mid-seam', 'unpicked to the corner']],
  },
  { job: 'pursers-sleeve', begun: '2026-08-10', days: 6, count: 4, client: CLIENTS[4]![0], paid: 216 },
  { job: 'mates-case', begun: '2026-08-21', days: 6, paid: 175 },
  {
    job: 'landing-rucksack',
    begun: '2026-08-31',
    days: 20,
    client: CLIENTS[1]![0],
    paid: 540,
    mistakes: [['hardware', 'washers forgotten under two rings', 'drilled out, set anew']],
    next: [{ text: 'punch washers with the pieces, not when they are wanted' }],
  },
  { job: 'harbour-fold', begun: '2026-09-25', days: 6, client: CLIENTS[2]![0], paid: 165 },
  {
    job: 'skippers-wallet',
    begun: '2026-10-05',
    days: 6,
    count: 2,
    client: CLIENTS[4]![0],
    paid: 180,
    mistakes: [['edges', 'creased before the dye was dry', 'creased again a day later']],
  },
  { job: 'deckhands-fold', begun: '2026-10-16', days: 8, count: 4, client: CLIENTS[4]![0], paid: 520 },
  { job: 'engineers-strap', begun: '2026-10-30', days: 4, paid: 80 },
  {
    job: 'harbour-office-case',
    begun: '2026-11-09',
    days: 0,
    client: CLIENTS[2]![0],
    open: 0.6,
    wishes: ['For the minutes and the tide tables.'],
  },
  { job: 'galley-tote', begun: '2026-11-20', days: 0, client: CLIENTS[4]![0], open: 0.15 },
]

export const TRADE: Trade = {
  ...USUAL_TRADE,
  rate: 26,
  tax: 0.2,
  overhead: 0.12,
  maker: 'The Slip Shed\nLoch Torrisay',
  terms: 'Half on order, half when it is fetched. Mended for nothing in the first year.',
}

/** What was bought: day, what, unit, amount, price, from where. */
export const BOUGHT: readonly (readonly [string, string, Move['unit'], number, number, string])[] = [
  ['2026-01-05', 'thread Linen 18/3, undyed', 'mm', 250_000, 31, 'by post'],
  ['2026-01-05', 'contact glue', 'g', 500, 14.5, 'chandlery'],
  ['2026-02-27', 'ring snap, 12.5 mm, post 5.0 mm', 'pieces', 20, 9.6, 'by post'],
  ['2026-04-02', 'ring snap, 12.5 mm, post 6.5 mm', 'pieces', 10, 5.4, 'by post'],
  ['2026-06-02', 'D-ring, 25 mm', 'pieces', 10, 7.8, 'by post'],
  ['2026-06-02', 'D-ring, 35 mm', 'pieces', 10, 9.2, 'by post'],
  ['2026-06-02', 'roller buckle, 35 mm', 'pieces', 6, 14.4, 'by post'],
  ['2026-08-24', 'thread Linen 18/3, undyed', 'mm', 250_000, 33, 'by post'],
  ['2026-09-02', 'contact glue', 'g', 500, 15.2, 'chandlery'],
  ['2026-11-02', 'bag foot with screw, 10 mm, post 7.0 mm', 'pieces', 8, 12, 'by post'],
]
