'use client';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { Button } from '../parts/Button';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { showBytes } from './words';
import { LOCALE } from '../parts/locale';

interface Storage {
  readonly used: number | null;
  readonly left: number | null;
  /** Whether the browser keeps it when room gets short; null: it does not say. */
  readonly stays: boolean | null;
}

async function lookUp(): Promise<Storage> {
  const storage = (navigator as { storage?: StorageManager }).storage;
  const { usage, quota } = (await storage?.estimate().catch(() => undefined)) ?? {};
  return {
    used: usage ?? null,
    left: usage !== undefined && quota !== undefined ? Math.max(0, quota - usage) : null,
    stays: (await storage?.persisted().catch(() => null)) ?? null,
  };
}

/** The room that the data takes in the browser, whether the browser may clear it away, and when it was saved last. */
export function StorageRoom() {
  const { lastSaved } = useWorkspace();
  const saved_ms = useStore(lastSaved, (s) => s.saved_ms);
  const [room, setRoom] = useState<Storage | null>(null);
  useEffect(() => {
    let looking = true;
    void lookUp().then((found) => looking && setRoom(found));
    return () => void (looking = false);
  }, [saved_ms]);
  async function ask() {
    const stays = await navigator.storage.persist().catch(() => false);
    setRoom(await lookUp());
    say(
      stays
        ? 'This browser keeps your data when storage gets short.'
        : 'This browser did not agree. Export a file now and then; a bookmark of this page or installing it can help.',
    );
  }
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">Storage in this browser</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        <dt className="text-soft">Last saved</dt>
        <dd>{saved_ms === null ? 'Nothing changed since you opened it.' : new Date(saved_ms).toLocaleTimeString(LOCALE)}</dd>
        <dt className="text-soft">Storage used</dt>
        <dd>
          {room?.used == null
            ? 'Your browser does not say.'
            : `about ${showBytes(room.used)}${room.left === null ? '' : `; ${showBytes(room.left)} left`}`}
        </dd>
        <dt className="text-soft">When storage gets short</dt>
        <dd>
          {room === null || room.stays === null
            ? 'Your browser does not say.'
            : room.stays
              ? 'The browser keeps your data.'
              : 'The browser may delete your data without asking.'}
        </dd>
      </dl>
      {room?.stays === false && <Button onClick={() => void ask()}>Ask the browser to keep it</Button>}
    </section>
  );
}
