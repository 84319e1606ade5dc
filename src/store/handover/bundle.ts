import { xchacha20poly1305 } from '@noble/ciphers/chacha';
import { fail, ok, type Result } from '../../core/units/result';

/*
 * What is handed from one device to another: sealed before it leaves the page, so that the server in between holds what it cannot read.
 * The key stands only in the part of the address that is never sent. See docs/handover.md.
 */

/** What is said of what is handed over, sealed with it. */
export interface HandoverNote {
  /** The name of this state of the document, by which both devices know it again. */
  readonly id: string;
  /** The states that the sender has shared before, the newest first. */
  readonly known: readonly string[];
  /** Photos that were left out, since all would be too much. */
  readonly photosLeft: number;
}

const KEY_BYTES = 32;
const NONCE_BYTES = 24;
const VERSION = 1;
const MOST_NOTE_BYTES = 10_000;
/** As much is handed over at most, sealed. */
export const MOST_BUNDLE_BYTES = 60_000_000;

export const newKey = (): Uint8Array => crypto.getRandomValues(new Uint8Array(KEY_BYTES));

export const keyText = (key: Uint8Array): string =>
  btoa(String.fromCharCode(...key))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');

/** @returns null for a text that is no key */
export function bundleKeyOf(text: string): Uint8Array | null {
  if (!/^[A-Za-z0-9_-]{43}$/.test(text)) return null;
  return Uint8Array.from(atob(text.replace(/-/g, '+').replace(/_/g, '/')), (c) => c.charCodeAt(0));
}

/**
 * Seals a note and an archive with a key, which is used once.
 *
 *     version (1 byte) · nonce (24) · XChaCha20-Poly1305( length of the note (4, big-endian) · note (JSON) · archive )
 */
export function sealBundle(note: HandoverNote, archive: Uint8Array, key: Uint8Array): Uint8Array<ArrayBuffer> {
  const head = new TextEncoder().encode(JSON.stringify(note));
  const plain = new Uint8Array(4 + head.length + archive.length);
  new DataView(plain.buffer).setUint32(0, head.length);
  plain.set(head, 4);
  plain.set(archive, 4 + head.length);
  const nonce = crypto.getRandomValues(new Uint8Array(NONCE_BYTES));
  const sealed = xchacha20poly1305(key, nonce).encrypt(plain);
  const out = new Uint8Array(1 + NONCE_BYTES + sealed.length);
  out[0] = VERSION;
  out.set(nonce, 1);
  out.set(sealed, 1 + NONCE_BYTES);
  return out;
}

/** Opens what was sealed. Refused by name: another version, a wrong key or a single changed bit, a note that is none. */
export function openBundle(
  bytes: Uint8Array,
  key: Uint8Array,
): Result<{ readonly note: HandoverNote; readonly archive: Uint8Array<ArrayBuffer> }> {
  if (bytes[0] !== VERSION) return fail({ code: 'handover/version', at: 'bundle', found: bytes[0] ?? null, expected: String(VERSION) });
  let plain: Uint8Array;
  try {
    plain = xchacha20poly1305(key, bytes.slice(1, 1 + NONCE_BYTES)).decrypt(bytes.slice(1 + NONCE_BYTES));
  } catch {
    return fail({ code: 'handover/damaged', at: 'bundle' });
  }
  const length = plain.length >= 4 ? new DataView(plain.buffer, plain.byteOffset).getUint32(0) : Infinity;
  if (length > Math.min(MOST_NOTE_BYTES, plain.length - 4)) return fail({ code: 'handover/damaged', at: 'note' });
  const note = noteOf(new TextDecoder().decode(plain.subarray(4, 4 + length)));
  return note ? ok({ note, archive: new Uint8Array(plain.subarray(4 + length)) }) : fail({ code: 'handover/damaged', at: 'note' });
}

const isName = (v: unknown): v is string => typeof v === 'string' && v.length > 0 && v.length <= 80;

function noteOf(text: string): HandoverNote | null {
  try {
    const { id, known, photosLeft } = JSON.parse(text) as Partial<Record<keyof HandoverNote, unknown>>;
    if (!isName(id) || !Array.isArray(known) || known.length > 100 || !known.every(isName)) return null;
    return { id, known, photosLeft: Number.isSafeInteger(photosLeft) ? Math.max(0, photosLeft as number) : 0 };
  } catch {
    return null;
  }
}
