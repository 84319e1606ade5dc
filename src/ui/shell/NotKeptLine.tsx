import { exportSite } from '@/store/files/exportSite';
import type { NotKept } from '@/store/saved/keeping';
import { Button } from '../parts/Button';
import { saveFile } from '../parts/saveFile';
import { useWorkspace } from './WorkspaceContext';

/** Nothing is kept at the moment: why, what that means, and the way out beside it. */
export function NotKeptLine({ notKept: { what, reason } }: { notKept: NotKept }) {
  const { sites } = useWorkspace();
  return (
    <div role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-copper-wash px-4 py-2 text-copper print:hidden">
      <p className="min-w-60 flex-1">
        {what === 'writing'
          ? `This browser does not let the page keep what changes (${reason}). It is tried again every few seconds; until then, closing the page loses it.`
          : `This browser could not read what it keeps (${reason}). That is left alone, and nothing here replaces it: load the page again to try once more.`}
      </p>
      <Button onClick={() => saveFile('copper-noon.json', exportSite(sites.getState().site))}>
        {what === 'writing' ? 'Save everything as a file' : 'Save what is here as a file'}
      </Button>
      {what === 'reading' && <Button onClick={() => location.reload()}>Load again</Button>}
    </div>
  );
}
