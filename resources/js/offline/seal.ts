import { change, device, isOf, type Kept } from './device'

/** What GCM asks for. */
const NONCE_BYTES = 12
const LENGTH_BYTES = 4
const NOBODY = 0

type Bytes = Uint8Array<ArrayBuffer>

/**
 * Seals what one person has waiting on this device, when that person leaves it: nobody else reads it there. Each piece
 * keeps its place in the order. Browsers seal at a secure address only; elsewhere it stays as it is.
 *
 * @param secret of the person, known to the server and, while signed in, to the device; Base64
 */
export async function seal(user: number, secret: string): Promise<void> {
  const key = await keyOf(secret)
  if (key === null) return
  const open = await (await device()).getAllFromIndex('waiting', 'user', user)
  const sealed = await Promise.all(
    open.map(async (item) => {
      const nonce: Bytes = crypto.getRandomValues(new Uint8Array(NONCE_BYTES))
      const data = await crypto.subtle.encrypt({ name: 'AES-GCM', iv: nonce }, key, await packed(item))
      return { order: item.order, user, nonce, data }
    }),
  )
  await change(['waiting', 'sealed'], async (writing) => {
    await Promise.all(sealed.map((item) => writing.objectStore('sealed').put(item)))
    await Promise.all(open.map(({ order }) => writing.objectStore('waiting').delete(order)))
  })
}

/** Opens what was sealed, for its owner; what another key had sealed stays, as nobody's that is known here. */
export async function unseal(user: number, secret: string): Promise<void> {
  const sealed = await (await device()).getAllFromIndex('sealed', 'user', user)
  const key = sealed.length === 0 ? null : await keyOf(secret)
  if (key === null) return
  for (const piece of sealed) {
    const cipher = { name: 'AES-GCM', iv: piece.nonce }
    const bytes = await crypto.subtle.decrypt(cipher, key, piece.data).catch(() => null)
    await change(['waiting', 'sealed'], async (writing) => {
      if (bytes === null) {
        await writing.objectStore('sealed').put({ ...piece, user: NOBODY })
        return
      }
      await writing.objectStore('waiting').put(unpacked(new Uint8Array(bytes)))
      await writing.objectStore('sealed').delete(piece.order)
    })
  }
}

async function keyOf(secret: string): Promise<CryptoKey | null> {
  // There only at a secure address.
  const subtle = crypto.subtle as SubtleCrypto | undefined
  const raw = Uint8Array.from(atob(secret), (letter) => letter.charCodeAt(0))
  return subtle?.importKey('raw', raw, 'AES-GCM', false, ['encrypt', 'decrypt']) ?? null
}

/** A piece as bytes: how long its text is, its text, and its picture where it has one. */
async function packed(item: Kept): Promise<Bytes> {
  const text = new TextEncoder().encode(JSON.stringify(item))
  const picture = isOf('photo')(item) ? new Uint8Array(await item.body.picture.arrayBuffer()) : new Uint8Array()
  const bytes = new Uint8Array(LENGTH_BYTES + text.length + picture.length)
  new DataView(bytes.buffer).setUint32(0, text.length)
  bytes.set(text, LENGTH_BYTES)
  bytes.set(picture, LENGTH_BYTES + text.length)
  return bytes
}

function unpacked(bytes: Bytes): Kept {
  const end = LENGTH_BYTES + new DataView(bytes.buffer).getUint32(0)
  const item = JSON.parse(new TextDecoder().decode(bytes.subarray(LENGTH_BYTES, end))) as Kept
  if (isOf('photo')(item)) item.body.picture = new Blob([bytes.slice(end)], { type: 'image/jpeg' })
  return item
}
