import type { Stores } from './schema.js'

/** What a bare workshop starts with: plain goods by what they are, for the maker to replace with their own. */
export const STARTER_STORES: Stores = {
  format: 'drumlin.stores',
  version: 1,
  leathers: [
    { id: 'veg-calf-14', name: 'Vegetable calf', tannage: 'vegetable', temper: 'medium', weight: { low: 1.3, high: 1.5 }, thickness: 1.4, neutral: 0.5, give: 0.015, bears: 0.4, swatch: '#c8d6d2' },
    { id: 'veg-goat-09', name: 'Vegetable goat', tannage: 'vegetable', temper: 'soft', weight: { low: 0.8, high: 1.0 }, thickness: 0.9, neutral: 0.5, give: 0.018, bears: 0.35, swatch: '#e4dfcc' },
    { id: 'chrome-side-18', name: 'Chrome side', tannage: 'chrome', temper: 'soft', weight: { low: 1.6, high: 2.0 }, thickness: 1.8, neutral: 0.5, give: 0.025, bears: 0.5, swatch: '#d5cddb' },
    { id: 'veg-shoulder-25', name: 'Vegetable shoulder', tannage: 'vegetable', temper: 'firm', weight: { low: 2.4, high: 2.8 }, thickness: 2.6, neutral: 0.5, give: 0.008, bears: 0.8, swatch: '#d9d3b4' },
  ],
  irons: [
    { id: 'iron-27', name: '2.7 mm iron', pitch: 2.7, prongs: 10, slotLength: 1.5, slotWidth: 0.4, slant: 45, reach: 3.5 },
    { id: 'iron-no-9', name: 'No. 9 iron', pitch: 27.07 / 9, prongs: 8, slotLength: 1.7, slotWidth: 0.5, slant: 45, reach: 4 },
    { id: 'iron-338', name: '3.38 mm iron', pitch: 3.38, prongs: 8, slotLength: 1.9, slotWidth: 0.5, slant: 45, reach: 4.5 },
    { id: 'iron-385', name: '3.85 mm iron', pitch: 3.85, prongs: 6, slotLength: 2.1, slotWidth: 0.6, slant: 45, reach: 6 },
  ],
  awls: [
    { id: 'awl-diamond', name: 'Diamond awl, 40 mm blade', reach: 12 },
    { id: 'awl-fine', name: 'Fine awl, 25 mm blade', reach: 7 },
  ],
  threads: [
    { id: 'linen-18-3', name: 'Linen 18/3', fibre: 'linen', tex: 275, packing: 0.6, colour: '#d8d2bd' },
    { id: 'polyester-fine', name: 'Braided polyester, fine', fibre: 'polyester', tex: 190, packing: 0.65, colour: '#3d4a52' },
  ],
} // prettier-ignore
