import type { Component } from 'vue'
import type { Check, CheckKey } from '@/api/types'
import ArmPlayDrawing from './ArmPlayDrawing.vue'
import BlocksDrawing from './BlocksDrawing.vue'
import ChainDrawing from './ChainDrawing.vue'
import ClosingDrawing from './ClosingDrawing.vue'
import ContactDrawing from './ContactDrawing.vue'
import GaugeTouchDrawing from './GaugeTouchDrawing.vue'
import GuardDrawing from './GuardDrawing.vue'
import TapeDrawing from './TapeDrawing.vue'

const drawings: Partial<Record<CheckKey, Component>> = {
  arm_play_side: ArmPlayDrawing,
  arm_play_vertical: ArmPlayDrawing,
  blade_contact_length: ContactDrawing,
  chain_length: ChainDrawing,
  closing_centring: ClosingDrawing,
  closing_gap: ClosingDrawing,
  closing_tail_play: ArmPlayDrawing,
  coulter_diameter: TapeDrawing,
  depth_stop_notch: BlocksDrawing,
  fertilizer_blade_diameter: TapeDrawing,
  gauge_arm_play: ArmPlayDrawing,
  gauge_touch: GaugeTouchDrawing,
  guard_width: GuardDrawing,
  inner_shims: ContactDrawing,
  opener_blade_diameter: TapeDrawing,
}

/** The drawing that goes with a check's how-to, where it needs one. */
export function drawingOf(check: Pick<Check, 'key'>): Component | undefined {
  return drawings[check.key]
}
