/** Who may lean on whom (ARCHITECTURE.md). Rooms of the core are entered by their front door, index.ts. */
const ROOMS = [
  'measure',
  'working',
  'geometry',
  'formulas',
  'stores',
  'sewing',
  'master',
  'drawn',
  'kinds',
  'design',
  'edges',
  'layup',
  'stitch',
  'make',
  'reckon',
  'check',
  'relief',
  'drawing',
  'coupons',
  'exchange',
]
const room = (name) => `^core/src/${name}/`
/** Each room and the rooms it must not know: everything later in the one direction. */
const notLater = (name, allowed) => ({
  name: `${name}-leans-only-on-${allowed.join('-') || 'nothing'}`,
  severity: 'error',
  from: { path: room(name) },
  to: {
    path: `^core/src/(${ROOMS.filter((r) => r !== name && !allowed.includes(r)).join('|')}|derive|summary)`,
  },
})

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-knows-no-outside',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^(web|server|cli)/|^node:' },
    },
    {
      name: 'outside-by-the-front-door',
      severity: 'error',
      from: { path: '^(web|server|cli)/' },
      to: {
        path: '^core/src/',
        pathNot: '^core/src/(index|exchange/pdf/index|exchange/dxf/index|exchange/svg/read)\\.ts$',
      },
    },
    {
      name: 'only-regions-knows-clipper',
      severity: 'error',
      from: { path: '^core/src', pathNot: '^core/src/geometry/regions\\.ts$' },
      to: { path: 'clipper2-ts' },
    },
    {
      name: 'only-dxf-knows-dxf-libraries',
      severity: 'error',
      from: { path: '^core/src', pathNot: room('exchange/dxf') },
      to: { path: '@tarikjabiri/dxf|dxf-parser' },
    },
    {
      name: 'only-svg-knows-svg-libraries',
      severity: 'error',
      from: { path: '^core/src', pathNot: room('exchange/svg') },
      to: { path: 'svgpath|saxes' },
    },
    {
      name: 'only-pdf-knows-pdf-lib',
      severity: 'error',
      from: { path: '^core/src', pathNot: room('exchange/pdf') },
      to: { path: 'pdf-lib|fontkit' },
    },
    ...ROOMS.map((r) => ({
      name: `${r}-by-its-front-door`,
      severity: 'error',
      from: { path: '^core/src', pathNot: room(r) },
      to: { path: room(r), pathNot: r === 'exchange' ? '/index\\.ts$' : `^core/src/${r}/index\\.ts$` },
    })),
    notLater('measure', []),
    notLater('geometry', ['measure']),
    notLater('working', ['measure']),
    notLater('formulas', []),
    notLater('stores', ['measure', 'formulas']),
    notLater('sewing', ['stores']),
    notLater('master', ['geometry', 'working']),
    notLater('kinds', ['measure', 'geometry', 'working', 'formulas', 'stores', 'master']),
    notLater('drawn', ['measure', 'geometry', 'working', 'formulas', 'stores', 'master']),
    notLater('design', ['measure', 'geometry', 'working', 'stores', 'sewing', 'master', 'drawn', 'kinds']),
    notLater('edges', ['geometry', 'working', 'formulas', 'stores', 'master']),
    notLater('layup', ['geometry', 'master', 'edges']),
    notLater('stitch', ['geometry', 'formulas', 'working', 'stores', 'sewing', 'master', 'edges', 'layup']),
    notLater('make', ['geometry', 'working', 'master', 'edges', 'layup', 'stitch']),
    notLater('reckon', ['measure', 'geometry', 'working', 'stores', 'sewing', 'master', 'edges', 'layup', 'stitch']),
    notLater('coupons', ['measure', 'geometry', 'formulas', 'stores', 'drawing']),
    notLater('drawing', ['measure', 'geometry', 'master', 'edges', 'reckon']),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types'],
      extensions: ['.ts', '.js', '.vue'],
    },
  },
}
