import { vi } from 'vitest'

// No request leaves a unit test: one that nobody answers fails as it does without a signal.
vi.stubGlobal('fetch', () => Promise.reject(new TypeError('No network in a unit test')))
