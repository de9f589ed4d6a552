import { BAG_DEFAULTS, type BagParams, bagParams } from './bags/params.js'
import { bagMaster } from './bags/master.js'
import type { Kind } from './kind.js'

export const tote: Kind<BagParams> = {
  id: 'tote', name: 'Tote', about: 'x', params: bagParams, defaults: { ...BAG_DEFAULTS, body: 'boxed' },
  roles: [
    { id: 'body', label: 'Body', why: '', usual: 1.8 },
    { id: 'gusset', label: 'Gusset', why: '', usual: 1.4 },
  ],
  fields: [], brief: [], sentences: {}, master: bagMaster,
}
