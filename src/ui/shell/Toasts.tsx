'use client';
import { Toast } from 'radix-ui';
import { useStore } from 'zustand';
import { toastStore } from './toastStore';

export function Toasts() {
  const { offer, word } = useStore(toastStore);
  return (
    <Toast.Provider duration={9000} swipeDirection="down">
      {(
        [
          ['offer', offer],
          ['word', word],
        ] as const
      ).map(
        ([slot, toast]) =>
          toast && (
            <Toast.Root
              key={toast.id}
              className="flex items-center gap-4 rounded-lg bg-button px-4 py-3 text-on-button shadow-lg"
              onOpenChange={(open) => !open && toastStore.setState({ [slot]: null })}
            >
              <Toast.Description>{toast.text}</Toast.Description>
              {toast.action && (
                <Toast.Action
                  altText={toast.action.label}
                  onClick={toast.action.run}
                  className="min-h-8 rounded px-2 font-semibold whitespace-nowrap underline max-md:min-h-11 underline-offset-4"
                >
                  {toast.action.label}
                </Toast.Action>
              )}
            </Toast.Root>
          ),
      )}
      <Toast.Viewport className="fixed right-4 bottom-20 z-50 flex max-w-[calc(100vw-2rem)] flex-col gap-2 md:bottom-4 print:hidden" />
    </Toast.Provider>
  );
}
