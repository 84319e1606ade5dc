'use client';
import { fail, ok } from '@/core/units/result';
import type { SetUp } from '@/core/answer/stand/setUp';
import { changeSite } from '@/store/site/siteStore';
import { renameStand } from '@/store/site/setUpVerbs';
import { UndoButtons } from '../parts/UndoButtons';
import { TypedField } from '../parts/TypedField';
import { useWorkspace } from '../shell/WorkspaceContext';
import { SetUpMenu } from './SetUpMenu';

/** The name of the set-up, the way to others, and the way back. */
export function Header({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { id, name } = setUp.stand;
  return (
    <header className="flex items-center gap-2 bg-sheet px-3 pt-2 pb-1 md:px-5">
      <h1 className="sr-only">{name}</h1>
      <TypedField
        key={id}
        label="Name of this set-up"
        hideLabel
        shown={name}
        read={(text) => (text.trim() ? ok(text.trim().slice(0, 120)) : fail({ code: 'name/empty', at: '' }))}
        onChange={(v) => changeSite(sites, 'rename', renameStand(id, v))}
        hint="A name, such as Top shelf."
        className="min-w-0 flex-1"
        inputClassName="w-full max-w-96 text-ellipsis border-transparent! bg-transparent! text-lg hover:border-line! px-1! md:text-xl"
      />
      <SetUpMenu activeId={id} />
      <UndoButtons />
    </header>
  );
}
