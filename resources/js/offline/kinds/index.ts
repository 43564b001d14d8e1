import type { Waiting, What } from '../device'
import { acres } from './acres'
import { decision } from './decision'
import { dig } from './dig'
import { hands } from './hands'
import type { Kind } from './kind'
import { ledger } from './ledger'
import { note } from './note'
import { photo } from './photo'
import { reading } from './reading'
import { setting } from './setting'
import { signOff } from './signOff'
import { standCount } from './standCount'
import { start } from './start'
import { watch } from './watch'

const kinds: { [W in What]: Kind<W> } = {
  start,
  reading,
  note,
  photo,
  ledger,
  acres,
  decision,
  hands,
  setting,
  dig,
  signOff,
  standCount,
  watch,
}

/** How what waits goes up, and what it is called. */
export const kindOf = (item: Waiting): Kind<What> => kinds[item.what]
