import { Popover } from 'radix-ui';
import { useRef, type ReactNode } from 'react';
import { say } from '~/words/ui';
import { useClosing } from './use-closing';

/** A card beside what was tapped, found by a selector; closed by Escape, by its button, or by a tap beside it. */
export function OnTheSpot({
  anchor,
  onClose,
  children,
}: {
  anchor: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const onOpenChange = useClosing(onClose);
  // It is asked where it stands each time the card is placed: what was tapped may be drawn anew meanwhile.
  const at = useRef({
    getBoundingClientRect: () =>
      document.querySelector(anchor)?.getBoundingClientRect() ??
      new DOMRect(window.innerWidth / 2, window.innerHeight / 3, 0, 0),
  });
  return (
    <Popover.Root defaultOpen onOpenChange={onOpenChange}>
      <Popover.Anchor virtualRef={at} />
      <Popover.Portal>
        <Popover.Content
          data-on-the-spot
          collisionPadding={8}
          sideOffset={6}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            document.querySelector<HTMLElement | SVGElement>(anchor)?.focus();
          }}
          className="z-40 max-h-[min(34rem,var(--radix-popover-content-available-height))] w-[min(22rem,calc(100vw-1rem))] overflow-auto rounded-2xl border-2 border-ink bg-paper p-3 shadow-lg"
        >
          {children}
          <Popover.Close className="button button-quiet mt-2 w-full">{say('onTheSpot.done')}</Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
