/** What a shop most likely goes by, told by where its browser is from. */
export interface Guess {
  currency: string
  units: 'in' | 'mm'
  paper: 'a4' | 'letter'
}

const EURO = 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'.split(' ')
const CURRENCIES: Record<string, string> = {
  AR: 'ARS',
  AU: 'AUD',
  BR: 'BRL',
  CA: 'CAD',
  CH: 'CHF',
  CZ: 'CZK',
  DK: 'DKK',
  GB: 'GBP',
  HU: 'HUF',
  IN: 'INR',
  MX: 'MXN',
  NO: 'NOK',
  NZ: 'NZD',
  PL: 'PLN',
  RO: 'RON',
  SE: 'SEK',
  TR: 'TRY',
  UA: 'UAH',
  ZA: 'ZAR',
}
/** Planters there are built and read in inches, and fields counted in acres. */
const INCHES = ['US', 'CA', 'LR', 'MM']
const LETTER = ['US', 'CA', 'MX', 'CL', 'CO', 'CR', 'GT', 'PA', 'PH', 'PR', 'VE']

/** By a language tag such as `en-US`; without a region, as in the region where most speak it. */
export function guessFrom(language: string): Guess {
  const region = new Intl.Locale(language).maximize().region ?? 'US'
  return {
    currency: EURO.includes(region) ? 'EUR' : (CURRENCIES[region] ?? 'USD'),
    units: INCHES.includes(region) ? 'in' : 'mm',
    paper: LETTER.includes(region) ? 'letter' : 'a4',
  }
}
