import type { ThemeDefinition } from 'vuetify'

/*
 * The colors of Ustrel, once. Vuetify makes each a CSS variable, --v-theme-NAME as "r,g,b";
 * styles/base.css gives those the short names that the components use. All text pairs are 4.5:1 or better.
 */
const light = {
  background: '#F5F2EA',
  surface: '#FFFFFF',
  ink: '#23282B',
  'ink-2': '#566067',
  line: '#DAD5C8',
  primary: '#0F5E75',
  'accent-weak': '#D6E6EA',
  ochre: '#8F560C',
  sound: '#0B6B66',
  watch: '#8A5800',
  change: '#B83A0B',
  failed: '#7A2266',
  unchecked: '#656E74',
  bar: '#23282B',
  'on-bar': '#F5F2EA',
  error: '#B83A0B',
  'on-background': '#23282B',
  'on-surface': '#23282B',
  'on-primary': '#FFFFFF',
}

const dark: typeof light = {
  background: '#171B1D',
  surface: '#20262A',
  ink: '#ECE8DE',
  'ink-2': '#A9B1B5',
  line: '#3A4246',
  primary: '#74C5D8',
  'accent-weak': '#213A42',
  ochre: '#E2B26A',
  sound: '#55C4B8',
  watch: '#F0B545',
  change: '#FF8F63',
  failed: '#E294CE',
  unchecked: '#98A1A6',
  bar: '#0F1214',
  'on-bar': '#ECE8DE',
  error: '#FF8F63',
  'on-background': '#ECE8DE',
  'on-surface': '#ECE8DE',
  'on-primary': '#10181B',
}

// Labels and hints at Vuetify's own 0.6 would fall under 4.5:1.
const variables = { 'medium-emphasis-opacity': 0.85, 'high-emphasis-opacity': 1 }

export const themes: Record<'light' | 'dark', ThemeDefinition> = {
  light: { dark: false, colors: light, variables },
  dark: { dark: true, colors: dark, variables },
}
