'use client';
import { useState } from 'react';
import { Button } from '../parts/Button';
import { SearchList, type SearchItem } from '../parts/SearchList';
import { Sheet } from '../parts/Sheet';

interface ChoiceSheetProps {
  /** On the button that opens it. */
  label: string;
  shown: React.ReactNode;
  title: string;
  description: string;
  placeholder: string;
  items: readonly SearchItem[];
  chosen: string | null;
  onChoose(id: string): void;
}

/** One thing of a long list: a press chooses it and closes the list. */
export function ChoiceSheet({ label, shown, title, description, placeholder, items, chosen, onChoose }: ChoiceSheetProps) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title={title}
      description={description}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button className="max-w-full justify-start!" aria-label={typeof shown === 'string' ? `${label}: ${shown}` : label}>
          <span className={typeof shown === 'string' ? 'truncate' : 'inline-flex items-center gap-2'}>{shown}</span>
        </Button>
      }
    >
      <SearchList
        label={title}
        placeholder={placeholder}
        items={items}
        chosen={chosen}
        onChoose={(id) => {
          setOpen(false);
          onChoose(id);
        }}
        empty="No results for this name."
      />
    </Sheet>
  );
}
