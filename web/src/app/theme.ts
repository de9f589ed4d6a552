import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import 'vuetify/styles'
import './toolkit.css'

/** The toolkit's look is set here once; colours follow tokens.css. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'chalk',
    themes: {
      chalk: {
        dark: false,
        colors: {
          background: '#EEF0EA',
          surface: '#FBFBF7',
          primary: '#2F5D50',
          secondary: '#7A4E7E',
          info: '#2F6690',
          warning: '#8A6400',
          error: '#B4431F',
          success: '#4E7F3A',
        },
      },
      lamp: {
        dark: true,
        colors: {
          background: '#1B2326',
          surface: '#222C30',
          primary: '#8CC2AB',
          secondary: '#D3A6D6',
          info: '#8FBFE3',
          warning: '#E2BB4A',
          error: '#F0906A',
          success: '#9BCB84',
        },
      },
    },
  },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VBtn: { variant: 'outlined' },
    VCheckboxBtn: { density: 'compact', color: 'primary' },
    VExpansionPanels: { elevation: 0, static: true, bgColor: 'transparent' },
    VRadioGroup: { density: 'compact', hideDetails: true, color: 'primary' },
    // Without it each one is an alert of its own to who listens.
    VSkeletonLoader: { boilerplate: true },
    VTable: { density: 'compact' },
    VTooltip: { eager: false },
    VCard: { rounded: 'md', variant: 'flat', border: true },
    VDialog: { maxWidth: 560, scrim: '#1F2D33' },
    VList: { density: 'compact', rounded: 'md', border: true },
    VMenu: { offset: 4 },
    VSlider: { density: 'compact', hideDetails: true, color: 'primary', thumbSize: 14, trackSize: 2 },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VCombobox: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VAutocomplete: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
  },
})
