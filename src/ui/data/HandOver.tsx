'use client';
import { Copy, Smartphone } from 'lucide-react';
import { useEffect, useState } from 'react';
import { MOST_BUNDLE_BYTES, keyText, newKey, sealBundle } from '@/store/handover/bundle';
import { writeArchive } from '@/store/files/archive';
import { newId } from '@/store/names/newId';
import { namedPhotos } from '@/store/photos/namedPhotos';
import { Code } from '../cards/TrayLabels';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { Sheet } from '../parts/Sheet';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';

interface Waiting {
  readonly addresses: readonly string[];
  readonly until: number;
  readonly photosLeft: number;
}

/** Room for what seals it. */
const SEAL_BYTES = 20_000;

/** Everything to another device: a code that it scans, by way of the local server, which cannot read what it holds. */
export function HandOver() {
  const { sites, photos, sharedStates } = useWorkspace();
  const [open, setOpen] = useState(false);
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [left_s, setLeft] = useState(0);
  useEffect(() => {
    if (!waiting) return;
    const tick = () => setLeft(Math.max(0, Math.round((waiting.until - Date.now()) / 1000)));
    tick();
    const timer = setInterval(tick, 1000);
    return () => clearInterval(timer);
  }, [waiting]);

  async function make() {
    setWaiting(null);
    setError(null);
    try {
      const { site } = sites.getState();
      const packed = await writeArchive(site, photos);
      let archive = packed.file;
      let photosLeft = packed.missing;
      if (archive.size + SEAL_BYTES > MOST_BUNDLE_BYTES) {
        photosLeft = namedPhotos(site).size;
        archive = (await writeArchive(site, null)).file;
      }
      const id = newId();
      const key = newKey();
      const note = { id, known: await sharedStates.names(), photosLeft };
      const body = sealBundle(note, new Uint8Array(await archive.arrayBuffer()), key);
      const put = await fetch('/api/handover', { method: 'POST', headers: { 'Content-Type': 'application/octet-stream' }, body });
      const answer = (await put.json()) as { ok: boolean; id?: string; minutes?: number; problems?: Parameters<typeof problemWords>[0][] };
      if (!answer.ok || !answer.id)
        return setError(answer.problems?.[0] ? problemWords(answer.problems[0]) : 'The server did not take it.');
      await sharedStates.add(id, site);
      const { hosts } = (await (await fetch('/api/handover')).json()) as { hosts: string[] };
      const { protocol, port, origin } = window.location;
      const path = `/settings/data/receive#${answer.id}.${keyText(key)}`;
      const addresses = [...hosts.map((h) => `${protocol}//${h}${port ? `:${port}` : ''}${path}`), `${origin}${path}`];
      setWaiting({ addresses: [...new Set(addresses)], until: Date.now() + (answer.minutes ?? 10) * 60_000, photosLeft });
    } catch {
      setError('The server is away, so nothing can be handed over now. Export a file instead, or start the server again.');
    }
  }
  const shown = waiting?.addresses[0];
  const isOpen = (waiting?.addresses.length ?? 0) > 1 || (shown !== undefined && !/\/\/(localhost|127\.)/.test(shown));
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">To the phone, and back</h2>
      <p className="max-w-prose text-soft">
        Plan at the table, log at the rack: the other device scans a code and has everything. What is logged on both is put together when it
        comes back.
      </p>
      <Sheet
        title="To another device"
        description="It must be in the same network as this computer. The code works once, for ten minutes."
        open={open}
        onOpenChange={(o) => {
          setOpen(o);
          if (o) void make();
          else setWaiting(null);
        }}
        trigger={
          <Button>
            <Smartphone size={17} aria-hidden /> To another device
          </Button>
        }
      >
        <div className="space-y-4">
          {!waiting && !error && <p role="status">Packing and sealing …</p>}
          {error && (
            <p role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
              {error}
            </p>
          )}
          {shown && waiting && left_s === 0 && (
            <div className="space-y-3">
              <p role="alert">The ten minutes are over. Nothing can be fetched with this code any more.</p>
              <Button kind="main" onClick={() => void make()}>
                Make a new code
              </Button>
            </div>
          )}
          {shown && waiting && left_s > 0 && (
            <>
              <div className="flex flex-wrap items-start gap-5">
                <Code text={shown} label="Code to be scanned by the other device" side={260} />
                <div className="min-w-0 flex-1 basis-60 space-y-3">
                  <p>
                    <b>Scan it with the other device’s camera,</b> or open the address there.
                  </p>
                  <p role="timer" className="text-soft">
                    Still {Math.floor(left_s / 60)}:{String(left_s % 60).padStart(2, '0')} minutes
                  </p>
                  <label className="block text-sm text-soft">
                    Address
                    <input
                      readOnly
                      className="mt-0.5 block min-h-11 w-full rounded-md border border-line bg-sheet px-2 font-mono text-sm text-ink"
                      value={shown}
                      onFocus={(e) => e.target.select()}
                    />
                  </label>
                  <Button
                    onClick={() =>
                      void (navigator.clipboard?.writeText(shown) ?? Promise.reject(new Error())).then(
                        () => say('The address is copied.'),
                        () => say('The browser did not allow it. Select the address and copy it.'),
                      )
                    }
                  >
                    <Copy size={17} aria-hidden /> Copy the address
                  </Button>
                </div>
              </div>
              {waiting.photosLeft > 0 && (
                <p>
                  {waiting.photosLeft} photos could not go along this way and stay here. “Export with photos” above takes them along as a
                  file.
                </p>
              )}
              {!isOpen && (
                <p className="rounded-md bg-copper-wash px-3 py-2 text-copper">
                  This server answers this computer only, so another device cannot reach it yet. Start it with{' '}
                  <code>npm run demo -- --lan</code>. Other browsers on this computer can open the address.
                </p>
              )}
              <p className="text-sm text-soft">
                Your data is sealed before it leaves this page. The server holds it in memory and cannot read it: the key stands only in the
                part of the address behind #, which is never sent. Whoever sees this code can fetch it, so show it to your own device only.
                {isOpen &&
                  ' The pages themselves come over your network unencrypted, as the server has no certificate: use a network you trust.'}
              </p>
            </>
          )}
        </div>
      </Sheet>
    </section>
  );
}
