import { ShieldAlert } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import { say } from '~/words/ui';

const CautionsDialog = lazy(() => import('./cautions-dialog'));

/** The usual cautions, one tap away on every page. */
export function Cautions() {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        className="button button-quiet px-3"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        <ShieldAlert aria-hidden size={20} />{' '}
        <span className="max-sm:sr-only">{say('cautions.cautions')}</span>
      </button>
      {open ? (
        <Suspense>
          <CautionsDialog
            onClose={() => {
              setOpen(false);
              button.current?.focus();
            }}
          />
        </Suspense>
      ) : null}
    </>
  );
}
