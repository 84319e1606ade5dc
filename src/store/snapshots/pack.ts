/** A text as bytes, packed (gzip) where the browser can. */
export async function pack(text: string): Promise<Uint8Array> {
  const plain = new TextEncoder().encode(text);
  if (typeof CompressionStream === 'undefined') return plain;
  return through(plain, new CompressionStream('gzip'));
}

/** Longer texts were never packed by us. */
const MOST_BYTES = 200_000_000;

/** @throws when the bytes are damaged, or unpack to more than was ever packed */
export async function unpack(bytes: Uint8Array): Promise<string> {
  const isPacked = bytes[0] === 0x1f && bytes[1] === 0x8b;
  return new TextDecoder().decode(isPacked ? await through(bytes, new DecompressionStream('gzip')) : bytes);
}

async function through(bytes: Uint8Array, stream: CompressionStream | DecompressionStream): Promise<Uint8Array> {
  const reader = new Blob([bytes as BlobPart]).stream().pipeThrough(stream).getReader();
  const pieces: Uint8Array[] = [];
  let length = 0;
  for (;;) {
    const { done, value } = (await reader.read()) as ReadableStreamReadResult<Uint8Array>;
    if (done) break;
    pieces.push(value);
    length += value.byteLength;
    if (length > MOST_BYTES) throw new RangeError('it unpacks to more than was ever packed');
  }
  const out = new Uint8Array(length);
  let at = 0;
  for (const piece of pieces) {
    out.set(piece, at);
    at += piece.byteLength;
  }
  return out;
}
