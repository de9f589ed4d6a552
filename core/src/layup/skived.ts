import type { Band, Panel } from '../master/index.js'

/** Thicknesses the maker wants in named bands, by the band's key, mm. */
export type SkiveWishes = Readonly<Record<string, number>>

const thinned = (band: Band, wishes: SkiveWishes): Band => {
  const wish = Object.hasOwn(wishes, band.key) ? wishes[band.key] : undefined
  if (wish === undefined) return band
  // A level band is brought to the wish; a sloping one ends at it.
  return band.start === band.end
    ? { ...band, start: wish, end: wish, planned: true }
    : { ...band, end: wish, planned: true }
}

/** The panels with the maker's skives in place of the planned ones. */
export const withSkives = (panels: readonly Panel[], wishes: SkiveWishes): readonly Panel[] =>
  panels.map((panel) => {
    const bands = panel.bands.map((band) => thinned(band, wishes))
    return bands.some((band, i) => band !== panel.bands[i]) ? { ...panel, bands } : panel
  })
