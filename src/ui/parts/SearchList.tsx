'use client';
import clsx from 'clsx';
import { Command } from 'cmdk';
import { Check, Search } from 'lucide-react';
import { useMemo, useState } from 'react';
import { searchWords } from './searchWords';

export interface SearchItem {
  readonly id: string;
  readonly name: string;
  /** Said in small print at the right. */
  readonly detail: string;
  /** Other words by which it is found. */
  readonly words: readonly string[];
  readonly group: string;
}

interface SearchListProps {
  label: string;
  placeholder: string;
  items: readonly SearchItem[];
  chosen: string | null;
  onChoose(id: string): void;
  empty: React.ReactNode;
}

/** A list that is searched by typing, moved in by arrows, chosen from by Enter or a tap. */
export function SearchList({ label, placeholder, items, chosen, onChoose, empty }: SearchListProps) {
  const [search, setSearch] = useState('');
  // The group with the best match first: within a group the list sorts by itself.
  const groups = useMemo(() => {
    const best = new Map<string, number>();
    for (const i of items) best.set(i.group, Math.max(best.get(i.group) ?? 0, search ? match(i.id, search, [i.name, ...i.words]) : 0));
    return [...best].sort((a, b) => b[1] - a[1]).map(([group]) => group);
  }, [items, search]);
  return (
    <Command
      label={label}
      filter={match}
      className="overflow-hidden rounded-lg border border-edge focus-within:outline-2 focus-within:outline-copper"
      {...(chosen ? { defaultValue: chosen } : {})}
    >
      <div className="flex items-center gap-2 border-b border-line px-3">
        <Search size={17} className="text-soft" aria-hidden />
        <Command.Input
          value={search}
          onValueChange={setSearch}
          placeholder={placeholder}
          className="min-h-11 flex-1 bg-transparent outline-none placeholder:text-soft"
        />
      </div>
      <Command.List className="h-64 overflow-y-auto p-1 max-md:h-[38dvh]" tabIndex={0} aria-label={label}>
        <Command.Empty className="p-4 text-soft">{empty}</Command.Empty>
        {groups.map((group) => (
          <Command.Group
            key={group}
            heading={group}
            className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-soft"
          >
            {items
              .filter((i) => i.group === group)
              .map((item) => (
                <Command.Item
                  key={item.id}
                  value={item.id}
                  keywords={[item.name, ...item.words]}
                  onSelect={() => onChoose(item.id)}
                  className={clsx(
                    'flex min-h-9 items-center gap-2 rounded px-2 data-[selected=true]:bg-sunk max-md:min-h-11',
                    chosen === item.id && 'font-semibold',
                  )}
                >
                  <Check size={16} className={clsx('shrink-0 text-verdigris', chosen !== item.id && 'invisible')} aria-hidden />
                  <span className="flex-1">{item.name}</span>
                  <span className="text-right text-sm font-normal text-soft">{item.detail}</span>
                </Command.Item>
              ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command>
  );
}

/** Every typed word must begin a word, or stand inside one, of the name or of the other names; beginnings come first. */
function match(id: string, search: string, keywords: string[] = []): number {
  const text = ` ${keywords.join(' ').toLowerCase()} ${id} `;
  let score = 1;
  for (const word of searchWords(search)) {
    const at = text.indexOf(word);
    if (at < 0) return 0;
    if (!text.includes(` ${word}`)) score *= 0.5;
    if (!(keywords[0] ?? '').toLowerCase().startsWith(word)) score *= 0.8;
  }
  return score;
}
