import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { useClosing } from './use-closing';

/** The menu behind the three dots, open as long as it stands. */
export default function MoreMenu({
  items,
  onClose,
}: {
  items: readonly {
    readonly name: string;
    readonly icon: ReactNode;
    readonly act: () => void;
    readonly className: string;
  }[];
  onClose: () => void;
}) {
  const onOpenChange = useClosing(onClose);
  return (
    <DropdownMenu.Root defaultOpen onOpenChange={onOpenChange}>
      <DropdownMenu.Trigger className="absolute inset-0 opacity-0" aria-hidden tabIndex={-1} />
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-50 min-w-48 rounded-xl border-2 border-ink bg-paper p-1"
        >
          {items.map(({ name, icon, act, className }) => (
            <DropdownMenu.Item
              key={name}
              onSelect={act}
              className={`flex min-h-11 items-center gap-2 rounded-lg px-3 font-semibold outline-none data-highlighted:bg-plum-tint ${className}`}
            >
              {icon} {name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
