'use client';
import './startEarly'; // first, before all that the page needs itself
import { setNonce } from 'get-nonce';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { createWorkspace, type Workspace } from '@/store/workspace';
import { HouseBar } from '../practice/HouseBar';
import { Commands } from './Commands';
import { NotKeptLine } from './NotKeptLine';
import { Rail } from './Rail';
import { Toasts } from './Toasts';
import { Unreadable } from './Unreadable';
import { useElsewhere } from './useElsewhere';
import { useHeadingFocus } from './useHeadingFocus';
import { useRefusals } from './useRefusals';
import { useReminder } from './useReminder';
import { useServiceWorker } from './useServiceWorker';
import { useTheme } from './useTheme';
import { useUndoKeys } from './useUndoKeys';
import { WorkspaceContext } from './WorkspaceContext';

interface ShellProps {
  seed: 'plain' | 'demo';
  /** Lets the scroll lock of dialogs write its style element under the page's policy. */
  nonce: string | undefined;
  children: React.ReactNode;
}

/** The frame of every screen: opens the workspace once, shows the rail, and what to do when nothing can be opened. */
export function Shell({ seed, nonce, children }: ShellProps) {
  const [workspace, setWorkspace] = useState<Workspace | null>(null);
  useEffect(() => {
    if (nonce) setNonce(nonce);
    // Charts write on a canvas, which does not wait for a font.
    void document.fonts.load('500 12px "Barlow Semi Condensed"');
    const opened = createWorkspace(navigator.language);
    const stop = opened.start(seed);
    // The workspace lives in the browser only; the page is drawn without it first.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setWorkspace(opened);
    return () => void stop();
  }, [seed, nonce]);
  if (!workspace) return <Frame />;
  return (
    <WorkspaceContext value={workspace}>
      <Opened workspace={workspace}>{children}</Opened>
    </WorkspaceContext>
  );
}

function Opened({ workspace, children }: { workspace: Workspace; children: React.ReactNode }) {
  const opening = useStore(workspace.opening);
  useTheme(workspace.settings);
  useUndoKeys(workspace.sites);
  useRefusals(workspace.sites);
  useElsewhere(workspace);
  useHeadingFocus();
  useServiceWorker(workspace);
  useReminder();
  return (
    <Frame>
      {opening.status === 'open' && <HouseBar />}
      {opening.status === 'open' && opening.notKept && <NotKeptLine notKept={opening.notKept} />}
      {opening.status === 'open' && children}
      {opening.status === 'unreadable' && <Unreadable opening={opening} onBegin={workspace.begin} />}
      <Toasts />
      <Commands />
    </Frame>
  );
}

function Frame({ children }: { children?: React.ReactNode }) {
  return (
    <div className="flex min-h-dvh flex-col md:flex-row print:block">
      <a
        href="#main"
        onClick={(e) => {
          // Where the page says that its work begins; else its whole.
          const work = document.querySelector<HTMLElement>('[data-work]');
          if (!work) return;
          e.preventDefault();
          work.focus();
        }}
        className="sr-only z-50 rounded-md bg-button px-3 py-2 font-semibold text-on-button focus:not-sr-only focus:fixed focus:top-2 focus:left-2"
      >
        Skip to the content
      </a>
      <Rail />
      <main id="main" tabIndex={-1} className="outline-none flex min-h-0 min-w-0 flex-1 flex-col pb-16 md:pb-0 print:pb-0">
        {children ?? (
          <p role="status" className="m-auto text-soft">
            Opening…
          </p>
        )}
      </main>
    </div>
  );
}
