import { Outlet } from 'react-router';
import { Notices } from '~/ui/notices';
import { NotKept } from '~/ui/not-kept';
import { useKeptFocus } from '~/ui/use-kept-focus';
import { Offline } from '~/ui/offline';

/** What every page shares: room for notices. */
export default function Shell() {
  useKeptFocus();
  return (
    <Notices>
      <div className="flex min-h-dvh flex-col">
        <NotKept />
        <Outlet />
        <Offline />
      </div>
    </Notices>
  );
}
