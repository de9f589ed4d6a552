/** Something put on a piece: which, on what, along which edge, and what was written of it. */
type Put = readonly [
  sort: string,
  on: string,
  edge: string | undefined,
  values?: Readonly<Record<string, unknown>>,
]

/** A work that makers build, as a design of our own for the ferry’s crew. Lengths mm. */
export interface Work {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly params?: Readonly<Record<string, unknown>>
  /** Thickness of leathers by role. */
  readonly thick?: Readonly<Record<string, number>>
  readonly put?: readonly Put[]
  /** Other values at places of the design. */
  readonly set?: Readonly<Record<string, unknown>>
  /** Sizes worked by pencil, by key. */
  readonly sizes?: Readonly<Record<string, number>>
  /** What has to be decided by the maker, not mended: findings that stop, by code. */
  readonly stops?: readonly string[]
}

export const WORKS: readonly Work[] = [
  {
    id: 'W01',
    name: 'Coxswain’s wallet',
    kind: 'bifold',
    params: { pockets: 4, school: 'butted', feet: 'sewn', currency: 'gbp', front: 'own' },
    thick: { outside: 2, inside: 1.2, pockets: 1, 'front-pocket': 1.2 },
    sizes: { 'inside.height': 100.15, 'pocket.depth': 45.98 },
  },
  {
    id: 'W02',
    name: 'Purser’s portfolio',
    kind: 'portfolio',
    params: {
      outer: 'tapered',
      outerDeep: 30,
      outerHigh: 150,
      outerWide: 220,
      slip: 'pad',
      organiser: 'covered',
      closure: 'lock',
      flap: 'one',
      handle: 'ring',
    },
    sizes: { 'outer.high': 150, 'bag.out.deep': 33.6 },
  },
  {
    id: 'W03',
    name: 'Chart table box',
    kind: 'briefcase',
    params: { base: 'cushioned', board: 2, foam: 3, lining: 'lined' },
    sizes: { 'gusset.length': 647.6, 'bag.out.deep': 95.4 },
  },
  {
    id: 'W04',
    name: 'Ticket collector’s satchel',
    kind: 'flap-bag',
    params: {
      body: 'wrap',
      seam: 'turned',
      backSeam: 'raw',
      allowance: 8,
      ends: 'long',
      gussetLow: 25,
      pocket: 'full',
      divider: 'one',
      closure: 'lock',
      handle: 'ring',
      handleBy: 'hand',
      strap: 'shoulder',
      strapEnds: 'hooks',
      strapPad: 'pad',
      flap: 'one',
    },
    thick: { body: 2.3, inner: 1.5, straps: 3.5, gusset: 1.4 },
    put: [
      ['tab', 'back', 'foot', { inward: 60, aside: 80, both: 'mirrored', 'params.held': 'riveted' }],
      ['rivet', 'back', 'foot', { inward: 72, aside: 80, both: 'mirrored' }],
      ['sleeve', 'handle', undefined, { 'params.long': 90 }],
      ['strip', 'divider', 'top', { inward: 30, 'params.free': 110 }],
      ['snap', 'added-4', 'foot', { inward: 14 }],
    ],
    // The hand: 90 across the palm and 10 on either side, 30 thick and 20 over the knuckles.
    sizes: { 'gusset.length': 679.85, 'bag.out.wide': 290.8, 'handle.span': 110, 'handle.rise': 50 },
  },
  {
    id: 'W05',
    name: 'Mail boat bag',
    kind: 'flap-bag',
    params: {
      body: 'wrap',
      seam: 'turned',
      rows: 2,
      allowance: 10,
      rowApart: 4,
      ends: 'long',
      base: 'board',
      divider: 'one',
      seamSkive: 'half',
    },
    set: { 'sewing.holes': 'machine' },
    put: [
      ['rivet', 'gusset', 'end-right', { inward: 30, 'params.washer': 'one' }],
      ['zip-pocket', 'back', 'foot', { inward: 150 }],
    ],
    sizes: { 'gusset.length': 662.2, 'bag.out.high': 212.9, 'added-2.wide': 176, 'added-2.leaf': 117 },
  },
  {
    id: 'W06',
    name: 'Pass holder',
    kind: 'moulded-holder',
    params: { wide: 60, high: 105, deep: 6, hung: 'none' },
    put: [
      [
        'loop',
        'back',
        'top',
        {
          inward: 15,
          'params.ends': 'slots',
          'params.thinned': 'half',
          'params.room': 25,
          'params.end': 14,
        },
      ],
    ],
    sizes: { 'added-1.apart': 29, 'pocket.wide': 78.7, closed: 11.2 },
  },
  {
    id: 'W07',
    name: 'Engineer’s watch strap',
    kind: 'narrow-strap',
    params: { edges: 'turned', turn: 5 },
    put: [['overlay', 'tongue', 'tip', { 'params.reach': 26, 'params.margin': 2 }]],
    sizes: { around: 184.4, usual: 66.4, long: 106.4 },
  },
  {
    id: 'W08',
    name: 'Harbour master’s dress wallet',
    kind: 'bifold',
    params: { pockets: 3, lining: 'lined', divider: 'lined', school: 'lapped', finish: 'painted' },
    set: { 'work.ways.coats': 4, 'sewing.holes': 'apart' },
    sizes: { 'pocket.depth': 45.98, 'fold.taken': 8.92 },
  },
  {
    id: 'W09',
    name: 'Bosun’s rolled wallet',
    kind: 'wrap-wallet',
    params: { folds: 5, noteFlaps: 'turned', ear: 10 },
    sizes: { flat: 91.6, 'bend.1': 2.85, 'bend.5': 9.12 },
  },
  {
    id: 'W10',
    name: 'Landing party’s rucksack',
    kind: 'rucksack',
    params: { body: 'boxed-folded', top: 'rolled', base: 'overlapping', strap: 'pair' },
    thick: { body: 2.2, straps: 3.6 },
    put: [
      [
        'rivet',
        'body',
        'top',
        { inward: 60, aside: 90, both: 'mirrored', 'params.washer': 'one', 'params.reach': 'host' },
      ],
      ['lash', 'body', 'top', { inward: 90 }],
    ],
    sizes: { 'added-2.wide': 40, 'added-2.high': 42, 'boxed.square': 60.95, 'boxed.wide': 403.8 },
  },
  {
    id: 'W11',
    name: 'Helmsman’s spectacles',
    kind: 'gusseted-case',
    params: { bridge: 'bridge', closure: 'snap', pockets: 2 },
    sizes: { width: 165.5, 'flap.bend': 40.6, 'closed.flat': 7.2 },
  },
  {
    id: 'W12',
    name: 'Rigger’s canted sheath',
    kind: 'sheath',
    params: { loop: 'wrap', cant: 12, thick: 5, deep: 130, balance: 140, rise: 50 },
    put: [
      ['rivet', 'front', 'mouth', { inward: 6, aside: 20, both: 'mirrored' }],
      ['stamp', 'front', 'mouth', { inward: 50, 'params.wide': 14, 'params.high': 14 }],
    ],
    sizes: {
      'sheath.mouth': 57,
      'sheath.length': 141.5,
      'welt.layers': 2,
      'loop.length': 142.4,
      hangs: 181.1,
    },
  },
  {
    id: 'W13',
    name: 'Present tote',
    kind: 'tote',
    params: {
      wide: 220,
      high: 240,
      deep: 80,
      handle: 'flat',
      handleFix: 'riveted',
      closure: 'snap',
      pocket: 'none',
    },
    put: [['pocket', 'front', 'top', { inward: 90, 'params.wide': 120, 'params.high': 90 }]],
    sizes: { 'added-1.room': 114, 'added-1.depth': 87 },
  },
  {
    id: 'W14',
    name: 'Deck hand’s lined sleeve',
    kind: 'card-sleeve',
    params: { sides: 'one', centre: 'open', lining: 'lined', finish: 'painted' },
    thick: { outside: 1 },
    sizes: { 'pocket.depth': 45.98, closed: 3.6 },
  },
  {
    id: 'W15',
    name: 'Skiving by machine',
    kind: 'tote',
    put: [
      ['skive', 'front', 'right', { 'params.width': 9, 'params.start': 0.9 }],
      ['skive', 'back', 'left', { 'params.width': 9, 'params.start': 0.9 }],
    ],
    sizes: { 'boxed.square': 55.7 },
  },
  {
    id: 'W16',
    name: 'Mate’s lapped wallet',
    kind: 'bifold',
    params: { pockets: 3, school: 'lapped', reveal: 13, lap: 12 },
    sizes: { 'pocket.depth': 45.98, 'pocket.lap': 12 },
  },
  {
    id: 'W17',
    name: 'Slim sleeve',
    kind: 'card-sleeve',
    params: { tops: 'turned', sides: 'both', centre: 'open' },
    put: [
      [
        'holes',
        'back',
        'foot',
        { inward: 8, aside: 40, both: 'mirrored', 'params.reach': 'all', 'params.punch': 1 },
      ],
    ],
    sizes: { 'pocket.width': 94.84, closed: 1.8 },
  },
  {
    id: 'W18',
    name: 'Galley’s boxed tote',
    kind: 'tote',
    params: { body: 'boxed', top: 'doubled', topBand: 35, cornerHole: 4 },
    set: { 'work.ways.oil': 'pieces' },
    put: [['patch', 'front', 'top', { inward: 120, 'params.wide': 60, 'params.high': 40 }]],
  },
  {
    id: 'W19',
    name: 'Skipper’s long wallet',
    kind: 'strap-wallet',
    params: { cards: 4, flap: 55, strap: 16 },
    put: [['slot', 'body', 'top', { inward: 20, 'params.length': 18 }]],
  },
  {
    id: 'W20',
    name: 'Three schools',
    kind: 'bifold',
    params: { school: 'slits', pouch: 'fabric', pockets: 3 },
  },
  {
    id: 'W21',
    name: 'Harbour office’s briefcase',
    kind: 'briefcase',
    params: {
      grooves: 'grooved',
      handle: 'ring',
      closure: 'lock',
      flap: 'one',
      strap: 'shoulder',
      strapJoin: 'joined',
    },
    thick: { body: 3 },
  },
]
