import { expect, it } from 'vitest'
import { deviceName } from './deviceName'

it('knows a device by its browser and machine', () => {
  const chrome =
    'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0 Mobile Safari/537.36'
  const safari =
    'Mozilla/5.0 (iPad; CPU OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Safari/604.1'
  expect(deviceName(chrome)).toBe('Chrome on Android')
  expect(deviceName(safari)).toBe('Safari on iPad')
  expect(deviceName(`${chrome} Edg/130.0`)).toBe('Edge on Android')
  expect(deviceName('curl/8.5')).toBe('A device')
})
