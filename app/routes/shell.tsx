import { Contrast } from 'lucide-react';
import { Link, Outlet } from 'react-router';
import { Cautions } from '~/ui/cautions';
import { Notices } from '~/ui/notices';
import { toggleTheme } from '~/ui/theme';

/** What every page shares: the name, the theme, the cautions, notices. */
export default function Shell() {
  return (
    <Notices>
      <div className="flex min-h-dvh flex-col">
        <header className="flex items-center gap-2 px-4 py-1.5 sm:px-5">
          <Link to="/" className="flex min-h-11 items-center gap-2 text-base font-bold">
            <img src="/icon.svg" alt="" width={24} height={24} />
            Split Tap
          </Link>
          <span className="flex-1" />
          <Cautions />
          <button type="button" className="button button-quiet px-3" onClick={toggleTheme} aria-label="Light or dark">
            <Contrast aria-hidden size={20} />
          </button>
        </header>
        <Outlet />
      </div>
    </Notices>
  );
}
