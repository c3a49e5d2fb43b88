import { Contrast, EllipsisVertical, Search } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useOpenPalette } from '~/palette/open-palette';
import { Cautions } from './cautions';
import { language } from '@core/base/words/language';
import { say } from '~/words/ui';

interface Props {
  readonly title: ReactNode;
  /** Buttons that stay in the bar on every screen. */
  readonly tools?: ReactNode;
  /** What a phone keeps behind the three dots, and wider screens show as buttons, but for what is rare. */
  readonly more?: readonly {
    readonly name: string;
    readonly icon: ReactNode;
    readonly act: () => void;
    /** True where the bar shows the picture alone. */
    readonly iconOnly?: boolean;
    /** True of what is wanted now and then: behind the dots at any width. */
    readonly rare?: boolean;
  }[];
}

/** From which width on the tools with words stand in the bar: words of another language than English are longer. */
const WORDS =
  language === 'en'
    ? { shown: 'max-[1100px]:hidden', behindDots: 'min-[1101px]:hidden' }
    : { shown: 'max-[1440px]:hidden', behindDots: 'min-[1441px]:hidden' };

/** The bar on top of every page: the way home, the page's own title and tools, cautions, theme. */
export function TopBar({ title, tools, more = [] }: Props) {
  const open = useOpenPalette();
  const [display, setDisplay] = useState(false);
  const all: NonNullable<Props['more']> = [
    ...more,
    {
      name: say('topBar.findAnything'),
      icon: <Search aria-hidden size={20} />,
      act: () => open('palette'),
      iconOnly: true,
    },
    {
      name: say('topBar.display'),
      icon: <Contrast aria-hidden size={20} />,
      act: () => setDisplay(true),
      iconOnly: true,
    },
  ];
  return (
    <header className="flex items-center gap-x-1 px-3 py-1 sm:px-4">
      <Link to="/" className="flex size-11 shrink-0 items-center" aria-label={say('topBar.splitTapHomePage')}>
        <img src={`${import.meta.env.BASE_URL}icon.svg`} alt="" width={28} height={28} />
      </Link>
      <div className="flex min-w-24 flex-1 items-center">{title}</div>
      {tools}
      <Cautions />
      {all
        .filter(({ rare }) => !rare)
        .map(({ name, icon, act, iconOnly }) => (
          <button
            key={name}
            type="button"
            className={`button button-quiet px-3 ${iconOnly ? 'max-sm:hidden' : WORDS.shown}`}
            onClick={act}
            aria-label={name}
          >
            {icon} {iconOnly ? null : name}
          </button>
        ))}
      <More
        items={all.map((one) => ({
          ...one,
          className: one.rare ? '' : one.iconOnly ? 'sm:hidden' : WORDS.behindDots,
        }))}
        isAlways={more.some(({ rare }) => rare)}
        worded={more.length > 0}
      />
      {display ? (
        <Suspense>
          <DisplayDialog onClose={() => setDisplay(false)} />
        </Suspense>
      ) : null}
    </header>
  );
}

const DisplayDialog = lazy(() => import('./display-dialog'));
const MoreMenu = lazy(() => import('./more-menu'));

/** What is rare, and on a narrow screen all of it, behind three dots; the menu is loaded when it is first opened. */
function More({
  items,
  isAlways,
  worded,
}: {
  items: readonly (NonNullable<Props['more']>[number] & { readonly className: string })[];
  /** There is something that no screen shows as a button. */
  isAlways: boolean;
  worded: boolean;
}) {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <div className={`relative ${isAlways ? '' : worded ? WORDS.behindDots : 'sm:hidden'}`}>
      <button
        ref={button}
        type="button"
        className="button button-quiet px-2"
        aria-label={say('topBar.more')}
        aria-haspopup="menu"
        aria-expanded={open}
        onClick={() => setOpen(true)}
      >
        <EllipsisVertical aria-hidden size={20} />
      </button>
      {open ? (
        <Suspense>
          <MoreMenu
            items={items}
            onClose={() => {
              setOpen(false);
              button.current?.focus();
            }}
          />
        </Suspense>
      ) : null}
    </div>
  );
}
