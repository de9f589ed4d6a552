/**
 * Room a side, mm, so that a face that stretches by `stretch` mm in all can rise by `rise` mm over the pile;
 * docs/formulas.md §9 [9.03]. Negative where the stretch alone lets the pile in.
 */
export const sideRoom = (rise: number, stretch: number): number => (rise ** 2 - stretch ** 2 / 4) / stretch

/** Narrowest a pocket with two free faces can be for `cards` cards, mm; docs/formulas.md §9 [9.01]. */
export const narrowestPocket = (cardWidth: number, cardThickness: number, cards: number): number =>
  cardWidth + cards * cardThickness

/** Height of the uppermost card over the floor of a stepped stack of `pockets`, mm; docs/formulas.md §9 [9.09]. */
export const topCardHeight = (pockets: number, reveal: number, cardHeight: number): number =>
  (pockets - 1) * reveal + cardHeight
