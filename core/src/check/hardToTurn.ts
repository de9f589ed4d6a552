import { setField } from '../design/index.js'
import { roundTo } from '../measure/index.js'
import { turningOf } from '../derived/index.js'
import { check } from './finding.js'

/** A bag sewn inside out that is hard, or impossible, to turn. */
export const hardToTurn = check({
  code: 'hard-to-turn',
  screen: 'round',
  find: (derived) => {
    const turnable = turningOf(derived)
    const { turning } = derived.master
    if (!turnable || !turning || turnable.rating === 'A' || turnable.rating === 'B') return []
    return [
      {
        key: 'hard-to-turn',
        // Firm leather of 2 mm has been turned by strong hands: only a mouth that is too small stops it.
        rank: turnable.tooSmall ? ('stop' as const) : ('look' as const),
        places: [{ panelId: turning.panelId, at: { x: 20, y: 20 } }],
        about: 'turning it',
        data: {
          pull: turnable.pull.value,
          strain: turnable.strain,
          rating: turnable.rating,
          why: turnable.why,
          leather: derived.design.leathers[turning.role]?.name ?? '',
        },
      },
    ]
  },
  say: ({ data }) => ({
    what: `Turning it is rated ${data.rating}: it ${data.why}. ${roundTo(data.pull, 0)} N of pull, ${roundTo(data.strain * 100, 0)} % strain in the folds.`,
    why: `${data.leather} is too thick or too firm for that mouth. Split it thinner, take a softer one, or sew with raw edges out.`,
  }),
  fixes: (_finding, { kind }) =>
    kind.fields.some((f) => f.id === 'seam')
      ? [
          {
            label: 'Sew it with raw edges out',
            edit: setField('sew it with raw edges out', ['params', 'seam'], 'raw'),
          },
        ]
      : [],
})
